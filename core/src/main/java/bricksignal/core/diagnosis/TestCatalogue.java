package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.danger.Safety;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Every test that a unit gives, in a fixed order: a voltage at each of its points, the readings and checks of its pack, and those
 * that every unit has. And when its moments come.
 */
public final class TestCatalogue {

    /** To place a call (common practice, from memory). */
    private static final double CALL_MINUTES = 0.3;

    private final UnitModel model;
    private final VirtualUnit nominal;
    private final Map<String, Double> seconds;
    private final Map<String, Double> waiting = new LinkedHashMap<>();
    private final Map<String, Double> lasting = new ConcurrentHashMap<>();
    private final Map<String, Test> tests = new LinkedHashMap<>();
    private final Map<String, Integer> places = new LinkedHashMap<>();
    private final List<Test> all;
    private final Safety safety;
    private final Map<Test, Message> withdrawn = new LinkedHashMap<>();

    /**
     * The tests of a unit.
     *
     * @param seconds by moment, when it comes in its run
     * @param nominal the unit in good order
     * @param further tests beyond those of the model, such as that of the watched sequence
     */
    TestCatalogue(UnitModel model, Map<String, Double> seconds, VirtualUnit nominal, List<? extends Test> further) {
        this.model = model;
        this.nominal = nominal;
        this.seconds = new LinkedHashMap<>(seconds);
        this.safety = new Safety(model, nominal, moment -> Known.in(this.seconds, moment.id()), check -> Optional.of(changedBy(check)));
        model.moments().forEach(moment -> waiting.put(moment.id(), waiting(moment)));
        model.points().forEach(point -> point.moments().forEach(moment -> put(voltage(point, moment))));
        model.readings().forEach(this::put);
        model.checks().forEach(this::put);
        DangerTest.of(model).forEach(this::put);
        ComplaintTest.of(model).forEach(this::put);
        CustomerTest.of(model).forEach(this::put);
        WatchTest.of(model).forEach(this::put);
        SwapTest.of(model).forEach(this::put);
        SettingTest.of(model).forEach(this::put);
        further.forEach(this::put);
        this.all = List.copyOf(tests.values());
    }

    /** Every test, voltages at points first. */
    public List<Test> tests() {
        return all;
    }

    /** The rules of what may be done to the unit. */
    public Safety safety() {
        return safety;
    }

    /** What the model would give and the rules of safety forbid, with the reason. */
    public Map<Test, Message> withdrawn() {
        return Collections.unmodifiableMap(withdrawn);
    }

    /**
     * The test of that name.
     *
     * @throws IllegalArgumentException if there is none
     */
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

    /** When a moment comes in its run, seconds; found on the unit in good order. */
    public double seconds(String moment) {
        return Known.in(seconds, model.moment(moment).id());
    }

    /** When a reading of that moment is taken at a unit: when the unit comes to it, or else when it was due. */
    double seconds(VirtualUnit unit, Moment moment) {
        return unit.comesTo(moment).orElseGet(() -> seconds(moment.id()));
    }

    /** What it takes until a moment comes, minutes: a call is placed anew and waited for, unless the unit stands there as found. */
    public double waitingMinutes(String moment) {
        return Known.in(waiting, model.moment(moment).id());
    }

    /** How long the unit in good order stays as it is at a moment, seconds: until a board goes on to another state, or the run ends. */
    public double lastsSeconds(String moment) {
        return lasting.computeIfAbsent(model.moment(moment).id(), id -> {
            Timeline run = nominal.run(model.moment(id).scenario());
            double at = seconds(id);
            Map<String, String> states = run.at(at).unit().states();
            return run.intervals().stream().filter(interval -> interval.start() > at && !interval.unit().states().equals(states)).findFirst()
                    .map(Timeline.Interval::start).orElse(run.scenario().seconds()) - at;
        });
    }

    /**
     * A reading between any two points; one that no test foresees, too.
     *
     * @throws IllegalArgumentException if the unit has no such point or moment, or the mode does not read between two points
     */
    public Test.Reading free(MeterMode mode, Place.Across across, String moment, Setup setup) {
        Message black = Message.said(model.point(across.black()).label());
        Message red = Message.said(model.point(across.red()).label());
        model.moment(moment);
        setup.unplugged().forEach(model::connector);
        if (!mode.betweenPoints()) {
            throw new IllegalArgumentException("a reading on " + mode.unit() + " is not taken between two points; choose it from "
                    + "the list of tests");
        }
        for (Test test : all) {
            if (test instanceof Test.Reading r && r.mode() == mode && r.place().equals(across) && r.moment().equals(moment)
                    && r.setup().equals(setup)) {
                return r;
            }
        }
        return new Test.Reading("free." + mode + "." + across.black() + "." + across.red() + "." + moment
                + (setup.powerOff() ? ".off" : "") + String.join(".", setup.unplugged()),
                Message.of("test.across", black, red), mode, across, moment, setup, 0, 0);
    }

    /** Where a test stands in the order, from 0; -1 for one that nobody foresaw. */
    int place(Test test) {
        return places.getOrDefault(test.id(), -1);
    }

    private double waiting(Moment moment) {
        double at = Known.in(seconds, moment.id());
        if (moment.role() == Moment.Role.AFTER_CALL) {
            return Math.max(0, at - model.found().to()) / 60;
        }
        double call = model.scenario(moment.scenario()).steps().stream().map(Scenario.Step::at).filter(step -> step > 0 && step <= at)
                .findFirst().orElse(Double.NaN);
        return Double.isNaN(call) || at >= model.found().from() ? 0 : CALL_MINUTES + (at - call) / 60;
    }

    private Test.Reading voltage(Point point, String moment) {
        return new Test.Reading("v." + point.net() + "." + moment, Message.of("test.voltage", Message.said(point.label()),
                Message.said(model.point(point.against()).label())), point.mode(),
                new Place.Across(point.against(), point.net()), moment, Setup.AS_IT_IS, 0, point.tolerance());
    }

    private void put(Test test) {
        Optional<Message> forbidden = safety.forbids(test);
        if (forbidden.isPresent()) {
            withdrawn.put(test, forbidden.get());
            return;
        }
        if (tests.put(test.id(), test) != null) {
            throw new IllegalArgumentException("test '" + test.id() + "' is declared twice; rename one of them");
        }
        places.put(test.id(), places.size());
    }
}
