/**
 * The application under people: load, many boards, a cold start, hostile bodies, killed processes. It runs as {@code bin/start} runs
 * it, with data of its own, on loopback.
 */
@NullMarked
package bricksignal.bench.server;

import org.jspecify.annotations.NullMarked;
