package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Test;

/**
 * A reading judged by the model, in words: is it what a sound unit has, and if not, what could make it look so.
 *
 * @param kind what it is
 * @param words one sentence
 */
public record Judgement(Kind kind, String words) {

    private static final double GHOST_FROM = 0.08;
    private static final double GHOST_TO = 0.75;
    private static final double WEAK_FROM = 0.5;
    private static final double SPREADS = 3.5;

    /** Kinds of judgement. */
    public enum Kind {
        /** As a sound unit has it. */
        SOUND,
        /** As a sound unit has it, with the leads of a direct voltage swapped. */
        SWAPPED,
        /** Between nothing and enough on high impedance: perhaps only the neighbour's field. */
        GHOST,
        /** Nothing where a sound unit has something. */
        MISSING,
        /** Something where a sound unit has nothing. */
        UNEXPECTED,
        /** Off what a sound unit has. */
        OFF
    }

    /** Judges a reading against the sound unit. */
    public static Judgement of(CompiledPack pack, Observation.Reading reading) {
        Test.Reading test = reading.test();
        Prediction.Number sound = (Prediction.Number) pack.healthyPrediction(test);
        double value = reading.value();
        String expected = Wording.value(test.mode(), sound.mean());
        boolean bothOpen = Double.isInfinite(value) && Double.isInfinite(sound.mean());
        if (bothOpen || Math.abs(value - sound.mean()) <= SPREADS * sound.sigma()) {
            return new Judgement(Kind.SOUND, "as a sound unit has it");
        }
        boolean direct = test.mode() == MeterMode.DC_VOLTS;
        if (direct && Math.abs(value + sound.mean()) <= SPREADS * sound.sigma()) {
            return new Judgement(Kind.SWAPPED, "the minus sign says only that the leads are swapped; sound");
        }
        double share = Math.abs(value) / Math.abs(sound.mean());
        if (test.mode() == MeterMode.AC_VOLTS && mayBeGhost(pack, test, value)) {
            return new Judgement(Kind.GHOST, "may be a ghost on an open conductor; repeat on low impedance (sound: "
                    + expected + ")");
        }
        if (!test.mode().dead() && share < GHOST_FROM) {
            return new Judgement(Kind.MISSING, "nothing here; sound: " + expected);
        }
        if (!test.mode().dead() && Math.abs(sound.mean()) < SPREADS * sound.sigma()) {
            return new Judgement(Kind.UNEXPECTED, "a sound unit has nothing here at this moment");
        }
        String how = Double.isInfinite(value) ? "open" : Double.isInfinite(sound.mean()) ? "not open" : share < WEAK_FROM
                ? "far too low" : value < sound.mean() ? "low" : "high";
        return new Judgement(Kind.OFF, how + "; sound: " + expected);
    }

    /** A value that only a source of high impedance in some hypothesis explains, or that lies between nothing and enough. */
    private static boolean mayBeGhost(CompiledPack pack, Test.Reading test, double value) {
        double sound = Math.abs(((Prediction.Number) pack.healthyPrediction(test)).mean());
        return sound > GHOST_FROM && value > GHOST_FROM * sound && value < GHOST_TO * sound;
    }
}
