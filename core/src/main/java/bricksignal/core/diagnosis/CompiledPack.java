package bricksignal.core.diagnosis;

import bricksignal.core.board.run.Simulation;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A unit model made ready to reason with: every single hypothesis has been run, every test is known, and predictions are
 * computed when first asked for and kept. Hypotheses have places: first the faults in the order of the pack, then those that
 * come and go, then the same while they are seen to fail, then the pairs of faults and last the failures that the pack does not
 * list; both are run when somebody first asks for them. Safe for use by several threads.
 */
public final class CompiledPack {

    /** Share of the prior that all pairs of faults have together (from memory: seldom, and never forgotten). */
    static final double PAIRS = 0.03;

    /** Share that all failures have together which the pack does not list, beside those it does (from memory). */
    private static final double UNLISTED = 0.02;

    private final UnitModel model;
    private final ErrorModel errors;
    private final SolvedStates solved = new SolvedStates();
    private final VirtualUnit healthy;
    private final List<Hypothesis> singles;
    private final List<Hypothesis> hypotheses;
    private final int faults;
    private final int sound;
    private final Predictor predictor;
    private final Map<Integer, Hypothesis> pairs = new ConcurrentHashMap<>();
    private final Map<String, Double> momentSeconds = new LinkedHashMap<>();
    private final Map<String, Test> tests = new LinkedHashMap<>();
    private final Map<Test, List<Prediction>> predictions = new ConcurrentHashMap<>();
    private final Map<Test, Map<Integer, Prediction>> pairPredictions = new ConcurrentHashMap<>();
    private final Map<Test, Outcomes> outcomes = new ConcurrentHashMap<>();
    private final Map<Integer, Behaviour> behaviours = new ConcurrentHashMap<>();
    private final SequenceStory story;
    private final Map<String, SequenceModel> sequences = new ConcurrentHashMap<>();
    private @Nullable List<Hypothesis> unlisted;

    private CompiledPack(UnitModel model, ErrorModel errors) {
        this.model = model;
        this.errors = errors;
        this.healthy = VirtualUnit.of(model, model.machine(), solved);
        this.faults = model.faults().size();
        this.singles = List.copyOf(singles());
        this.hypotheses = singles.subList(0, faults + (singles.size() - faults) / 2);
        this.sound = soundPlace();
        model.moments().forEach(moment -> momentSeconds.put(moment.id(), healthy.secondsOf(moment)));
        this.predictor = new Predictor(model, errors, healthy, momentSeconds);
        model.points().forEach(point -> point.moments().forEach(moment -> put(voltage(point, moment))));
        model.readings().forEach(this::put);
        model.checks().forEach(this::put);
        WatchTest.of(model).forEach(this::put);
        SwapTest.of(model).forEach(this::put);
        SettingTest.of(model).forEach(this::put);
        this.story = new SequenceStory(this);
        story.test().ifPresent(this::put);
    }

    /** Compiles a model. */
    public static CompiledPack of(UnitModel model, ErrorModel errors) {
        return new CompiledPack(model, errors);
    }

    public UnitModel model() {
        return model;
    }

    public ErrorModel errors() {
        return errors;
    }

    public VirtualUnit healthy() {
        return healthy;
    }

    /** The single hypotheses by place: the faults, then those that come and go. */
    public List<Hypothesis> hypotheses() {
        return hypotheses;
    }

    /** The hypothesis at a place, a pair or an unlisted failure too. */
    public Hypothesis hypothesis(int place) {
        return place < singles.size() ? singles.get(place) : place < firstUnlisted() ? pairs.computeIfAbsent(place, this::pair)
                : unlisted().get(place - firstUnlisted());
    }

    /** The places of the failures that the pack does not list although its physics knows them. */
    public int[] unlistedPlaces() {
        return IntStream.range(firstUnlisted(), firstUnlisted() + unlisted().size()).toArray();
    }

    private int firstUnlisted() {
        return singles.size() + faults * faults;
    }

    /** How many of the single hypotheses are faults that stay. */
    public int faults() {
        return faults;
    }

    /** The place of the pair of two faults that stay. */
    public int pairPlace(int one, int other) {
        if (one == other || one >= faults || other >= faults) {
            throw new IllegalArgumentException("places " + one + " and " + other + " are not two faults of this unit");
        }
        return singles.size() + Math.min(one, other) * faults + Math.max(one, other);
    }

