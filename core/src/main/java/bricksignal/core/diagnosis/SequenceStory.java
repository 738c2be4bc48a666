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

    private SequenceStory() {
    }

    /** The test: a call is placed and the stages are watched until the last one should have come. */
    static Optional<Test.Sequence> test(CompiledPack pack) {
        Moment usual = pack.model().moments().stream().filter(m -> m.during() == null
                && m.scenario().equals(pack.model().scenarios().get(0).id())).findFirst().orElse(null);
        return usual == null || perceived(pack).isEmpty() ? Optional.empty() : Optional.of(new Test.Sequence(ID,
                "Place a call and watch the sequence by the clock", usual.id(),
                PLACE_CALL_MINUTES + horizon(pack) / 60));
    }

    /** What can be seen or heard to begin after the call. */
    static List<UnitModel.Channel> perceived(CompiledPack pack) {
        return pack.model().channels().stream().filter(channel -> perceived(channel.when())
                && first(pack, channel, pack.healthy(), true, 0).isPresent()
                && !SequenceModel.of(pack, channel.id()).runsBefore(pack.healthy())).toList();
    }

    private static boolean perceived(Expr when) {
        return when.names().stream().noneMatch(name -> name.startsWith("in.") || name.startsWith("powered.")
                || name.startsWith("action.") || name.startsWith("state."));
    }

    /** How long it is watched, seconds after the call: until the last of them is late for sure, and a little longer. */
    private static double horizon(CompiledPack pack) {
        return perceived(pack).stream().mapToDouble(channel -> first(pack, channel, pack.healthy(), true, 0).orElseThrow())
                .map(SequenceModel::lateAfter).max().orElse(0) + LONGER_SECONDS;
    }

    /** What is told of a hypothesis, with the probability of each; a fault that comes and goes is there or not. */
    static Map<String, Double> of(CompiledPack pack, Hypothesis h) {
        Map<String, Double> told = new LinkedHashMap<>();
        told.put(of(pack, h.unit()), h.duty());
        if (h.comesAndGoes()) {
            told.merge(AS_IT_SHOULD, 1 - h.duty(), Double::sum);
        }
        return told;
    }

    private static String of(CompiledPack pack, VirtualUnit unit) {
        double horizon = horizon(pack);
        String what = AS_IT_SHOULD;
        double when = horizon;
        for (UnitModel.Channel channel : perceived(pack)) {
            double expected = first(pack, channel, pack.healthy(), true, 0).orElseThrow();
            double late = SequenceModel.lateAfter(expected);
            Optional<Double> begins = first(pack, channel, unit, true, 0);
            if (SequenceModel.of(pack, channel.id()).runsBefore(unit)) {
                return channel.label() + " runs before the call";
            }
            if (begins.isEmpty() || begins.get() > late) {
                if (expected < when) {
                    when = expected;
                    what = channel.label() + (begins.isPresent() && begins.get() < horizon ? " late" : " does not come");
                }
                continue;
            }
            Optional<Double> ends = first(pack, channel, unit, false, begins.get());
            double should = first(pack, channel, pack.healthy(), false, expected).orElse(Double.POSITIVE_INFINITY);
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
    static List<Observation> seen(CompiledPack pack, VirtualUnit unit) {
        double horizon = horizon(pack);
        List<Observation> seen = new ArrayList<>();
        for (UnitModel.Channel channel : perceived(pack)) {
            double begins = first(pack, channel, unit, true, 0).orElse(Double.POSITIVE_INFINITY);
            if (begins > horizon) {
                seen.add(new Observation.NotSeen(channel.id(), horizon));
                continue;
            }
            seen.add(new Observation.Event(channel.id(), true, begins));
            first(pack, channel, unit, false, begins).filter(ends -> ends < horizon)
                    .ifPresent(ends -> seen.add(new Observation.Event(channel.id(), false, ends)));
        }
        return seen;
    }

    /** When the channel first begins or ends after a time, seconds after the call. */
    private static Optional<Double> first(CompiledPack pack, UnitModel.Channel channel, VirtualUnit unit, boolean begins, double after) {
        List<Double> edges = new ArrayList<>(SequenceModel.of(pack, channel.id()).edges(unit, begins));
        edges.removeIf(edge -> edge < after);
        return edges.stream().findFirst();
    }
}
