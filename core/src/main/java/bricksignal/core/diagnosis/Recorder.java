package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.run.Positions;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Takes down what of a run is worth keeping. */
final class Recorder {

    private static final double DIFFERS = 0.05;

    /** Somebody who is called for no heat finds the call ended meanwhile so often (from memory). */
    private static final double FOUND_AT_REST = 0.05;
    /** It is found while something else is called for than usual, cooling in a furnace, so often (from memory). */
    private static final double FOUND_IN_ANOTHER_CALL = 0.03;
    /** Who comes for no cooling finds cooling not called for, so often (from memory). */
    private static final double CALL_NOT_MADE = 0.15;

    private final UnitModel model;
    private final ErrorModel errors;
    private final TestCatalogue catalogue;
    private final VirtualUnit nominal;
    private final List<Test> tests;
    private final List<String> loads;
    private final RunRecord good;
    private final Ways ways;
    private final Trips trips;

    Recorder(UnitModel model, ErrorModel errors, TestCatalogue catalogue, VirtualUnit nominal) {
        this.model = model;
        this.errors = errors;
        this.catalogue = catalogue;
        this.nominal = nominal;
        this.tests = catalogue.tests();
        this.loads = model.parts().stream().map(Part::elements).flatMap(List::stream).distinct()
                .filter(element -> model.machine().circuit().element(element) instanceof Element.Load).toList();
        this.ways = Ways.of(model.scenarios().stream().map(scenario -> nominal.run(scenario.id())));
        this.trips = Trips.notIn(nominal, model);
        this.good = taken(nominal, null);
    }

    /** The record of the unit in good order. */
    RunRecord nominal() {
        return good;
    }

    /** The record of another unit; what is as in the unit in good order is shared with its record. */
    RunRecord of(VirtualUnit unit) {
        return taken(unit, good);
    }

    /** The runs that are watched, by id, in which some channel is on for another share of the time than in the unit in good order. */
    static Stream<String> failing(UnitModel model, VirtualUnit unit, VirtualUnit nominal) {
        return model.watchedScenarios().stream().map(Scenario::id).filter(run -> fails(model, unit.run(run), nominal.run(run)));
    }

    private static boolean fails(UnitModel model, Timeline run, Timeline good) {
        double to = Math.min(watchedUntil(model), run.scenario().seconds());
        return model.channels().stream().anyMatch(channel ->
                Math.abs(run.share(channel.when(), 0, to) - good.share(channel.when(), 0, to)) > DIFFERS);
    }

    /** A run is watched to the end of its call, and on until all should be at rest where the pack says when that is. */
    private static double watchedUntil(UnitModel model) {
        return model.afterCall().map(Moment::offset).filter(rest -> rest > model.found().to()).orElse(model.found().to());
    }

    /** The lamps as somebody finds them: mostly while it is called for as usual, now and then for something else, or when the call has ended. */
    private Map<String, Map<LampPattern, Double>> found(VirtualUnit unit) {
        double from = model.found().from();
        double to = model.found().to();
        double rest = watchedUntil(model);
        Map<String, Map<LampPattern, Double>> calling = lamps(unit.usualRun(), from, to);
        Map<String, Map<LampPattern, Double>> found = rest <= to ? calling
                : mixed(calling, FOUND_AT_REST, List.of(lamps(unit.usualRun(), to, rest)));
        return mixed(found, FOUND_IN_ANOTHER_CALL, model.watchedScenarios().stream().skip(1).map(other -> called(unit, other)).toList());
    }

    /** The lamps while another thing than usual is called for. */
    private Map<String, Map<LampPattern, Double>> called(VirtualUnit unit, Scenario call) {
        return lamps(unit.run(call.id()), Math.min(model.found().from(), call.seconds() / 2), Math.min(model.found().to(), call.seconds()));
    }

    /** The lamps as somebody finds them who comes for that call: some of the time it is not made just then. */
    private Map<String, Map<String, Map<LampPattern, Double>>> called(VirtualUnit unit, Map<String, Map<LampPattern, Double>> found) {
        Map<String, Map<String, Map<LampPattern, Double>>> called = new LinkedHashMap<>();
        model.calledFor().stream().filter(call -> !call.equals(model.scenarios().get(0)))
                .forEach(call -> called.put(call.id(), mixed(called(unit, call), CALL_NOT_MADE, List.of(found))));
        return called;
    }

    /** Shares of patterns by board, a part of them that of others, in equal parts. */
    private static Map<String, Map<LampPattern, Double>> mixed(Map<String, Map<LampPattern, Double>> usual, double part,
            List<Map<String, Map<LampPattern, Double>>> others) {
        if (others.isEmpty()) {
            return usual;
        }
        Map<String, Map<LampPattern, Double>> mixed = new LinkedHashMap<>();
        usual.forEach((board, shares) -> {
            Map<LampPattern, Double> all = new LinkedHashMap<>();
            shares.forEach((pattern, share) -> all.put(pattern, (1 - part) * share));
            others.forEach(other -> Known.in(other, board).forEach((pattern, share) -> all.merge(pattern, part * share / others.size(),
                    Double::sum)));
            mixed.put(board, all);
        });
        return mixed;
    }

    /** How the contacts of a unit stand, by moment. */
    private Map<String, BitSet> standing(VirtualUnit unit, @org.jspecify.annotations.Nullable RunRecord like) {
        Map<String, BitSet> standing = new LinkedHashMap<>();
        for (Moment moment : model.moments()) {
            BitSet closed = Positions.of(unit.run(moment.scenario()).at(catalogue.seconds(unit, moment)).unit().solution().circuit());
            standing.put(moment.id(), like != null && closed.equals(like.standing().get(moment.id())) ? like.standing().get(moment.id()) : closed);
        }
        return standing;
    }

