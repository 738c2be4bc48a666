package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.When;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One thing a technician found. */
public sealed interface Observation {

    /** True for what was seen, or waited for in vain, of a watched run. */
    default boolean ofTheSequence() {
        return this instanceof Event || this instanceof NotSeen;
    }

    /** True if this is what came of a test. */
    default boolean made(Test test) {
        if (this instanceof Died) {
            return test instanceof Test.Check check && (check.sense() == Test.Sense.RESET || check.sense() == Test.Sense.WARM);
        }
        return about().map(of -> of.id().equals(test.id()) && of.equals(test)).orElseGet(() -> test instanceof Test.Sequence && ofTheSequence());
    }

    /** The test that was read or answered; empty for what is no answer to one. */
    default Optional<Test> about() {
        return this instanceof Reading reading ? Optional.of(reading.test()) : this instanceof Answer answer ? Optional.of(answer.test()) : Optional.empty();
    }

    /**
     * A board's lamp as found.
     *
     * @param board the board the lamp is on
     * @param weights for each pattern how likely it was this one; they need not sum to one, the rest is "none of these"
     * @param afterReset whether the power was cycled before anybody looked: the code of the failure may be gone
     * @param call the run in which it fails, as the complaint says; null for the usual one
     */
    record Lamp(String board, Map<LampPattern, Double> weights, boolean afterReset, @Nullable String call) implements Observation {
        public Lamp {
            weights = java.util.Collections.unmodifiableMap(new java.util.LinkedHashMap<>(weights));
        }

        /** As found in the usual run. */
        public Lamp(String board, Map<LampPattern, Double> weights, boolean afterReset) {
            this(board, weights, afterReset, null);
        }
    }

    /**
     * How another unit of the same site does at the same time.
     *
     * @param sameSymptom true if it fails alike, false if it runs well
     * @param sameKind true if parts may be tried from one to the other
     */
    record Twin(boolean sameSymptom, boolean sameKind) implements Observation {

        /** Of the same kind. */
        public Twin(boolean sameSymptom) {
            this(sameSymptom, true);
        }

    }

    /**
     * A part was repaired or replaced; what is observed from now on is without its fault.
     *
     * @param part by id
     */
    record Repaired(String part) implements Observation {
    }

    /**
     * Something of the sequence that was seen or heard to begin or to end.
     *
     * @param channel the line of the timing diagram, by id
     * @param begins true if it began, false if it ended
     * @param afterCall seconds after the call, at least 0
     */
    record Event(String channel, boolean begins, double afterCall) implements Observation {
        public Event {
            if (!(afterCall >= 0)) {
                throw new IllegalArgumentException("'" + channel + "' is " + afterCall + " s after the call; it must be 0 or later");
            }
        }
    }

    /**
     * Something of the sequence that had not begun when it was given up.
     *
     * @param channel the line of the timing diagram, by id
     * @param until seconds after the call up to which it was waited for, at least 0
     */
    record NotSeen(String channel, double until) implements Observation {
        public NotSeen {
            if (!(until >= 0)) {
                throw new IllegalArgumentException("'" + channel + "' was waited for " + until + " s; it must be 0 or more");
            }
        }
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

    /**
     * Something that was so at another time than now: it tells of the unit as it was then, and nothing that is measured now
     * contradicts it.
     *
     * @param what what was seen then; nothing of a watched run, no repair
     */
    record Earlier(Observation what, When when) implements Observation {
        public Earlier {
            if (!(what instanceof Lamp || what instanceof Reading || what instanceof Answer)) {
                throw new IllegalArgumentException("only a lamp, a reading or an answer can be of another time, not " + what);
            }
        }
    }

    /**
     * It came on, ran, and died while somebody watched.
     *
     * @param minutes of running until it died, above 0
     * @param first the point whose voltage went first, by net; null where nobody measured
     * @param stays a point whose voltage was still there when that went, by net; null where nobody measured
     */
    record Died(double minutes, @Nullable String first, @Nullable String stays) implements Observation {
        public Died {
            if (!(minutes > 0)) {
                throw new IllegalArgumentException("it died after " + minutes + " minutes; it must be more than 0");
            }
        }
    }

    /**
     * An earlier visit to the same unit.
     *
     * @param days ago, at least 0
     * @param part what was changed then, by id; null if nothing was
     * @param reset true if somebody reset the unit since and it ran again
     * @param same true if it fails as it did before that visit: what was changed then did not cure it
     */
    record Visited(double days, @Nullable String part, boolean reset, boolean same) implements Observation {

        /** Of which nobody knows whether it fails as before. */
        public Visited(double days, @Nullable String part, boolean reset) {
            this(days, part, reset, false);
        }

        public Visited {
            if (!(days >= 0)) {
                throw new IllegalArgumentException("the earlier visit was " + days + " days ago; it must be 0 or more");
            }
        }
    }

    /**
     * What a company's own records say before anything is seen: how much likelier a part is at fault there than by the pack.
     *
     * @param factors by part, each above 0; 1 for a part that is not in it
     */
    record Experience(Map<String, Double> factors) implements Observation {
        public Experience {
            factors = Map.copyOf(factors);
            factors.forEach((part, factor) -> {
                if (!(factor > 0) || Double.isInfinite(factor)) {
                    throw new IllegalArgumentException("part '" + part + "' is " + factor + " times as likely; it must be above 0");
                }
            });
        }

        /** Of the parts of a hypothesis together. */
        double factor(List<Part> parts) {
            double together = 1;
            for (Part part : parts) {
                together *= factors.getOrDefault(part.id(), 1.0);
            }
            return together;
        }
    }

    /**
     * A test that cannot be made here: it tells nothing of the unit, and the plan goes on without it and its like.
     *
     * @param test what was asked for
     * @param why what is in the way
     */
    record Unable(Test test, Obstacle why) implements Observation {

        /** True for a test that the same is in the way of: the same; at the same place, or with the same kind of instrument. */
        public boolean covers(Test other) {
            return other.id().equals(test.id()) || test instanceof Test.Reading mine && other instanceof Test.Reading theirs
                    && (why == Obstacle.TOOL ? mine.mode() == theirs.mode() : mine.place().same(theirs.place()));
        }
    }

    /** A question answered. */
    record Answer(Test.Check test, boolean yes) implements Observation {
    }
}
