package bricksignal.core.unit;

/**
 * A temperature sensor that is measured on ohms: a negative temperature coefficient thermistor by the B-parameter equation
 * R = R25 exp(B (1/T - 1/298.15 K)), as IEC 60539-1 defines B.
 *
 * @param ohmsAt25 resistance at 25 degrees Celsius, above 0
 * @param beta B in kelvin, above 0
 * @param factor the parameter that says by how much the resistance is off; 1 in good order
 */
public record Thermistor(double ohmsAt25, double beta, String factor) {

    private static final double KELVIN_AT_25 = 298.15;
    private static final double KELVIN_AT_0_F = 255.372;
    private static final double KELVIN_OF_A_DEGREE = 5.0 / 9;

    public Thermistor {
        if (!(ohmsAt25 > 0 && beta > 0)) {
            throw new IllegalArgumentException("a thermistor of " + ohmsAt25 + " ohms and B " + beta + " K; both must be above 0");
        }
    }

    /** Ohms at a temperature in degrees Fahrenheit. */
    public double ohms(double fahrenheit) {
        double kelvin = KELVIN_AT_0_F + fahrenheit * KELVIN_OF_A_DEGREE;
        return ohmsAt25 * Math.exp(beta * (1 / kelvin - 1 / KELVIN_AT_25));
    }
}