    private RunRecord taken(VirtualUnit unit, @org.jspecify.annotations.Nullable RunRecord like) {
        double to = model.found().to();
        Prediction.Number[] numbers = new Prediction.Number[tests.size()];
        Prediction.Number[] before = new Prediction.Number[tests.size()];
        Prediction.Number[] letGo = new Prediction.Number[tests.size()];
        Set<Moment> stopped = stoppedBy(unit);
        Map<String, Double> lastMoments = lastMoments(unit, stopped);
        Trips.Opening opening = trips.in(unit, model);
        VirtualUnit further = opening.notYet(unit);
        VirtualUnit lettingGo = unit.releasing(ways.left(model.scenarios().stream().map(run -> unit.run(run.id()))));
        Set<String> cutShort = model.moments().stream().filter(moment -> opening.cuts(moment, catalogue.seconds(unit, moment))).map(Moment::id).collect(Collectors.toSet());
        double[] shares = new double[tests.size()];
        for (int i = 0; i < numbers.length; i++) {
            shares[i] = Double.NaN;
            if (tests.get(i) instanceof Test.Reading reading) {
                Prediction.Number number = number(unit, reading);
                Prediction.Number good = like == null ? number : like.numbers()[i];
                numbers[i] = number.equals(good) ? good : number;
                Double last = lastMoments.get(reading.moment());
                Prediction.Number then = cutShort.contains(reading.moment()) ? number(further, reading) : last == null ? number
                        : errors.spread(reading, unit.read(reading, model.moment(reading.moment()).scenario(), last));
                before[i] = shared(then, numbers[i], good);
                letGo[i] = lettingGo == unit || !stopped.contains(model.moment(reading.moment())) ? numbers[i] : shared(number(lettingGo, reading), numbers[i], good);
            } else if (tests.get(i) instanceof Test.Check check && check.when() != null) {
                Moment moment = model.moment(check.moment());
                shares[i] = unit.share(check.when(), moment.scenario(), catalogue.seconds(unit, moment), moment.span());
            }
        }
        Map<String, ChannelRun> channels = new LinkedHashMap<>();
        model.channels().forEach(channel -> {
            ChannelRun run = ChannelRun.of(unit.usualRun(), channel.when(), SequenceModel.callSeconds(model),
                    to - SequenceModel.callSeconds(model));
            channels.put(channel.id(), like != null && run.equals(like.channels().get(channel.id()))
                    ? like.channels().get(channel.id()) : run);
        });
        Map<String, Map<LampPattern, Double>> found = found(unit);
        Set<String> fails = failing(model, unit, nominal).collect(Collectors.toCollection(LinkedHashSet::new));
        RunRecord record = new RunRecord(found, lamps(unit.usualRun(), 0, to), fails, called(unit, found), Damage.of(model, unit, nominal), channels, peaks(unit), standing(unit, like), numbers, before, letGo, foundBefore(unit, found), shares);
        return like == null ? record : record.sharing(like);
    }

    private static Prediction.Number shared(Prediction.Number made, Prediction.Number one, Prediction.Number other) {
        return made.equals(one) ? one : made.equals(other) ? other : made;
    }

    /** The moments at which a board of the unit has stopped. */
    private Set<Moment> stoppedBy(VirtualUnit unit) {
        return model.moments().stream().filter(moment -> !ways.lead(unit.run(moment.scenario()).at(catalogue.seconds(unit, moment)).unit())).collect(Collectors.toSet());
    }

    private Prediction.Number number(VirtualUnit unit, Test.Reading reading) {
        Moment moment = model.moment(reading.moment());
        return errors.spread(reading, unit.read(reading, moment.scenario(), catalogue.seconds(unit, moment)));
    }

    /** For each moment at which a board has stopped: a time at which none had yet, in the same run. */
    private Map<String, Double> lastMoments(VirtualUnit unit, Set<Moment> stopped) {
        Map<String, Double> last = new LinkedHashMap<>();
        for (Moment moment : stopped) {
            double at = catalogue.seconds(unit, moment);
            unit.run(moment.scenario()).intervals().stream().filter(interval -> interval.end() <= at && ways.lead(interval.unit())).reduce((one, other) -> other)
                    .ifPresent(interval -> last.put(moment.id(), (interval.start() + interval.end()) / 2));
        }
        return last;
    }

    /** The lamps of the usual run until a board stops. */
    private Map<String, Map<LampPattern, Double>> foundBefore(VirtualUnit unit, Map<String, Map<LampPattern, Double>> found) {
        Timeline run = unit.usualRun();
        double call = SequenceModel.callSeconds(model);
        return run.intervals().stream().filter(interval -> !ways.lead(interval.unit())).findFirst().filter(stop -> stop.start() > call)
                .map(stop -> lamps(run, call, stop.start())).orElse(found);
    }

    private Map<String, Map<LampPattern, Double>> lamps(Timeline run, double from, double to) {
        Map<String, Map<LampPattern, Double>> byBoard = new LinkedHashMap<>();
        model.charts().keySet().forEach(board -> byBoard.put(board, run.lampShares(board, from, to)));
        return byBoard;
    }

    private Map<String, Double> peaks(VirtualUnit unit) {
        Map<String, Double> peaks = new LinkedHashMap<>();
        List<Solution> states = unit.usualRun().intervals().stream().map(i -> i.unit().solution()).distinct().toList();
        loads.forEach(load -> peaks.put(load, states.stream().mapToDouble(s -> s.amps(load).magnitude()).max().orElse(0)));
        return peaks;
    }
}
