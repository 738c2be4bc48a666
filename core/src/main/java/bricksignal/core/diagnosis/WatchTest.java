package bricksignal.core.diagnosis;

import bricksignal.core.unit.Change;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;

/**
 * Tests that every unit has and that only watch: the power cycled and a whole cycle seen, a run until all is warm, several
 * cycles. They are what finds an intermittent fault. Chances are common practice, from memory.
 */
final class WatchTest {

    /** Share of the time in which an intermittent fault is there, when nothing provokes it. */
    static final double DUTY = 0.35;

    /** The same right after it was seen to fail: measured at that moment. */
    static final double DUTY_FAILING = 0.9;

    /** The same once all is warm. */
    static final double DUTY_WARM = 0.6;
    private static final int CYCLES = 5;
    private static final double WARM_MINUTES = 20;
    /** A third time and no more: common practice, no source. */
    private static final int MOST_TIMES = 3;
    private static final double ASK_MINUTES = 0.2;
    /** What people say of a fault that comes and goes, of one that stays, and of a unit in good order. */
    private static final double SAID_OF_SELDOM = 0.85;
    private static final double SAID_OF_LASTING = 0.08;
    private static final double SAID_OF_NOTHING = 0.3;
    /** What nobody can explain is seen so often. */
    static final double BY_CHANCE = 0.02;

    private WatchTest() {
    }

    static List<Test.Check> of(UnitModel model) {
        Moment usual = model.moments().stream().filter(m -> m.span() > 0).findFirst().orElse(model.moments().get(0));
        double cycle = (model.found().from() + model.found().to()) / 2 / 60 / 2;
        return List.of(
                check("ask.seldom", Test.Sense.ASK, usual, ASK_MINUTES),
                check("watch.reset", Test.Sense.RESET, usual, cycle + 1),
                check("watch.warm", Test.Sense.WARM, usual, WARM_MINUTES),
                check("watch.cycles", Test.Sense.CYCLES, usual, CYCLES * (cycle + 1)));
    }

    private static Test.Check check(String id, Test.Sense sense, Moment moment, double minutes) {
        return new Test.Check(id, Message.of("test." + id, new Message.Number(sense == Test.Sense.CYCLES ? CYCLES : WARM_MINUTES)), sense, moment.id(), null, Map.of(), BY_CHANCE, minutes, "", Change.NONE);
    }

    /** True if an answer shows that the unit is failing now. */
    static boolean seenToFail(Observation observation) {
        return observation instanceof Observation.Died || observation instanceof Observation.Answer a && a.yes() && (a.test().sense() == Test.Sense.WARM
                || a.test().sense() == Test.Sense.CYCLES);
    }

    /**
     * How often a test may be made on one unit: what is intermittent is watched for again, and who finds nothing pushes every plug home again.
     *
     * @param nothing whether nothing wrong is what leads
     */
    static int most(Test test, boolean nothing) {
        return test instanceof Test.Check check && (check.sense().watches() || nothing && check.sense() == Test.Sense.RESEAT) ? MOST_TIMES : 1;
    }

    /**
     * Probability of yes.
     *
     * @param fails whether the run of the unit, with the fault in it, is not as it should be
     * @param duty share of the time in which the fault is there
     * @param onset minutes of running after which an intermittent fault comes; 0 where it comes at any time
     */
    static double yes(Test.Sense sense, boolean fails, double duty, double onset) {
        double once = fails ? duty : 0;
        boolean seldom = duty < 1 && fails;
        if (sense == Test.Sense.ASK) {
            return seldom ? SAID_OF_SELDOM : fails ? SAID_OF_LASTING : SAID_OF_NOTHING;
        }
        double seen = switch (sense) {
            case RESET -> seldom && onset > 0 ? 1 : 1 - once;
            case WARM -> !seldom ? once : onset > 0 ? DUTY_FAILING * Onset.within(WARM_MINUTES, onset) : DUTY_WARM;
            default -> 1 - Math.pow(1 - once, CYCLES);
        };
        return BY_CHANCE + seen * (1 - 2 * BY_CHANCE);
    }
}
