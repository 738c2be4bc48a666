package bricksignal.core.unit;

import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a board can be made to do by a key, a test terminal or a mode of its own, without any call: a self-test, a test run, a forced defrost; and what starts
 * then in a unit in good order.
 *
 * @param done what is held or jumped, as people say it
 * @param starts what starts, in the order in which it does
 */
public record KeyRun(Message done, List<CallAlone.Start> starts) {

    public KeyRun {
        starts = List.copyOf(starts);
    }

    /** What the keys of a unit do, in the order of its scenarios; the usual run is none of them. */
    public static List<KeyRun> of(UnitModel model, VirtualUnit nominal) {
        List<KeyRun> keys = new ArrayList<>();
        for (Scenario scenario : model.scenarios().subList(1, model.scenarios().size())) {
            model.checks().stream().filter(check -> check.change().kind() == Change.Kind.HELD && model.moment(check.moment()).scenario().equals(scenario.id()))
                    .findFirst().ifPresent(check -> keys.add(new KeyRun(check.change().says(), starts(model, nominal.run(scenario.id())))));
        }
        return keys.stream().filter(key -> !key.starts().isEmpty()).toList();
    }

    /** What starts once the last thing was done that is not undone again. */
    private static List<CallAlone.Start> starts(UnitModel model, Timeline run) {
        double at = run.scenario().steps().stream().filter(step -> step.value() != 0).mapToDouble(Scenario.Step::at).max().orElse(0);
        return model.channels().stream().filter(UnitModel.Channel::perceived).map(channel -> new CallAlone.Start(channel, CallAlone.begins(run, channel, at) - at))
                .filter(start -> Double.isFinite(start.seconds())).sorted(Comparator.comparingDouble(CallAlone.Start::seconds)).toList();
    }
}
