package bricksignal.core.diagnosis;

/** What a hypothesis is about: its identity within a unit. */
public sealed interface HypothesisId {

    /** Its name, the same in every run of the program. */
    String text();

    /** A listed fault that stays. */
    record Single(String fault) implements HypothesisId {
        @Override
        public String text() {
            return fault;
        }
    }

    /** A listed fault that is there some of the time. */
    record Intermittent(String fault) implements HypothesisId {
        @Override
        public String text() {
            return fault + ".intermittent";
        }
    }

    /** The same while the unit is seen to fail: then it is nearly always there. */
    record Failing(String fault) implements HypothesisId {
        @Override
        public String text() {
            return fault + ".failing";
        }
    }

    /** A listed fault that has gone half as far as the pack has it. */
    record Milder(String fault) implements HypothesisId {
        @Override
        public String text() {
            return fault + ".milder";
        }
    }

    /**
     * A cause as it is found that takes something with it which dies for good, a fuse: gone already, whenever its run would take it.
     *
     * @param of the cause, whose run takes it
     */
    record Spent(HypothesisId of) implements HypothesisId {
        @Override
        public String text() {
            return of.text() + ".spent";
        }
    }

    /** A thing that had died by itself, a fuse open without a short, once a new one is in. */
    record Renewed(String fault) implements HypothesisId {
        @Override
        public String text() {
            return fault + ".renewed";
        }
    }

    /** Two listed faults at once, in the order of the pack. */
    record Pair(String one, String other) implements HypothesisId {
        @Override
        public String text() {
            return one + "+" + other;
        }
    }

    /** A failure that the pack does not list although its physics knows it. */
    record Unlisted(String failure) implements HypothesisId {
        @Override
        public String text() {
            return failure;
        }
    }
}
