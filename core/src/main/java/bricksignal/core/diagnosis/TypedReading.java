package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.words.Digits;

/** A number as a technician types it from the display. */
public final class TypedReading {

    private TypedReading() {
    }

    /**
     * The value of a typed reading, in the unit of the mode.
     *
     * @param text a number with point or comma, or {@code OL} (open) on a mode that can read open
     * @return the value; infinite for OL
     * @throws IllegalArgumentException if it is no number, not finite, or beyond what the mode can show
     */
    public static double parse(MeterMode mode, String text) {
        String typed = text.trim();
        if (typed.equalsIgnoreCase("OL") || typed.equalsIgnoreCase("open")) {
            if (!mode.canReadOpen()) {
                throw new IllegalArgumentException("OL says nothing on " + mode.unit() + "; type the number on the display");
            }
            return Double.POSITIVE_INFINITY;
        }
        double value = number(typed);
        if (value < mode.least() || value > mode.most()) {
            throw new IllegalArgumentException("'" + typed + "' is beyond what the meter shows on " + mode.unit() + " ("
                    + Digits.of(mode.least()) + " to " + Digits.of(mode.most()) + "); check range and decimal point");
        }
        return value;
    }

    private static double number(String typed) {
        if (!typed.matches("[-+]?([0-9]+([.,][0-9]*)?|[.,][0-9]+)")) {
            throw new IllegalArgumentException("'" + typed + "' is not a number; type what the display shows, such as 26.8");
        }
        return Double.parseDouble(typed.replace(',', '.'));
    }
}
