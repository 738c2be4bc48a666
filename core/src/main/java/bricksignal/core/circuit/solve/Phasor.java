package bricksignal.core.circuit.solve;

/**
 * A complex value: a voltage (V RMS), a current (A RMS) or an impedance (ohms).
 *
 * @param re the part in phase with the line
 * @param im the part 90 degrees ahead
 */
public record Phasor(double re, double im) {

    public static final Phasor ZERO = new Phasor(0, 0);

    public double magnitude() {
        return Math.hypot(re, im);
    }

    public Phasor minus(Phasor other) {
        return new Phasor(re - other.re, im - other.im);
    }

    public Phasor plus(Phasor other) {
        return new Phasor(re + other.re, im + other.im);
    }

    public Phasor times(Phasor other) {
        return new Phasor(re * other.re - im * other.im, re * other.im + im * other.re);
    }

    /** The quotient; the divisor must not be zero. */
    public Phasor over(Phasor other) {
        double norm = other.re * other.re + other.im * other.im;
        return new Phasor((re * other.re + im * other.im) / norm, (im * other.re - re * other.im) / norm);
    }
}
