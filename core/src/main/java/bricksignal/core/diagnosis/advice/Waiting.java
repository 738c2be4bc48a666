package bricksignal.core.diagnosis.advice;

import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Optional;

/**
 * What a unit in good order does by itself for a while after power came, before anything is called for: a purge, a test of itself.
 * Until it rests nothing of it is a fault, and nothing else can be said of it.
 *
 * @param seconds after power came until it rests, at least {@link #LEAST_SECONDS}
 * @param meanwhile the channels that are on in that time and are not when it rests
 */
public record Waiting(double seconds, List<UnitModel.Channel> meanwhile) {

    /** Nobody has looked before this is over (our own judgement). */
    public static final double LEAST_SECONDS = 30;

    public Waiting {
        meanwhile = List.copyOf(meanwhile);
    }

    /** The wait of a unit after power came; empty where it rests at once. */
    public static Optional<Waiting> of(CompiledPack pack) {
        Scenario usual = pack.model().scenarios().get(0);
        double powered = usual.steps().stream().filter(step -> step.action().equals("power")).mapToDouble(Scenario.Step::at).min().orElse(0);
        double next = usual.steps().stream().mapToDouble(Scenario.Step::at).filter(at -> at > powered).min().orElse(usual.seconds());
        List<Timeline.Interval> alone = pack.nominal().usualRun().intervals().stream()
                .filter(interval -> interval.start() >= powered && interval.end() <= next).toList();
        double rests = powered;
        for (int i = 1; i < alone.size(); i++) {
            if (!looksAlike(pack.model(), alone.get(i - 1), alone.get(i))) {
                rests = alone.get(i).start();
            }
        }
        if (rests - powered < LEAST_SECONDS) {
            return Optional.empty();
        }
        double until = rests;
        Timeline.Interval atRest = alone.get(alone.size() - 1);
        return Optional.of(new Waiting(rests - powered, pack.model().channels().stream().filter(channel -> !channel.when().holds(atRest.middle())
                && alone.stream().anyMatch(interval -> interval.end() <= until && channel.when().holds(interval.middle()))).toList()));
    }

    private static boolean looksAlike(UnitModel model, Timeline.Interval one, Timeline.Interval other) {
        return one.unit().lamps().equals(other.unit().lamps())
                && model.channels().stream().allMatch(channel -> channel.when().holds(one.middle()) == channel.when().holds(other.middle()));
    }
}
