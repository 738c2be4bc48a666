package bricksignal.core.unit;

import bricksignal.core.board.Expr;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.words.Message;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Something a technician can do that tells something. */
public sealed interface Test {

    String id();

    /** As people say it. */
    Message label();

    /** The moment of the run, by id. */
    String moment();

    /** Minutes beyond reaching the points and waiting for the moment, at least 0. */
    double minutes();

    /**
     * A number off an instrument.
     *
     * @param setup how the unit stands
     * @param tolerance relative spread of a part in good order, one sigma; 0 takes that of the mode
     */
    record Reading(String id, Message label, MeterMode mode, Place place, String moment, Setup setup, double minutes,
            double tolerance) implements Test {
        public Reading {
            if (!(minutes >= 0) || !(tolerance >= 0)) {
                throw new IllegalArgumentException("reading '" + id + "': minutes and tolerance must be at least 0");
            }
        }
    }

    /** A run watched from the call with a clock: what comes when. Its answers are the events that were seen. */
    record Sequence(String id, Message label, String moment, double minutes) implements Test {
    }

    /** The sense or hand a check uses. */
    enum Sense {
        LOOK, SMELL, HEAR, FEEL, RESEAT, TRY,
        /** The part is changed against that of a twin that runs well: does the fault go with it. */
        SWAP,
        /** A new part from the van: does it run now. */
        SUBSTITUTE,
        /** The power is cycled: does it run. */
        RESET,
        /** It is run until all is warm: does it fail. */
        WARM,
        /** Several cycles are watched: does it fail in one. */
        CYCLES,
        /** Somebody who lives with it is asked: does it come and go. */
        ASK,
        /** The same: is it this call that fails. */
        COMPLAINT;

        /** True where nothing is touched: a look, a listen, a smell. */
        public boolean onlyPerceives() {
            return this == LOOK || this == HEAR || this == SMELL;
        }

        /** True where a part is changed to see whether the fault goes with it. */
        public boolean changesAPart() {
            return this == SWAP || this == SUBSTITUTE;
        }

        /** True where the unit is only watched, to find what is intermittent. */
        public boolean watches() {
            return this == RESET || this == WARM || this == CYCLES;
        }

        /** True where the whole unit is watched or somebody is asked: there is no moment to come to. */
        public boolean onlyAsks() {
            return tellsOfTime() || this == COMPLAINT;
        }

        /** True where the answer tells whether what is wrong stays or comes and goes, whatever it is. */
        public boolean tellsOfTime() {
            return watches() || this == ASK;
        }
    }

    /**
     * A question with yes or no as the answer.
     *
     * @param when the condition of the unit that makes the answer yes, or null where only {@code tells} speaks
     * @param tells for some faults, by id, the probability of yes
     * @param otherwise probability of yes for every fault that neither speaks of, 0 to 1
     * @param connector what is reseated, for {@link Sense#RESEAT}, or empty
     * @param change what is put into the unit for it and must come out again
     * @param noticed what it finds that anybody notices who lives with the unit; empty where it takes a technician
     * @param station where somebody stands for it
     */
    record Check(String id, Message label, Sense sense, String moment, @Nullable Expr when, Map<String, Double> tells,
            double otherwise, double minutes, String connector, Change change, Optional<Noticed> noticed, Station station) implements Test {

        /** One that takes a technician. */
        public Check(String id, Message label, Sense sense, String moment, @Nullable Expr when, Map<String, Double> tells,
                double otherwise, double minutes, String connector, Change change) {
            this(id, label, sense, moment, when, tells, otherwise, minutes, connector, change, Optional.empty(), Station.UNIT);
        }

        public Check {
            tells = Map.copyOf(tells);
            if (!(otherwise >= 0 && otherwise <= 1)) {
                throw new IllegalArgumentException("check '" + id + "': 'otherwise' is " + otherwise + "; it must be 0 to 1");
            }
        }

        /** The same where it tells otherwise of faults. */
        public Check telling(Map<String, Double> others) {
            return new Check(id, label, sense, moment, when, others, otherwise, minutes, connector, change, noticed, station);
        }

        /** What is new for the test and stays in if it holds, by element: a fuse. Such a check says {@code when: closed.ELEMENT}. */
        public Optional<String> renews() {
            return sense == Sense.TRY && when instanceof Expr.Name name && name.kind() == Expr.Kind.CLOSED ? Optional.of(name.of()) : Optional.empty();
        }
    }
}
