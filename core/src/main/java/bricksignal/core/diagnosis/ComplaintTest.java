package bricksignal.core.diagnosis;

import bricksignal.core.board.run.Scenario;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is complained of, where more than one thing can be called for: no heat, no cooling, no fan. Who lives with a unit tells of the call that the
 * weather makes; that the others fail as well he may not know. Common practice; the figures are from memory.
 */
final class ComplaintTest {

    private static final double MINUTES = 0.2;
    /** It is this call alone that fails. */
    private static final double SAID_OF_IT_ALONE = 0.92;
    /** It fails, and so do others: said of it if the weather makes this call. */
    private static final double SAID_OF_IT_TOO = 0.6;
    /** It does not fail, another does: the wrong thing was said, or heard. */
    private static final double SAID_OF_ANOTHER = 0.04;
    /** Nothing fails. */
    private static final double SAID_OF_NOTHING = 0.2;

    private ComplaintTest() {
    }

    static List<Test.Check> of(UnitModel model) {
        return model.calledFor().stream().map(scenario -> check(model, scenario)).toList();
    }

    private static Test.Check check(UnitModel model, Scenario scenario) {
        Moment moment = model.moments().stream().filter(m -> m.scenario().equals(scenario.id())).findFirst().orElseThrow();
        return new Test.Check("complaint." + scenario.id(), Message.of("test.complaint", Message.said(String.valueOf(scenario.called()))),
                Test.Sense.COMPLAINT, moment.id(), null, Map.of(), SAID_OF_ANOTHER, MINUTES, "", Change.NONE);
    }

    /**
     * Probability of yes.
     *
     * @param fails the runs that are not as they should be, by id
     * @param scenario the run that is asked for, by id
     */
    static double yes(Set<String> fails, String scenario) {
        return fails.isEmpty() ? SAID_OF_NOTHING : !fails.contains(scenario) ? SAID_OF_ANOTHER : fails.size() == 1 ? SAID_OF_IT_ALONE : SAID_OF_IT_TOO;
    }
}
