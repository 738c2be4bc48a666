package bricksignal.core.circuit.solve;

/**
 * The meter on a solved circuit: it loads what it reads. Input impedances are common practice: 10 megohms on volts, some
 * kilohms on the low-impedance range (from memory).
 */
public final class Meter {

    /** Input resistance on volts, ohms. */
    public static final double HIGH_OHMS = 10e6;
    /** Input resistance on the low-impedance range, ohms. */
    public static final double LOW_OHMS = 3e3;

    private static final double HAZARD_VOLTS = 1.0;

    private Meter() {
    }

    /**
     * What the meter shows between two nets, in the unit of the mode.
     *
     * @param black the net of the black probe
     * @param red the net of the red probe
     * @return the value; {@link Double#POSITIVE_INFINITY} for an open resistance
     * @throws IllegalArgumentException if the mode does not read between two points
     */
    public static double across(Solution solution, MeterMode mode, String black, String red) {
        return switch (mode) {
            case AC_VOLTS -> loaded(solution, black, red, HIGH_OHMS);
            case AC_VOLTS_LOW_Z -> loaded(solution, black, red, LOW_OHMS);
            case DC_VOLTS -> solution.directVolts(red, black) * HIGH_OHMS
                    / (HIGH_OHMS + solution.resistance(red, black));
            case OHMS -> overload(solution.resistance(red, black), mode);
            case MICROFARADS -> microfarads(solution, black, red);
            default -> throw new IllegalArgumentException(mode + " does not read between two points");
        };
    }

    /**
     * What the meter shows in series with an element, or a clamp around it.
     *
     * @throws IllegalArgumentException if the mode is neither microamperes nor clamp
     */
    public static double through(Solution solution, MeterMode mode, String elementId) {
        return switch (mode) {
            case DC_MICROAMPS -> solution.directAmps(elementId) * 1e6;
            case CLAMP_AMPS -> solution.amps(elementId).magnitude();
            case CLAMP_DC_AMPS -> solution.directAmps(elementId);
            default -> throw new IllegalArgumentException(mode + " does not read through an element");
        };
    }

    /** True when a meter on ohms or capacitance would stand on a live circuit. */
    public static boolean hazard(Solution solution, MeterMode mode, String black, String red) {
        return mode.dead() && solution.rms(red, black) > HAZARD_VOLTS;
    }

    private static double loaded(Solution solution, String black, String red, double meterOhms) {
        Phasor open = solution.volts(red, black);
        if (open.magnitude() == 0) {
            return 0;
        }
        Phasor total = solution.impedance(red, black).plus(new Phasor(meterOhms, 0));
        return open.times(new Phasor(meterOhms, 0)).over(total).magnitude();
    }

    private static double overload(double ohms, MeterMode mode) {
        return ohms > mode.most() ? Double.POSITIVE_INFINITY : Math.max(0, ohms);
    }

    private static double microfarads(Solution solution, String black, String red) {
        Phasor z = solution.impedance(red, black);
        double omega = 2 * Math.PI * solution.circuit().hertz();
        return z.im() < 0 && -z.im() > Math.abs(z.re()) ? 1e6 / (omega * -z.im()) : 0;
    }
}
