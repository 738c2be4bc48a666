package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.List;
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
 * @param stages names for stretches of the sound run
 */
public record Strip(double from, double to, double callAt, List<Line> channels, List<Named> stages) {

    private static final double NEGLIGIBLE = 0.003;
    private static final double BEFORE_SECONDS = 6;
    private static final double AFTER_SECONDS = 15;

    /** A stretch of time in which something is on with some probability. */
    public record Stretch(double from, double to, double probability) {
    }

    /** One channel. */
    public record Line(String id, String label, List<Stretch> expected, List<Stretch> believed) {
    }

    /** A stage of the sound run. */
    public record Named(String id, String label, String seen, double from, double to) {
    }

    /** The strip of a diagnosis, around the usual call. */
    public static Strip of(Diagnosis diagnosis) {
        CompiledPack pack = diagnosis.pack();
        UnitModel model = pack.model();
        double found = model.found().from();
        double last = model.moments().stream().mapToDouble(m -> pack.momentSeconds(m.id())).filter(at -> at < found).max()
                .orElse(found);
        double call = SequenceModel.callSeconds(model);
        double from = Math.max(0, call - BEFORE_SECONDS);
        double to = last + AFTER_SECONDS;
        List<Line> lines = SequenceModel.usual(pack).stream().map(c -> new Line(c.id(), c.label(),
                stretches(pack.healthy().usualRun(), c.when(), from, to), believed(diagnosis, c.when(), from, to))).toList();
        return new Strip(from, to, call, lines, stages(pack, from, to));
    }

    private static List<Named> stages(CompiledPack pack, double from, double to) {
        List<Named> named = new ArrayList<>();
        for (UnitModel.Stage stage : pack.model().stages()) {
            pack.healthy().usualRun().firstStretch(stage.when()).filter(s -> s[0] < to && s[1] > from).ifPresent(
                    s -> named.add(new Named(stage.id(), stage.label(), stage.seen(), Math.max(from, s[0]),
                            Math.min(to, s[1]))));
        }
        return named;
    }

    private static List<Stretch> stretches(Timeline run, Expr when, double from, double to) {
        List<Stretch> stretches = new ArrayList<>();
        for (Timeline.Interval interval : run.intervals()) {
            if (interval.end() > from && interval.start() < to && when.holds(interval.middle())) {
                append(stretches, new Stretch(Math.max(from, interval.start()), Math.min(to, interval.end()), 1));
            }
        }
        return stretches;
    }

    private static List<Stretch> believed(Diagnosis diagnosis, Expr when, double from, double to) {
        List<List<Stretch>> each = new ArrayList<>();
        List<Double> weights = new ArrayList<>();
        Set<Double> breaks = new TreeSet<>();
        for (int h : diagnosis.places()) {
            if (diagnosis.belief(h) > NEGLIGIBLE) {
                List<Stretch> on = stretches(diagnosis.hypothesis(h).unit().usualRun(), when, from, to);
                each.add(on);
                weights.add(diagnosis.belief(h));
                on.forEach(s -> breaks.addAll(List.of(s.from(), s.to())));
            }
        }
        List<Stretch> believed = new ArrayList<>();
        double total = weights.stream().mapToDouble(Double::doubleValue).sum();
        Double start = null;
        for (double end : breaks) {
            if (start != null && end > start) {
                double p = 0;
                for (int i = 0; i < each.size(); i++) {
                    p += covers(each.get(i), (start + end) / 2) ? weights.get(i) / total : 0;
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
