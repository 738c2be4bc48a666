/**
 * How the company works: what minutes and trips cost it, and which kinds of test it allows.
 */
@NullMarked
package bricksignal.server.policy;

import org.jspecify.annotations.NullMarked;
