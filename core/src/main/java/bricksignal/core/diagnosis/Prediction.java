package bricksignal.core.diagnosis;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** What one test would show if one hypothesis were true. */
public sealed interface Prediction {

    /**
     * A number, spread by the meter, the supply and the parts' own tolerance.
     *
     * @param mean in the unit of the mode; infinite for an open resistance
     * @param sigma standard deviation, above 0
     */
    record Number(double mean, double sigma) implements Prediction {
    }

    /**
     * One number or another: what an intermittent fault shows.
     *
     * @param present while the fault is there
     * @param absent while it is not
     * @param duty share of the time in which it is there, between 0 and 1
     */
    record Sometimes(Number present, Number absent, double duty) implements Prediction {
    }

    /**
     * One of several things that can be told apart.
     *
     * @param chances the probability of each; they sum to one
     */
    record Choice(Map<Told, Double> chances) implements Prediction {
        public Choice {
            chances = Collections.unmodifiableMap(new LinkedHashMap<>(chances));
        }

        /** The most likely of them. */
        public Told likeliest() {
            return chances.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        }
    }

    /**
     * A yes or no.
     *
     * @param yes probability of yes, 0 to 1
     */
    record Chance(double yes) implements Prediction {
    }
}
