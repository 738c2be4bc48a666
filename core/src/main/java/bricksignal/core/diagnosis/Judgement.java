package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;

/**
 * A reading judged by the model: is it what a unit in good order has, and if not, what could make it look so.
 *
 * @param kind what it is
 * @param nominal what a unit in good order has, in the unit of the mode
 */
public record Judgement(Kind kind, Message.Amount nominal) {

    private static final double GHOST_FROM = 0.08;
    private static final double GHOST_TO = 0.75;
    private static final double WEAK_FROM = 0.5;
    private static final double SPREADS = 3.5;

    /** Kinds of judgement. */
    public enum Kind {
        /** As a unit in good order has it. */
        NOMINAL,
        /** The same with the leads of a direct voltage swapped. */
        SWAPPED,
        /** Between nothing and enough on high impedance: perhaps only the neighbour's field. */
        GHOST,
        /** Nothing where there should be something. */
        MISSING,
        /** Something where there should be nothing. */
        UNEXPECTED,
        /** Open where there should be a resistance. */
        OPEN,
        /** A resistance where it should be open. */
        NOT_OPEN,
        /** Less than half. */
        FAR_TOO_LOW,
        LOW,
        HIGH
    }

    /** Judges a reading against the unit in good order. */
    public static Judgement of(CompiledPack pack, Observation.Reading reading) {
        Prediction.Number nominal = (Prediction.Number) pack.predictions().nominal(reading.test());
        return new Judgement(kind(reading.test(), reading.value(), nominal),
                new Message.Amount(reading.test().mode(), nominal.mean()));
    }

    private static Kind kind(Test.Reading test, double value, Prediction.Number nominal) {
        double mean = nominal.mean();
        boolean bothOpen = Double.isInfinite(value) && Double.isInfinite(mean);
        if (bothOpen || Math.abs(value - mean) <= SPREADS * nominal.sigma()) {
            return Kind.NOMINAL;
        }
        if (test.mode() == MeterMode.DC_VOLTS && Math.abs(value + mean) <= SPREADS * nominal.sigma()) {
            return Kind.SWAPPED;
        }
        double share = Math.abs(value) / Math.abs(mean);
        boolean due = ErrorModel.due(nominal);
        if (due && mayBeGhost(test, value, mean) && share < GHOST_TO) {
            return Kind.GHOST;
        }
        if (!test.mode().dead() && share < GHOST_FROM) {
            return Kind.MISSING;
        }
        if (!test.mode().dead() && !due) {
            return Kind.UNEXPECTED;
        }
        if (Double.isInfinite(value)) {
            return Kind.OPEN;
        }
        return Double.isInfinite(mean) ? Kind.NOT_OPEN : share < WEAK_FROM ? Kind.FAR_TOO_LOW : value < mean ? Kind.LOW
                : Kind.HIGH;
    }

    /** True if less than what is due may be only the neighbour's field: alternating volts on high impedance that are not nothing. */
    public static boolean mayBeGhost(Test.Reading test, double value, double nominal) {
        return test.mode() == MeterMode.AC_VOLTS && Math.abs(value) > GHOST_FROM * Math.abs(nominal);
    }
}
