package bricksignal.core.words;

import bricksignal.core.circuit.solve.MeterMode;

/**
 * A number on the scale of a meter, told to a person in the units of their choice.
 *
 * @param value in the unit of the mode
 */
public record Measured(MeterMode mode, double value) {
}
