package bricksignal.core.tuning;

import bricksignal.core.air.Degrees;
import bricksignal.core.air.MoistAir;

/** How damp the air of a room may be, percent. */
final class Dampness {

    /** More than this feeds mould and mites, whatever else would bear it (common practice). */
    static final double NEVER_ABOVE = 60;
    private static final double PERCENT = 100;

    private Dampness() {
    }

    /** The relative humidity of a room's air whose dew point is that, percent; both in degrees Fahrenheit. */
    static double ofDewPoint(double dewPointF, double roomF) {
        return PERCENT * MoistAir.saturationPa(Degrees.celsius(dewPointF)) / MoistAir.saturationPa(Degrees.celsius(roomF));
    }
}
