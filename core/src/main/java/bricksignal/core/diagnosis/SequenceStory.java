package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What somebody tells who placed a call and watched with a clock: everything came in time, or the first thing that did not.
 * Only what can be seen or heard counts; what a board senses is not seen.
 */
final class SequenceStory {

    private static final String ID = "watch.sequence";
    private static final double PLACE_CALL_MINUTES = 0.5;
    private static final double LONGER_SECONDS = 20;

    private final UnitModel model;
    private final Map<UnitModel.Channel, ChannelRun> perceived = new LinkedHashMap<>();
    private final double horizon;

    /**
     * The story of a unit.
     *
     * @param nominal the usual run of the unit in good order
     */
    SequenceStory(UnitModel model, Timeline nominal) {
        this.model = model;
        double call = SequenceModel.callSeconds(model);
        for (UnitModel.Channel channel : model.channels()) {
            ChannelRun run = ChannelRun.of(nominal, channel.when(), call, model.found().to() - call);
            if (channel.perceived() && first(run, true, 0).isPresent() && !run.runsBefore()) {
                perceived.put(channel, run);
            }
        }
        this.horizon = perceived.values().stream().mapToDouble(run -> SequenceModel.lateAfter(run.begins().get(0))).max()
                .orElse(0) + LONGER_SECONDS;
    }

    /** The test: a call is placed and the stages are watched until the last one is late for sure, and a little longer. */
    List<Test.Sequence> test() {
        Moment usual = model.moments().stream().filter(m -> m.during() == null
                && m.scenario().equals(model.scenarios().get(0).id())).findFirst().orElse(null);
        return usual == null || perceived.isEmpty() ? List.of() : List.of(new Test.Sequence(ID, Message.of("test.sequence"),
                usual.id(), PLACE_CALL_MINUTES + horizon / 60));
    }

    /** What can be seen or heard to begin after the call. */
    List<UnitModel.Channel> perceived() {
        return List.copyOf(perceived.keySet());
    }

    /** What is told of a run, with the probability of each; an intermittent fault is there or not. */
    Map<Told, Double> told(RunRecord run, double duty) {
        Map<Told, Double> told = new LinkedHashMap<>();
        told.put(of(run), duty);
        if (duty < 1) {
            told.merge(Told.IN_TIME, 1 - duty, Double::sum);
        }
        return told;
    }

    private Told of(RunRecord record) {
        Told what = Told.IN_TIME;
        double when = horizon;
        for (Map.Entry<UnitModel.Channel, ChannelRun> entry : perceived.entrySet()) {
            String label = entry.getKey().label();
            ChannelRun run = Known.in(record.channels(), entry.getKey().id());
            double expected = entry.getValue().begins().get(0);
            double late = SequenceModel.lateAfter(expected);
            Optional<Double> begins = first(run, true, 0);
            if (run.runsBefore()) {
                return new Told(Told.Kind.RUNS_BEFORE, label);
            }
            if (begins.isEmpty() || begins.get() > late) {
                if (expected < when) {
                    when = expected;
                    what = new Told(begins.isPresent() && begins.get() < horizon ? Told.Kind.LATE : Told.Kind.MISSING, label);
                }
                continue;
            }
            Optional<Double> ends = first(run, false, begins.get());
            double should = first(entry.getValue(), false, expected).orElse(Double.POSITIVE_INFINITY);
            if (begins.get() < expected - (late - expected) && begins.get() < when) {
                when = begins.get();
                what = new Told(Told.Kind.EARLY, label);
            } else if (ends.isPresent() && SequenceModel.lateAfter(ends.get()) < should && ends.get() < when) {
                when = ends.get();
                what = new Told(Told.Kind.STOPS_AGAIN, label);
            }
        }
        return what;
    }

    /** What somebody sees who watches a unit and misses nothing: the first beginning of everything, and its end if it comes. */
    List<Observation> seen(Timeline usualRun) {
        double call = SequenceModel.callSeconds(model);
        List<Observation> seen = new ArrayList<>();
        for (UnitModel.Channel channel : perceived.keySet()) {
            ChannelRun run = ChannelRun.of(usualRun, channel.when(), call, model.found().to() - call);
            double begins = first(run, true, 0).orElse(Double.POSITIVE_INFINITY);
            if (begins > horizon) {
                seen.add(new Observation.NotSeen(channel.id(), horizon));
                continue;
            }
            seen.add(new Observation.Event(channel.id(), true, begins));
            first(run, false, begins).filter(ends -> ends < horizon)
                    .ifPresent(ends -> seen.add(new Observation.Event(channel.id(), false, ends)));
        }
        return seen;
    }

    /** When the channel first begins or ends after a time, seconds after the call. */
    private static Optional<Double> first(ChannelRun run, boolean begins, double after) {
        return run.edges(begins).stream().filter(edge -> edge >= after).findFirst();
    }
}
