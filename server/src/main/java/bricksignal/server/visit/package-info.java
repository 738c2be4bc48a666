/**
 * Visits: the jobs of a day, a visit page, its close; who may see what.
 */
@NullMarked
package bricksignal.server.visit;

import org.jspecify.annotations.NullMarked;