    /** The place of what is left of a hypothesis when parts have been repaired. */
    public int after(int place, java.util.Set<String> repairedParts) {
        if (repairedParts.isEmpty() || place >= firstUnlisted()) {
            return place;
        }
        if (place >= singles.size()) {
            int one = (place - singles.size()) / faults;
            int other = (place - singles.size()) % faults;
            int leftOne = after(one, repairedParts);
            int leftOther = after(other, repairedParts);
            return leftOne == sound ? leftOther : leftOther == sound ? leftOne : place;
        }
        return repairedParts.contains(singles.get(place).part().id()) ? sound : place;
    }

    /** The place of a hypothesis while the unit is seen to fail: one that comes and goes is then nearly always there. */
    public int failing(int place) {
        return place >= faults && place < hypotheses.size() ? place + hypotheses.size() - faults : place;
    }

    /** The place of "nothing wrong now". */
    public int sound() {
        return sound;
    }

    /** Every test the model gives, voltages at points first. */
    public List<Test> tests() {
        return List.copyOf(tests.values());
    }

    /** The test of that name. */
    public Test test(String id) {
        Test test = tests.get(id);
        if (test == null) {
            throw new IllegalArgumentException("this unit has no test '" + id + "'");
        }
        return test;
    }

    /** The part that a test changes, for one whose sense says so. */
    public Part changedBy(Test.Check test) {
        return SwapTest.part(model, test);
    }

    /** When a channel of the strip begins and ends; kept, because every tap asks for it. */
    SequenceModel sequence(String channel) {
        SequenceModel known = sequences.get(channel);
        if (known == null) {
            known = SequenceModel.made(this, channel);
            sequences.put(channel, known);
        }
        return known;
    }

    /** What can be seen or heard to begin when the sequence is watched. */
    public List<UnitModel.Channel> seenInSequence() {
        return story.perceived();
    }

    /** What somebody sees of a unit who watches its sequence and misses nothing. */
    public List<Observation> seenOf(VirtualUnit unit) {
        return story.seen(unit);
    }

    /** When a moment comes in its run, seconds; found on the healthy unit. */
    public double momentSeconds(String moment) {
        return momentSeconds.get(model.moment(moment).id());
    }

    /** What each single hypothesis predicts, by place. */
    public List<Prediction> predictions(Test test) {
        List<Prediction> known = predictions.get(test);
        if (known == null) {
            known = singles.stream().map(h -> prediction(test, h)).toList();
            predictions.put(test, known);
        }
        return known;
    }

    /** What the hypothesis at a place predicts, a pair too. */
    public Prediction prediction(Test test, int place) {
        return place < singles.size() ? predictions(test).get(place) : pairPredictions
                .computeIfAbsent(test, asked -> new ConcurrentHashMap<>())
                .computeIfAbsent(place, p -> prediction(test, hypothesis(p)));
    }

    private Prediction prediction(Test test, Hypothesis h) {
        return test instanceof Test.Sequence ? new Prediction.Choice(story.of(h)) : predictor.of(h, test);
    }

    /** What the unit in good order shows. */
    public Prediction healthyPrediction(Test test) {
        return prediction(test, sound);
    }

    /** The distinct outcomes of a test and how likely each hypothesis makes them. */
    public Outcomes outcomes(Test test) {
        Outcomes known = outcomes.get(test);
        if (known == null) {
            known = Outcomes.of(predictions(test), errors, place -> prediction(test, place));
            outcomes.put(test, known);
        }
        return known;
    }

    /** For the hypothesis at a place: the patterns a board's lamp shows when found, with their shares of time. */
    public Map<LampPattern, Double> lampShares(int place, String board) {
        return behaviour(place).found().get(board);
    }

    /** The same where the power was cycled before anybody looked: the unit may be anywhere in its run. */
    public Map<LampPattern, Double> lampSharesAfterReset(int place, String board) {
        return behaviour(place).afterReset().get(board);
    }

    /** True if a run with this hypothesis in the unit is not as it should be. */
    public boolean fails(int place) {
        return behaviour(place).fails();
    }

    Behaviour behaviour(int place) {
        Behaviour known = behaviours.get(place);
        if (known == null) {
            known = Behaviour.of(model, hypothesis(place), healthy);
            behaviours.put(place, known);
        }
        return known;
    }

