package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.VirtualUnit;

/**
 * How far a reading may lie from the model without saying anything. Spreads are common practice, from memory: a service
 * meter within one percent, a supply within five, parts within their own tolerance. A ghost on an open conductor depends
 * on the lie of the cable and is spread widely.
 *
 * @param misread probability that a reading is simply wrong: other terminal, other range, other moment; 0 to 1
 */
public record ErrorModel(double misread) {

    private static final double SPREADS = 3.5;
    /** What is open in the field is seldom clean: rust, soot and damp still lead a little (common practice, from memory). */
    private static final double LEAKS_FROM_OHMS = 2000;
    private static final double LEAKS = 0.2;
    private static final double GHOST_OHMS = 200e3;
    private static final double GHOST_SPREAD = 0.3;

    public ErrorModel {
        if (!(misread > 0 && misread < 1)) {
            throw new IllegalArgumentException("misread probability is " + misread + "; it must lie between 0 and 1");
        }
    }

    /** Two readings in a hundred wrong. */
    public static ErrorModel defaults() {
        return new ErrorModel(0.02);
    }

    /** The spread of a reading about what the virtual unit shows, one sigma, in the unit of the mode. */
    public Prediction.Number spread(Test.Reading test, VirtualUnit.Shown shown) {
        if (Double.isInfinite(shown.value())) {
            return new Prediction.Number(Double.POSITIVE_INFINITY, 1);
        }
        double relative = test.tolerance() > 0 ? test.tolerance() : relative(test.mode());
        if (shown.sourceOhms() > GHOST_OHMS) {
            relative = Math.max(relative, GHOST_SPREAD);
        }
        return new Prediction.Number(shown.value(), Math.hypot(relative * shown.value(), floor(test.mode())));
    }

    /** Likelihood of a value, as a density in the unit of the mode; a share of misreads is spread over the display. */
    public double likelihood(Test.Reading test, Prediction prediction, double value) {
        if (prediction instanceof Prediction.Sometimes sometimes) {
            return sometimes.duty() * likelihood(test, sometimes.present(), value)
                    + (1 - sometimes.duty()) * likelihood(test, sometimes.absent(), value);
        }
        Prediction.Number expected = (Prediction.Number) prediction;
        double width = width(test.mode());
        if (Double.isInfinite(value) || Double.isInfinite(expected.mean())) {
            boolean same = Double.isInfinite(value) && Double.isInfinite(expected.mean());
            boolean leaks = Double.isInfinite(expected.mean()) && value >= LEAKS_FROM_OHMS;
            return same ? (1 - misread) / width : leaks ? LEAKS / width : misread / beyond(test, value);
        }
        double z = (sign(test, value) - sign(test, expected.mean())) / expected.sigma();
        double density = Math.exp(-z * z / 2) / (expected.sigma() * Math.sqrt(2 * Math.PI));
        return (1 - misread) * density + misread / beyond(test, value);
    }

    /** Density of a value that has nothing to do with what a unit shows: another place, or a unit that is not as the model has it. */
    double anywhere(Test.Reading test, double value) {
        return 1 / beyond(test, value);
    }

    /** Likelihood of a value where the same place read another before, and nothing has changed. */
    double again(Test.Reading test, double before, double value) {
        return likelihood(test, spread(test, new VirtualUnit.Shown(before, 0)), value);
    }

    /** Over how much of the display a misread is spread: far beyond what a unit has, one is the rarer the further. */
    private static double beyond(Test.Reading test, double value) {
        return Double.isInfinite(value) ? width(test.mode()) : Math.max(width(test.mode()), Math.abs(value));
    }

    /** On direct volts a minus sign says only that the leads are swapped (common practice). */
    private static double sign(Test.Reading test, double value) {
        return test.mode() == MeterMode.DC_VOLTS ? Math.abs(value) : value;
    }

    /** True where more than nothing is due: further from zero than the spread of the prediction reaches. */
    public static boolean due(Prediction.Number expected) {
        return Math.abs(expected.mean()) >= SPREADS * expected.sigma();
    }

    /** True if a meter on that setting tells a value from nothing. */
    public static boolean something(MeterMode mode, double value) {
        return Math.abs(value) >= SPREADS * floor(mode);
    }

    /** True when a value lies so far from what is expected that only a misread explains it. */
    public boolean onlyAMisread(Test.Reading test, Prediction expected, double value) {
        return likelihood(test, expected, value) < 2 * misread / beyond(test, value);
    }

    /** Likelihood of an answer. */
    public double likelihood(Prediction.Chance expected, boolean yes) {
        double said = yes ? expected.yes() : 1 - expected.yes();
        return (1 - misread) * said + misread / 2;
    }

    private static double relative(MeterMode mode) {
        return switch (mode) {
            case AC_VOLTS, AC_VOLTS_LOW_Z, DC_VOLTS -> 0.035;
            case OHMS -> 0.15;
            case DC_MICROAMPS -> 0.2;
            case CLAMP_AMPS, CLAMP_DC_AMPS -> 0.15;
            case MICROFARADS -> 0.05;
            case INCHES_WC -> 0.07;
            case FAHRENHEIT, PSI -> 0.06;
            case MILLIVOLTS, GPM, POUNDS_PER_HOUR -> 0.1;
            case RPM, PERCENT -> 0.05;
        };
    }

    private static double floor(MeterMode mode) {
        return switch (mode) {
            case AC_VOLTS, AC_VOLTS_LOW_Z -> 0.4;
            case DC_VOLTS -> 0.2;
            case OHMS -> 0.4;
            case DC_MICROAMPS -> 0.1;
            case CLAMP_AMPS, CLAMP_DC_AMPS -> 0.05;
            case MICROFARADS -> 0.1;
            case INCHES_WC -> 0.02;
            case FAHRENHEIT, PERCENT -> 2;
            case MILLIVOLTS, PSI -> 1;
            case GPM -> 0.2;
            case RPM -> 40;
            case POUNDS_PER_HOUR -> 0.1;
        };
    }

    private static double width(MeterMode mode) {
        return switch (mode) {
            case AC_VOLTS, AC_VOLTS_LOW_Z, DC_VOLTS -> 150;
            case OHMS -> 500;
            case DC_MICROAMPS -> 20;
            case CLAMP_AMPS, CLAMP_DC_AMPS -> 20;
            case MICROFARADS -> 50;
            case INCHES_WC -> 5;
            case FAHRENHEIT -> 300;
            case MILLIVOLTS, PSI -> 50;
            case GPM, POUNDS_PER_HOUR -> 10;
            case RPM -> 5000;
            case PERCENT -> 100;
        };
    }
}
