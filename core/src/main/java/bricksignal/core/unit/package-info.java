/**
 * The declared unit: circuit, board, process, faults, points, checks; and the virtual unit that runs it.
 */
@NullMarked
package bricksignal.core.unit;

import org.jspecify.annotations.NullMarked;
