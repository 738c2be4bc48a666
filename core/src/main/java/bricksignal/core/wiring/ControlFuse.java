package bricksignal.core.wiring;

import java.util.List;

/** The fuse behind a control transformer: one rule for the calculator and for the isolation plan. */
public final class ControlFuse {

    /** A small transformer's secondary may be fused at 167 % of its rated current (NFPA 70 table 450.3(B), below 9 A; from memory). */
    private static final double SHARE = 1.67;
    /** Class 2: at most 100 VA, and a fuse of at most 100 over the volts (NFPA 70 article 725 and chapter 9 table 11, from memory). */
    static final double CLASS_2_VA = 100;
    /** The usual ones, amperes (common practice). */
    private static final List<Double> USUAL = List.of(0.25, 0.5, 1.0, 2.0, 3.0, 4.0);

    private ControlFuse() {
    }

    /**
     * The largest usual fuse that protects a transformer.
     *
     * @param ratedVa of the transformer, above 0
     * @param volts of its secondary, above 0
     * @return amperes; 0 where it is smaller than any usual fuse protects
     */
    public static double amps(double ratedVa, double volts) {
        double most = Math.min(SHARE * ratedVa, CLASS_2_VA) / volts;
        return USUAL.stream().filter(amps -> amps <= most).reduce((one, other) -> other).orElse(0.0);
    }
}
