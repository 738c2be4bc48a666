package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
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

    /** Nothing to tell. */
    static final String AS_IT_SHOULD = "everything in time";

    private static final String ID = "watch.sequence";
    private static final double PLACE_CALL_MINUTES = 0.5;
    private static final double LONGER_SECONDS = 20;

    private final CompiledPack pack;
    private final List<UnitModel.Channel> perceived;
    private final double horizon;

    SequenceStory(CompiledPack pack) {
        this.pack = pack;
        this.perceived = pack.model().channels().stream().filter(channel -> perceived(channel.when())
                && first(channel, pack.healthy(), true, 0).isPresent() && !times(channel).runsBefore(pack.healthy())).toList();
        this.horizon = perceived.stream().mapToDouble(this::expected).map(SequenceModel::lateAfter).max().orElse(0)
                + LONGER_SECONDS;
    }

    /** The test: a call is placed and the stages are watched until the last one is late for sure, and a little longer. */
    Optional<Test.Sequence> test() {
        Moment usual = pack.model().moments().stream().filter(m -> m.during() == null
                && m.scenario().equals(pack.model().scenarios().get(0).id())).findFirst().orElse(null);
        return usual == null || perceived.isEmpty() ? Optional.empty() : Optional.of(new Test.Sequence(ID,
                "Place a call and watch the sequence by the clock", usual.id(), PLACE_CALL_MINUTES + horizon / 60));
    }

    /** What can be seen or heard to begin after the call. */
    List<UnitModel.Channel> perceived() {
        return perceived;
    }

    private static boolean perceived(Expr when) {
        return when.names().stream().noneMatch(name -> name.startsWith("in.") || name.startsWith("powered.")
                || name.startsWith("action.") || name.startsWith("state."));
    }

    /** What is told of a hypothesis, with the probability of each; a fault that comes and goes is there or not. */
    Map<String, Double> of(Hypothesis h) {
        Map<String, Double> told = new LinkedHashMap<>();
        told.put(of(h.unit()), h.duty());
        if (h.comesAndGoes()) {
            told.merge(AS_IT_SHOULD, 1 - h.duty(), Double::sum);
        }
        return told;
    }

    private String of(VirtualUnit unit) {
        String what = AS_IT_SHOULD;
        double when = horizon;
        for (UnitModel.Channel channel : perceived) {
            double expected = expected(channel);
            double late = SequenceModel.lateAfter(expected);
            Optional<Double> begins = first(channel, unit, true, 0);
            if (times(channel).runsBefore(unit)) {
                return channel.label() + " runs before the call";
            }
            if (begins.isEmpty() || begins.get() > late) {
                if (expected < when) {
                    when = expected;
                    what = channel.label() + (begins.isPresent() && begins.get() < horizon ? " late" : " does not come");
                }
                continue;
            }
            Optional<Double> ends = first(channel, unit, false, begins.get());
            double should = first(channel, pack.healthy(), false, expected).orElse(Double.POSITIVE_INFINITY);
            if (begins.get() < expected - (late - expected) && begins.get() < when) {
                when = begins.get();
                what = channel.label() + " early";
            } else if (ends.isPresent() && SequenceModel.lateAfter(ends.get()) < should && ends.get() < when) {
                when = ends.get();
                what = channel.label() + " stops again";
            }
        }
        return what;
    }

    /** What somebody sees who watches a unit and misses nothing: the first beginning of everything, and its end if it comes. */
    List<Observation> seen(VirtualUnit unit) {
        List<Observation> seen = new ArrayList<>();
        for (UnitModel.Channel channel : perceived) {
            double begins = first(channel, unit, true, 0).orElse(Double.POSITIVE_INFINITY);
            if (begins > horizon) {
                seen.add(new Observation.NotSeen(channel.id(), horizon));
                continue;
            }
            seen.add(new Observation.Event(channel.id(), true, begins));
            first(channel, unit, false, begins).filter(ends -> ends < horizon)
                    .ifPresent(ends -> seen.add(new Observation.Event(channel.id(), false, ends)));
        }
        return seen;
    }

    /** When a perceived channel begins in the unit in good order. */
    private double expected(UnitModel.Channel channel) {
        return first(channel, pack.healthy(), true, 0).orElseThrow();
    }

    /** When the channel first begins or ends after a time, seconds after the call. */
    private Optional<Double> first(UnitModel.Channel channel, VirtualUnit unit, boolean begins, double after) {
        return times(channel).edges(unit, begins).stream().filter(edge -> edge >= after).findFirst();
    }

    private SequenceModel times(UnitModel.Channel channel) {
        return SequenceModel.of(pack, channel.id());
    }
}
