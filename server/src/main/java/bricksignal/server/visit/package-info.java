/**
 * Visits and the append-only log of what was found; a visit's page and its close.
 */
@NullMarked
package bricksignal.server.visit;

import org.jspecify.annotations.NullMarked;
