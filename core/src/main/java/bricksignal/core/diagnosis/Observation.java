package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Test;
import java.util.Map;

/** One thing a technician found. */
public sealed interface Observation {

    /**
     * A board's lamp as found.
     *
     * @param board the board the lamp is on
     * @param weights for each pattern how likely it was this one; they need not sum to one, the rest is "none of these"
     * @param afterReset whether the power was cycled before anybody looked: the code of the failure may be gone
     */
    record Lamp(String board, Map<LampPattern, Double> weights, boolean afterReset) implements Observation {
        public Lamp {
            weights = java.util.Collections.unmodifiableMap(new java.util.LinkedHashMap<>(weights));
        }
    }

    /**
     * How another unit of the same site does at the same time.
     *
     * @param sameSymptom true if it fails alike, false if it runs well
     */
    record Twin(boolean sameSymptom) implements Observation {
    }

    /**
     * A number read.
     *
     * @param value in the unit of the mode; infinite for an open resistance, never NaN
     */
    record Reading(Test.Reading test, double value) implements Observation {
        public Reading {
            if (Double.isNaN(value)) {
                throw new IllegalArgumentException("reading '" + test.id() + "' is not a number");
            }
        }
    }

    /** A question answered. */
    record Answer(Test.Check test, boolean yes) implements Observation {
    }
}
