package bricksignal.core.diagnosis;

import bricksignal.core.unit.Change;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;

/**
 * The call is taken off and the unit watched until it should be at rest: what still runs or burns. It is what finds a welded
 * contact, a valve that leaks by, a board that holds still. Common practice; its figures are from memory.
 */
final class RestTest {

    private static final double MISSED = 0.01;
    private static final double MINUTES = 1;

    private RestTest() {
    }

    /** The tests, for a unit whose pack says when it is at rest: one for each thing that can be seen or heard to go on. */
    static List<Test.Check> of(UnitModel model, VirtualUnit nominal, List<UnitModel.Channel> perceived) {
        return model.afterCall().map(rest -> perceived.stream()
                .filter(channel -> !nominal.holds(channel.when(), rest.scenario(), nominal.secondsOf(rest)))
                .map(channel -> check(rest, channel)).toList()).orElse(List.of());
    }

    private static Test.Check check(Moment rest, UnitModel.Channel channel) {
        return new Test.Check("rest." + channel.id(), Message.of("test.rest", Message.said(channel.label())), Test.Sense.LOOK, rest.id(),
                channel.when(), Map.of(), MISSED, MINUTES, "", Change.NONE);
    }
}
