package bricksignal.core.unit;

import bricksignal.core.circuit.solve.MeterMode;

/**
 * A temperature sensor, measured on ohms or read as the board's display shows it: a negative temperature coefficient thermistor by the B-parameter equation
 * R = R25 exp(B (1/T - 1/298.15 K)), as IEC 60539-1 defines B.
 *
 * @param ohmsAt25 resistance at 25 degrees Celsius, above 0
 * @param beta B in kelvin, above 0
 * @param factor the parameter that says by how much the resistance is off; 1 in good order
 * @param shown whether the board's display is read, which shows the temperature that it makes of the ohms
 */
public record Thermistor(double ohmsAt25, double beta, String factor, boolean shown) {

    /** What a display shows at the least and at the most, degrees Fahrenheit: open reads cold, shorted reads hot (common practice). */
    private static final double COLDEST = -40;
    private static final double HOTTEST = 300;
    private static final double KELVIN_AT_25 = 298.15;
    private static final double KELVIN_AT_0_F = 255.372;
    private static final double KELVIN_OF_A_DEGREE = 5.0 / 9;

    public Thermistor {
        if (!(ohmsAt25 > 0 && beta > 0)) {
            throw new IllegalArgumentException("a thermistor of " + ohmsAt25 + " ohms and B " + beta + " K; both must be above 0");
        }
    }

    /**
     * What is read where it is so warm: ohms, infinite where it is open, or the degrees Fahrenheit on the display.
     *
     * @param fahrenheit the temperature it feels
     * @param off its resistance over that of its curve, above 0
     */
    public double read(double fahrenheit, double off) {
        double ohms = ohms(fahrenheit) * off;
        return shown ? shown(ohms) : ohms > MeterMode.OHMS.most() ? Double.POSITIVE_INFINITY : ohms;
    }

    private double shown(double ohms) {
        double perKelvin = 1 / KELVIN_AT_25 + Math.log(ohms / ohmsAt25) / beta;
        double fahrenheit = perKelvin <= 0 ? HOTTEST : (1 / perKelvin - KELVIN_AT_0_F) / KELVIN_OF_A_DEGREE;
        return Math.max(COLDEST, Math.min(HOTTEST, fahrenheit));
    }

    /** Ohms at a temperature in degrees Fahrenheit. */
    public double ohms(double fahrenheit) {
        double kelvin = KELVIN_AT_0_F + fahrenheit * KELVIN_OF_A_DEGREE;
        return ohmsAt25 * Math.exp(beta * (1 / kelvin - 1 / KELVIN_AT_25));
    }
}
