/**
 * Simulation by events: a unit under a scenario gives a timeline, exact in time.
 */
@NullMarked
package bricksignal.core.board.run;

import org.jspecify.annotations.NullMarked;
