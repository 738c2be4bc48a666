package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.lamp.LampPattern;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Records of runs as text, so that they can be taken once and read whenever the same unit is made ready. What is as in the unit in
 * good order is written {@code =}.
 *
 * <pre>
 * run     listed, milder or unlisted, the id of its fault, the runs that fail
 * found   board, then share and pattern of each that its lamp shows; so reset
 * called  the call complained of, board, then share and pattern of each that its lamp shows
 * damage  the elements that it takes with it
 * channel id, then whether it runs before, its stretches, begins and ends
 * peaks   amperes by load, in the order of the record of the unit in good order
 * stands  by moment, in the order of the unit in good order: the places of the contacts and flames that stand otherwise
 * first   board, then share and pattern of each that its lamp shows before a board stops
 * numbers mean and sigma by place in the catalogue, - where there is none
 * before  the same as numbers before a board stops, = where it is as in numbers
 * let-go  the same as numbers where a board that has stopped lets go of every output, = where it is as in numbers
 * shares  by place in the catalogue, - where there is none
 * </pre>
 */
final class RecordText {

    private static final String LISTED = "listed";
    /** Before the kind of a cause that is found gone with what it takes. */
    private static final String SPENT = "spent-";
    private static final String SAME = "=";
    private static final String NONE = "-";
    private static final String SPACE = " ";

    private static final int RUN_CELLS = 4;

    private RecordText() {
    }

    /** A run and what was taken down of it. */
    record Taken(HypothesisId run, RunRecord record) {
    }

    static String write(List<Taken> all, RunRecord good) {
        StringBuilder text = new StringBuilder();
        all.forEach(taken -> write(text, taken, good));
        return text.toString();
    }

    /**
     * Reads what was written.
     *
     * @throws IllegalArgumentException if it was written of another unit
     */
    static List<Taken> read(String text, RunRecord good) {
        List<Taken> all = new ArrayList<>();
        List<String[]> lines = new ArrayList<>();
        for (String line : text.split("\n")) {
            String[] cells = line.split("\t", -1);
            if (cells[0].equals("run") && !lines.isEmpty()) {
                all.add(taken(lines, good));
                lines.clear();
            }
            lines.add(cells);
        }
        all.add(taken(lines, good));
        return all;
    }

