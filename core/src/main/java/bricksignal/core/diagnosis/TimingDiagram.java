package bricksignal.core.diagnosis;

import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Phrase;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * The timing diagram of a unit: for each channel when it should be on, and how probable it is, with what is known, that it
 * is on. Times are seconds of the usual run.
 *
 * @param from start of the window
 * @param to end of the window
 * @param callAt when the call is placed
 * @param channels lines, in the order of the pack
 * @param stages names for stretches of the nominal run
 */
public record TimingDiagram(double from, double to, double callAt, List<Line> channels, List<Named> stages) {

    private static final double NEGLIGIBLE = 0.003;
    private static final double BEFORE_SECONDS = 6;
    private static final double AFTER_SECONDS = 15;

    /** A stretch of time in which something is on with some probability. */
    public record Stretch(double from, double to, double probability) {
    }

    /** One channel. */
    public record Line(String id, @Phrase String label, List<Stretch> expected, List<Stretch> believed) {
    }

    /** A stage of the nominal run. */
    public record Named(String id, @Phrase String label, @Phrase String seen, double from, double to) {
    }

    /** The timing diagram of a diagnosis, around the usual call. */
    public static TimingDiagram of(Diagnosis diagnosis) {
        CompiledPack pack = diagnosis.pack();
        Map<HypothesisId, Double> likely = new LinkedHashMap<>();
        for (HypothesisId h : diagnosis.hypotheses()) {
            if (diagnosis.belief(h) > NEGLIGIBLE) {
                likely.merge(pack.space().get(h).run(), diagnosis.belief(h), Double::sum);
            }
        }
        return of(pack, likely);
    }

    /** The same of a unit that is known to be in good order. */
    public static TimingDiagram inGoodOrder(CompiledPack pack) {
        return of(pack, Map.of(pack.space().nothing(), 1.0));
    }

    private static TimingDiagram of(CompiledPack pack, Map<HypothesisId, Double> likely) {
        UnitModel model = pack.model();
        double found = model.found().from();
        double last = model.moments().stream().mapToDouble(m -> pack.catalogue().seconds(m.id())).filter(at -> at < found).max()
                .orElse(found);
        double call = SequenceModel.callSeconds(model);
        double from = Math.max(0, call - BEFORE_SECONDS);
        double to = last + AFTER_SECONDS;
        List<Line> lines = SequenceModel.usual(pack).stream().map(c -> new Line(c.id(), c.label(),
                expected(pack.runs().channel(pack.space().nothing(), c.id()), from, to),
                believed(pack, likely, c.id(), from, to))).toList();
        return new TimingDiagram(from, to, call, lines, stages(pack, from, to));
    }

    private static List<Named> stages(CompiledPack pack, double from, double to) {
        List<Named> named = new ArrayList<>();
        pack.stages().forEach((stage, span) -> {
            if (span.from() < to && span.to() > from) {
                named.add(new Named(stage.id(), stage.label(), stage.seen(), Math.max(from, span.from()),
                        Math.min(to, span.to())));
            }
        });
        return named;
    }

    private static List<Stretch> expected(ChannelRun run, double from, double to) {
        return run.spans().stream().filter(span -> span.to() > from && span.from() < to)
                .map(span -> new Stretch(Math.max(from, span.from()), Math.min(to, span.to()), 1)).toList();
    }

    private static List<Stretch> believed(CompiledPack pack, Map<HypothesisId, Double> likely, String channel, double from,
            double to) {
        Map<List<Stretch>, Double> weights = new LinkedHashMap<>();
        Set<Double> breaks = new TreeSet<>();
        likely.forEach((run, weight) -> {
            List<Stretch> on = expected(pack.runs().channel(run, channel), from, to);
            weights.merge(on, weight, Double::sum);
            on.forEach(s -> breaks.addAll(List.of(s.from(), s.to())));
        });
        List<Stretch> believed = new ArrayList<>();
        double total = likely.values().stream().mapToDouble(Double::doubleValue).sum();
        Double start = null;
        for (double end : breaks) {
            if (start != null && end > start) {
                double middle = (start + end) / 2;
                double p = 0;
                for (Map.Entry<List<Stretch>, Double> entry : weights.entrySet()) {
                    p += covers(entry.getKey(), middle) ? entry.getValue() / total : 0;
                }
                if (p > NEGLIGIBLE) {
                    append(believed, new Stretch(start, end, p));
                }
            }
            start = end;
        }
        return believed;
    }

    private static boolean covers(List<Stretch> stretches, double at) {
        return stretches.stream().anyMatch(s -> s.from() <= at && at < s.to());
    }

    /** Adds a stretch, joined to the last one where they touch and are alike. */
    private static void append(List<Stretch> stretches, Stretch next) {
        int last = stretches.size() - 1;
        if (last >= 0 && stretches.get(last).to() >= next.from()
                && Math.abs(stretches.get(last).probability() - next.probability()) < NEGLIGIBLE) {
            stretches.set(last, new Stretch(stretches.get(last).from(), next.to(), next.probability()));
        } else {
            stretches.add(next);
        }
    }
}