    /**
     * A reading that no test of the pack foresees, between any two points.
     *
     * @throws IllegalArgumentException if the unit has no such point or moment
     */
    public Test.Reading freeReading(MeterMode mode, Place place, String moment, Setup setup) {
        if (place instanceof Place.Across across) {
            model.point(across.black());
            model.point(across.red());
        }
        model.moment(moment);
        setup.unplugged().forEach(model::connector);
        for (Test test : tests.values()) {
            if (test instanceof Test.Reading r && r.mode() == mode && r.place().equals(place) && r.moment().equals(moment)
                    && r.setup().equals(setup)) {
                return r;
            }
        }
        return new Test.Reading("free", model.moment(moment).label(), mode, place, moment, setup, 0, 0);
    }

    private List<Hypothesis> singles() {
        double total = model.faults().stream().mapToDouble(f -> f.weight() + f.comesAndGoes()).sum() / (1 - PAIRS);
        List<Hypothesis> hypotheses = new ArrayList<>();
        for (Fault fault : model.faults()) {
            VirtualUnit unit = fault.effects().isEmpty() ? healthy : VirtualUnit.of(model, fault.in(model.machine()), solved);
            hypotheses.add(new Hypothesis(fault.id(), List.of(fault), List.of(model.part(fault.part())), 1, unit,
                    fault.weight() / total));
        }
        hypotheses.addAll(nowAndThen(hypotheses.subList(0, faults), WatchTest.DUTY, ".now-and-then", total));
        hypotheses.addAll(nowAndThen(hypotheses.subList(0, faults), WatchTest.DUTY_FAILING, ".failing", total));
        return hypotheses;
    }

    /** The failures that somebody would call about: a run is not as it should be, and it settles. */
    private synchronized List<Hypothesis> unlisted() {
        if (unlisted == null) {
            List<Fault> failures = UnlistedFailures.of(model, healthy.usualRun()).stream().filter(this::shows).toList();
            unlisted = failures.stream().map(failure -> new Hypothesis(failure.id(), List.of(failure),
                    List.of(UnlistedFailures.part(failure)), 1, VirtualUnit.of(model, failure.in(model.machine()), solved),
                    UNLISTED / failures.size())).toList();
        }
        return unlisted;
    }

    private boolean shows(Fault failure) {
        List<Timeline> runs = Simulation.run(failure.in(model.machine()), model.watchedScenarios(), solved);
        return runs.stream().noneMatch(Timeline::chattering) && runs.stream().anyMatch(run ->
                Behaviour.fails(model, run, healthy.run(run.scenario().id())));
    }

    private static List<Hypothesis> nowAndThen(List<Hypothesis> faults, double duty, String name, double total) {
        return faults.stream().filter(stays -> stays.fault().comesAndGoes() > 0).map(stays -> new Hypothesis(stays.id() + name,
                stays.faults(), stays.parts(), duty, stays.unit(), stays.fault().comesAndGoes() / total)).toList();
    }

    private int soundPlace() {
        for (int h = 0; h < faults; h++) {
            if (singles.get(h).nothing()) {
                return h;
            }
        }
        throw new IllegalArgumentException("no fault of '" + model.id() + "' stands for 'nothing wrong now'; declare one that "
                + "does nothing");
    }

    /** Two faults at once; the prior of all pairs together is {@link #PAIRS}, shared by the product of theirs. */
    private synchronized Hypothesis pair(int place) {
        Hypothesis one = singles.get((place - singles.size()) / faults);
        Hypothesis other = singles.get((place - singles.size()) % faults);
        Hypothesis first = one.prior() >= other.prior() ? one : other;
        Hypothesis second = first == one ? other : one;
        VirtualUnit unit = VirtualUnit.of(model, second.fault().in(first.fault().in(model.machine())), solved);
        return new Hypothesis(one.id() + "+" + other.id(), List.of(first.fault(), second.fault()),
                List.of(first.part(), second.part()), 1, unit, pairPrior(one, other));
    }

    private static double pairPrior(Hypothesis one, Hypothesis other) {
        return 2 * PAIRS * one.prior() * other.prior();
    }

    /** The prior that the pair of two single hypotheses has, without running it. */
    public double pairPrior(int one, int other) {
        return pairPrior(singles.get(one), singles.get(other));
    }

    private Test.Reading voltage(Point point, String moment) {
        String against = model.point(point.against()).label();
        return new Test.Reading("v." + point.net() + "." + moment, point.label() + " to " + against, point.mode(),
                new Place.Across(point.against(), point.net()), moment, Setup.AS_IT_IS, 0, 0);
    }

    private void put(Test test) {
        if (tests.put(test.id(), test) != null) {
            throw new IllegalArgumentException("test '" + test.id() + "' is declared twice; rename one of them");
        }
    }
}
