package bricksignal.core.air;

/** Degrees of the trade and of the equations. */
public final class Degrees {

    private static final double ZERO_F = 32;
    private static final double F_OF_C = 1.8;

    private Degrees() {
    }

    /** Celsius of Fahrenheit. */
    public static double celsius(double fahrenheit) {
        return (fahrenheit - ZERO_F) / F_OF_C;
    }

    /** Fahrenheit of Celsius. */
    public static double fahrenheit(double celsius) {
        return celsius * F_OF_C + ZERO_F;
    }
}
