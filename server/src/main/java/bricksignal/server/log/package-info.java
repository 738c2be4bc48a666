/**
 * The append-only log of a visit: entries as clients send them, kept as they came.
 */
@NullMarked
package bricksignal.server.log;

import org.jspecify.annotations.NullMarked;
