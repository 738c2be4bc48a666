/**
 * Modified nodal analysis of a circuit, the meter that reads it, and its export as SPICE.
 */
@NullMarked
package bricksignal.core.circuit.solve;

import org.jspecify.annotations.NullMarked;