    /** The listed faults that were written of, by id. */
    static Set<String> listed(String text) {
        String head = "run\t" + LISTED + "\t";
        return text.lines().filter(line -> line.startsWith(head)).map(line -> line.split("\t", -1)[2]).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static void write(StringBuilder text, Taken taken, RunRecord good) {
        RunRecord r = taken.record();
        List<String> named = run(taken.run());
        line(text, List.of("run", named.get(0), named.get(1), String.join(SPACE, r.fails())));
        r.found().forEach((board, shares) -> line(text, lamp("found", board, shares, Known.in(good.found(), board))));
        r.foundBefore().forEach((board, shares) -> line(text, lamp("first", board, shares, Known.in(r.found(), board))));
        r.afterReset().forEach((board, shares) -> line(text, lamp("reset", board, shares, Known.in(good.afterReset(), board))));
        r.called().forEach((call, lamps) -> lamps.forEach((board, shares) -> line(text, lamp("called", call + SPACE + board, shares,
                Known.in(Known.in(good.called(), call), board)))));
        line(text, List.of("damage", String.join(SPACE, r.damage())));
        r.channels().forEach((id, run) -> line(text, channel(id, run, Known.in(good.channels(), id))));
        List<String> peaks = new ArrayList<>(List.of("peaks"));
        r.peaks().forEach((load, amps) -> peaks.add(amps.equals(good.peaks().get(load)) ? SAME : String.valueOf(amps)));
        line(text, peaks);
        line(text, stands(r.standing(), good.standing()));
        List<String> numbers = new ArrayList<>(List.of("numbers"));
        List<String> before = new ArrayList<>(List.of("before"));
        List<String> letGo = new ArrayList<>(List.of("let-go"));
        List<String> shares = new ArrayList<>(List.of("shares"));
        for (int i = 0; i < r.numbers().length; i++) {
            Prediction.Number number = r.numbers()[i];
            numbers.add(number == null ? NONE : number.equals(good.numbers()[i]) ? SAME : number.mean() + " " + number.sigma());
            before.add(unlike(r.numbersBefore()[i], number));
            letGo.add(unlike(r.numbersLetGo()[i], number));
            double share = r.shares()[i];
            shares.add(Double.isNaN(share) ? NONE : share == good.shares()[i] ? SAME : String.valueOf(share));
        }
        line(text, numbers);
        line(text, before);
        line(text, letGo);
        line(text, shares);
    }

    private static String unlike(Prediction.@Nullable Number then, Prediction.@Nullable Number number) {
        return then == null || then.equals(number) ? SAME : then.mean() + " " + then.sigma();
    }

    private static void line(StringBuilder text, List<String> cells) {
        text.append(String.join("\t", cells)).append('\n');
    }

    private static List<String> lamp(String what, String board, Map<LampPattern, Double> shares, Map<LampPattern, Double> good) {
        List<String> cells = new ArrayList<>(List.of(what, board));
        if (List.copyOf(shares.entrySet()).equals(List.copyOf(good.entrySet()))) {
            cells.add(SAME);
        } else {
            shares.forEach((pattern, share) -> cells.add(share + " " + pattern.text()));
        }
        return cells;
    }

    private static List<String> channel(String id, ChannelRun run, ChannelRun good) {
        if (run.equals(good)) {
            return List.of("channel", id, SAME);
        }
        List<Double> spans = new ArrayList<>();
        run.spans().forEach(span -> spans.addAll(List.of(span.from(), span.to())));
        return List.of("channel", id, String.valueOf(run.runsBefore()), joined(spans), joined(run.begins()), joined(run.ends()));
    }

    private static String joined(List<Double> numbers) {
        return String.join(" ", numbers.stream().map(String::valueOf).toList());
    }

    private static List<Double> split(String cell) {
        return cell.isEmpty() ? List.of() : Arrays.stream(cell.split(" ")).map(Double::valueOf).toList();
    }

    private static Taken taken(List<String[]> lines, RunRecord good) {
        Map<String, Map<LampPattern, Double>> found = new LinkedHashMap<>();
        Map<String, Map<LampPattern, Double>> first = new LinkedHashMap<>();
        Map<String, Map<LampPattern, Double>> reset = new LinkedHashMap<>();
        Map<String, Map<String, Map<LampPattern, Double>>> called = new LinkedHashMap<>();
        Set<String> damage = new LinkedHashSet<>();
        Map<String, ChannelRun> channels = new LinkedHashMap<>();
        Map<String, Double> peaks = new LinkedHashMap<>();
        Map<String, BitSet> standing = new LinkedHashMap<>();
        Prediction.@Nullable Number[] numbers = new Prediction.Number[good.numbers().length];
        Prediction.@Nullable Number[] before = new Prediction.Number[numbers.length];
        Prediction.@Nullable Number[] letGo = new Prediction.Number[numbers.length];
        double[] shares = new double[good.shares().length];
        for (String[] cells : lines) {
            switch (cells[0]) {
                case "found" -> found.put(cells[1], lamp(cells, fits(good.found().get(cells[1]), cells)));
                case "first" -> first.put(cells[1], lamp(cells, fits(found.get(cells[1]), cells)));
                case "reset" -> reset.put(cells[1], lamp(cells, fits(good.afterReset().get(cells[1]), cells)));
                case "called" -> called(cells, good, called);
                case "damage" -> damage.addAll(ids(cells[1]));
                case "channel" -> channels.put(cells[1], channel(cells, fits(good.channels().get(cells[1]), cells)));
                case "peaks" -> peaks(cells, good.peaks(), peaks);
                case "stands" -> stands(cells, good.standing(), standing);
                case "numbers" -> numbers(cells, good.numbers(), numbers);
                case "before" -> numbers(cells, numbers, before);
                case "let-go" -> numbers(cells, numbers, letGo);
                case "shares" -> shares(cells, good.shares(), shares);
                default -> {
                }
            }
        }
        String[] run = lines.get(0);
        if (!run[0].equals("run") || run.length != RUN_CELLS) {
            throw new IllegalArgumentException("these are no records: they begin with '" + run[0] + "'; take them anew");
        }
        return new Taken(run(run[1], run[2]), new RunRecord(found, reset, new LinkedHashSet<>(ids(run[3])), called, damage, channels, peaks,
                standing, numbers, before, letGo, first, shares).sharing(good));
    }

    private static List<String> run(HypothesisId id) {
        if (id instanceof HypothesisId.Single single) {
            return List.of(LISTED, single.fault());
        } else if (id instanceof HypothesisId.Milder milder) {
            return List.of("milder", milder.fault());
        } else if (id instanceof HypothesisId.Unlisted unlisted) {
            return List.of("unlisted", unlisted.failure());
        } else if (id instanceof HypothesisId.Spent spent) {
            List<String> of = run(spent.of());
            return List.of(SPENT + of.get(0), of.get(1));
        }
        throw new IllegalArgumentException("of '" + id.text() + "' no record is kept");
    }

    private static HypothesisId run(String kind, String id) {
        if (kind.startsWith(SPENT)) {
            return new HypothesisId.Spent(run(kind.substring(SPENT.length()), id));
        }
        return switch (kind) {
            case LISTED -> new HypothesisId.Single(id);
            case "milder" -> new HypothesisId.Milder(id);
            case "unlisted" -> new HypothesisId.Unlisted(id);
            default -> throw new IllegalArgumentException("the records have a run of kind '" + kind + "', which is none; take them anew");
        };
    }

    private static <T> T fits(@Nullable T good, String[] cells) {
        if (good == null) {
            throw new IllegalArgumentException("the records are of another unit: this one has no " + cells[0] + " '" + cells[1]
                    + "'; take them anew");
        }
        return good;
    }

    private static void sameCount(String[] cells, int wanted) {
        if (cells.length - 1 != wanted) {
            throw new IllegalArgumentException("the records are of another unit: they hold " + (cells.length - 1) + " " + cells[0]
                    + " where this one has " + wanted + "; take them anew");
        }
    }

    private static Map<LampPattern, Double> lamp(String[] cells, Map<LampPattern, Double> good) {
        if (cells.length == 3 && cells[2].equals(SAME)) {
            return good;
        }
        Map<LampPattern, Double> shares = new LinkedHashMap<>();
        for (String cell : Arrays.asList(cells).subList(2, cells.length)) {
            int space = cell.indexOf(' ');
            shares.put(LampPattern.parse(cell.substring(space + 1)), Double.valueOf(cell.substring(0, space)));
        }
        return shares;
    }

    private static List<String> ids(String cell) {
        return cell.isEmpty() ? List.of() : List.of(cell.split(SPACE));
    }

    private static void called(String[] cells, RunRecord good, Map<String, Map<String, Map<LampPattern, Double>>> called) {
        String[] of = cells[1].split(SPACE);
        Map<String, Map<LampPattern, Double>> known = fits(good.called().get(of[0]), cells);
        called.computeIfAbsent(of[0], call -> new LinkedHashMap<>()).put(of[1], lamp(cells, fits(known.get(of[1]), cells)));
    }

    private static ChannelRun channel(String[] cells, ChannelRun good) {
        if (cells[2].equals(SAME)) {
            return good;
        }
        List<ChannelRun.Span> spans = new ArrayList<>();
        List<Double> ends = split(cells[3]);
        for (int i = 0; i < ends.size(); i += 2) {
            spans.add(new ChannelRun.Span(ends.get(i), ends.get(i + 1)));
        }
        return new ChannelRun(spans, Boolean.parseBoolean(cells[2]), split(cells[4]), split(cells[5]));
    }

    private static void peaks(String[] cells, Map<String, Double> good, Map<String, Double> peaks) {
        sameCount(cells, good.size());
        int i = 1;
        for (Map.Entry<String, Double> load : good.entrySet()) {
            peaks.put(load.getKey(), cells[i].equals(SAME) ? load.getValue() : Double.valueOf(cells[i]));
            i++;
        }
    }

    private static List<String> stands(Map<String, BitSet> standing, Map<String, BitSet> good) {
        List<String> cells = new ArrayList<>(List.of("stands"));
        good.forEach((moment, closed) -> {
            BitSet otherwise = (BitSet) closed.clone();
            otherwise.xor(Known.in(standing, moment));
            cells.add(otherwise.isEmpty() ? SAME : String.join(SPACE, otherwise.stream().mapToObj(String::valueOf).toList()));
        });
        return cells;
    }

    private static void stands(String[] cells, Map<String, BitSet> good, Map<String, BitSet> standing) {
        sameCount(cells, good.size());
        int i = 1;
        for (Map.Entry<String, BitSet> moment : good.entrySet()) {
            BitSet closed = moment.getValue();
            if (!cells[i].equals(SAME)) {
                closed = (BitSet) closed.clone();
                for (String place : cells[i].split(SPACE)) {
                    closed.flip(Integer.parseInt(place));
                }
            }
            standing.put(moment.getKey(), closed);
            i++;
        }
    }

    private static void numbers(String[] cells, Prediction.@Nullable Number[] good, Prediction.@Nullable Number[] numbers) {
        sameCount(cells, good.length);
        for (int i = 0; i < numbers.length; i++) {
            String cell = cells[i + 1];
            int space = cell.indexOf(' ');
            numbers[i] = cell.equals(NONE) ? null : cell.equals(SAME) ? good[i] : new Prediction.Number(
                    Double.parseDouble(cell.substring(0, space)), Double.parseDouble(cell.substring(space + 1)));
        }
    }

    private static void shares(String[] cells, double[] good, double[] shares) {
        sameCount(cells, good.length);
        for (int i = 0; i < shares.length; i++) {
            String cell = cells[i + 1];
            shares[i] = cell.equals(NONE) ? Double.NaN : cell.equals(SAME) ? good[i] : Double.parseDouble(cell);
        }
    }
}
