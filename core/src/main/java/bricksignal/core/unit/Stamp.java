package bricksignal.core.unit;

import bricksignal.core.circuit.solve.MeterMode;

/**
 * What stands on a part or its plate and a gauge is judged against: the draft at which a switch closes, the temperature at which
 * a limit opens, the gas pressure on the rating plate. A reading is brought to the pack's own part by it: draft and pressure by
 * their ratio to the stamp, temperature by its distance from it (common practice).
 *
 * @param value of the part that the pack describes, in the unit of the reading's mode
 * @param says what it is, as people say it
 */
public record Stamp(double value, String says) {

    public Stamp {
        if (!(value > 0)) {
            throw new IllegalArgumentException("'" + says + "' is " + value + "; it must be above 0");
        }
    }

    /**
     * A reading at the unit at hand, as the pack's own would have it.
     *
     * @param typed what stands on the part of the unit at hand, above 0
     */
    public double inThePack(MeterMode mode, double typed, double reading) {
        return mode == MeterMode.FAHRENHEIT ? reading - typed + value : reading * value / typed;
    }

    /** The other way round: what the unit at hand shows where the pack's own has a value. */
    public double atTheUnit(MeterMode mode, double typed, double inThePack) {
        return mode == MeterMode.FAHRENHEIT ? inThePack - value + typed : inThePack * typed / value;
    }
}
