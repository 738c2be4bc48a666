package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
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

/**
 * A unit model made ready to reason with: every hypothesis has been run, every test is known, and predictions are computed
 * when first asked for and kept. Safe for use by several threads.
 */
public final class CompiledPack {

    private final UnitModel model;
    private final ErrorModel errors;
    private final VirtualUnit healthy;
    private final List<Hypothesis> hypotheses;
    private final Map<String, Double> momentSeconds = new LinkedHashMap<>();
    private final Map<String, Test> tests = new LinkedHashMap<>();
    private final List<Map<String, Map<LampPattern, Double>>> lampShares = new ArrayList<>();
    private final List<Map<String, Map<LampPattern, Double>>> lampSharesAfterReset = new ArrayList<>();
    private final Map<Test, List<Prediction>> predictions = new ConcurrentHashMap<>();
    private final Map<Test, Outcomes> outcomes = new ConcurrentHashMap<>();

    private CompiledPack(UnitModel model, ErrorModel errors) {
        this.model = model;
        this.errors = errors;
        SolvedStates solved = new SolvedStates();
        this.healthy = VirtualUnit.of(model, model.machine(), solved);
        double total = model.faults().stream().mapToDouble(Fault::weight).sum();
        this.hypotheses = model.faults().stream().map(fault -> new Hypothesis(fault, model.part(fault.part()),
                fault.effects().isEmpty() ? healthy : VirtualUnit.of(model, fault.in(model.machine()), solved),
                fault.weight() / total)).toList();
        model.moments().forEach(moment -> momentSeconds.put(moment.id(), healthy.secondsOf(moment)));
        model.points().forEach(point -> point.moments().forEach(moment -> put(voltage(point, moment))));
        model.readings().forEach(this::put);
        model.checks().forEach(this::put);
        model.parts().stream().filter(SwapTest::canBeSwapped).forEach(part -> put(SwapTest.of(model, part)));
        hypotheses.forEach(h -> {
            lampShares.add(shares(h.unit(), model.found().from(), model.found().to()));
            lampSharesAfterReset.add(shares(h.unit(), 0, model.found().to()));
        });
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

    public List<Hypothesis> hypotheses() {
        return hypotheses;
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

    /** When a moment comes in its run, seconds; found on the healthy unit. */
    public double momentSeconds(String moment) {
        return momentSeconds.get(model.moment(moment).id());
    }

    /** What each hypothesis predicts, in the order of {@link #hypotheses()}. */
    public List<Prediction> predictions(Test test) {
        return predictions.computeIfAbsent(test, asked -> hypotheses.stream()
                .map(h -> predict(h.unit(), h.fault(), asked)).toList());
    }

    /** What the unit in good order shows. */
    public Prediction healthyPrediction(Test test) {
        return predict(healthy, null, test);
    }

    /** The distinct outcomes of a test and how likely each hypothesis makes them. */
    public Outcomes outcomes(Test test) {
        return outcomes.computeIfAbsent(test, asked -> Outcomes.of(predictions(asked), errors));
    }

    /** For one hypothesis, by its place in the list: the patterns a board's lamp shows when found, with their shares of time. */
    public Map<LampPattern, Double> lampShares(int hypothesis, String board) {
        return lampShares.get(hypothesis).get(board);
    }

    /** The same where the power was cycled before anybody looked: the unit may be anywhere in its run. */
    public Map<LampPattern, Double> lampSharesAfterReset(int hypothesis, String board) {
        return lampSharesAfterReset.get(hypothesis).get(board);
    }

    private Map<String, Map<LampPattern, Double>> shares(VirtualUnit unit, double from, double to) {
        Map<String, Map<LampPattern, Double>> shares = new LinkedHashMap<>();
        model.charts().keySet().forEach(board -> shares.put(board, unit.usualRun().lampShares(board, from, to)));
        return shares;
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

    private Prediction predict(VirtualUnit unit, @org.jspecify.annotations.Nullable Fault fault, Test test) {
        Moment moment = model.moment(test.moment());
        double at = momentSeconds(test.moment());
        if (test instanceof Test.Reading reading) {
            return errors.spread(reading, unit.read(reading, moment.scenario(), at));
        }
        Test.Check check = (Test.Check) test;
        Double told = fault == null ? null : check.tells().get(fault.id());
        if (told != null) {
            return new Prediction.Chance(told);
        }
        if (check.when() == null) {
            return new Prediction.Chance(check.otherwise());
        }
        double share = unit.share(check.when(), moment.scenario(), at, moment.span());
        return new Prediction.Chance(check.otherwise() + share * (1 - 2 * check.otherwise()));
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

    /** True if a fault of the board has this effect. */
    public static boolean has(Fault fault, Class<? extends Effect> effect) {
        return fault.effects().stream().anyMatch(effect::isInstance);
    }
}
