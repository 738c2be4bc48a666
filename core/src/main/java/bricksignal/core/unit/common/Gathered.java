package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/** The faults and checks of a unit while more are made from its model, and what the unit in good order shows. */
final class Gathered {

    /** Yes to what is not so. */
    static final double BY_CHANCE = 0.01;
    /** A look that finds what it looks for. */
    static final double LOOK_SEES = 0.97;
    /** A hand that moves what makes bad contact. */
    static final double TOUCH_MOVES = 0.7;
    /** Below this a conductor carries no load that a bad contact would take volts from, amperes. */
    private static final double LEAST_AMPS = 0.001;
    /** So much of what a load takes must it carry to be called energised. */
    private static final double ENERGISED = 0.5;
    /** Share of a run that somebody notices. */
    private static final double DIFFERS = 0.01;

    private final UnitModel model;
    private final SolvedStates solved = new SolvedStates();
    private final VirtualUnit unit;
    private final List<Solution> nominal;
    private final List<Fault> faults;
    private final Map<String, Test.Check> checks = new LinkedHashMap<>();
    private final @Nullable Set<String> known;

    Gathered(UnitModel model, @Nullable Set<String> known) {
        this.model = model;
        this.known = known;
        this.unit = VirtualUnit.of(model, model.machine(), solved);
        this.nominal = model.watchedScenarios().stream().flatMap(scenario -> unit.run(scenario.id()).intervals().stream())
                .map(interval -> interval.unit().solution()).distinct().toList();
        this.faults = new ArrayList<>(model.faults());
        model.checks().forEach(check -> checks.put(check.id(), check));
    }

    /** The unit with what was gathered. */
    UnitModel model() {
        return model.with(faults, List.copyOf(checks.values()));
    }

    /** The unit as its pack declares it. */
    UnitModel declaredModel() {
        return model;
    }

    /** The unit in good order. */
    VirtualUnit unit() {
        return unit;
    }

    List<Fault> faults() {
        return List.copyOf(faults);
    }

    /** The unit with an effect in it. */
    VirtualUnit with(Effect effect) {
        return VirtualUnit.of(model, effect.apply(model.machine()), solved);
    }

    static boolean touches(Fault fault, String element) {
        return fault.effects().size() == 1 && fault.effects().get(0) instanceof Effect.OnElement on && on.element().equals(element);
    }

    /** The one element that a fault fails in that way; empty for any other. */
    static Optional<String> only(Fault fault, Effect.Mode mode) {
        return fault.effects().size() == 1 && fault.effects().get(0) instanceof Effect.OnElement on && on.mode() == mode ? Optional.of(on.element()) : Optional.empty();
    }

    // --- what the unit in good order shows -----------------------------------------------------------------------------------

    double carries(String element) {
        return nominal.stream().mapToDouble(solution -> carries(solution, element)).max().orElse(0);
    }

    private static double carries(Solution solution, String element) {
        return Math.max(solution.amps(element).magnitude(), Math.abs(solution.directAmps(element)));
    }

    /** The resistance that halves the current of a conductor where it carries most: by Thevenin's theorem. 0 where it carries none. */
    double halving(Element.Conductor c) {
        Solution most = nominal.stream().max(Comparator.comparingDouble(s -> carries(s, c.id()))).orElseThrow();
        double amps = carries(most, c.id());
        if (amps < LEAST_AMPS) {
            return 0;
        }
        Solution open = Solution.of(most.circuit().with(((Element.Conductor) most.circuit().element(c.id())).closed(false)));
        return Math.max(open.rms(c.a(), c.b()), Math.abs(open.directVolts(c.a(), c.b()))) / amps;
    }

    /** Whether a failure is one of this unit: as it was found before, or by running it. */
    boolean felt(String id, BooleanSupplier byRunning) {
        return known == null ? byRunning.getAsBoolean() : known.contains(id);
    }

    /** A contact so bad that the unit flutters with it is no state to reason about. */
    boolean settles(List<Effect> effects) {
        Machine machine = model.machine();
        for (Effect effect : effects) {
            machine = effect.apply(machine);
        }
        return VirtualUnit.of(model, machine, solved).settles(model.scenarios().get(0).id());
    }

    /** True if in some watched run something is on for another share of the time than in the unit in good order. */
    boolean differs(Effect effect) {
        VirtualUnit failed = with(effect);
        return model.watchedScenarios().stream().anyMatch(scenario -> model.channels().stream().anyMatch(channel ->
                Math.abs(failed.run(scenario.id()).share(channel.when(), 0, scenario.seconds())
                        - unit.run(scenario.id()).share(channel.when(), 0, scenario.seconds())) > DIFFERS));
    }

    /** True if in some watched run a fuse or a breaker opens that stays closed in the unit in good order. */
    boolean blowsAFuse(Effect effect) {
        VirtualUnit failed = with(effect);
        return model.machine().circuit().elements().stream().anyMatch(element -> element instanceof Element.Conductor fuse && Double.isFinite(fuse.fuseAmps())
                && model.watchedScenarios().stream().anyMatch(run -> !closedAtTheEnd(failed, run.id(), fuse.id()) && closedAtTheEnd(unit, run.id(), fuse.id())));
    }

    private static boolean closedAtTheEnd(VirtualUnit unit, String run, String fuse) {
        var intervals = unit.run(run).intervals();
        return ((Element.Conductor) intervals.get(intervals.size() - 1).unit().solution().circuit().element(fuse)).closed();
    }

    /** The first moment at which a load has its voltage in the unit in good order. */
    Optional<Moment> energised(String load) {
        double most = carries(load);
        return model.moments().stream().filter(moment -> most > 0
                && unit.run(moment.scenario()).at(unit.secondsOf(moment)).unit().solution().amps(load).magnitude() >= ENERGISED * most).findFirst();
    }

    /** Power off after the run in which the unit is found. */
    Optional<Moment> atRest() {
        String run = model.moment(found()).scenario();
        return model.moments().stream().filter(moment -> moment.role() == Moment.Role.POWER_OFF && moment.scenario().equals(run)).findFirst();
    }

    // --- words, places -------------------------------------------------------------------------------------------------------

    Message point(String net) {
        return Message.said(model.pointLabel(net));
    }

    Message element(String id) {
        return Message.said(model.elementLabel(id));
    }

    String found() {
        return model.asFound().orElse(model.moments().get(0)).id();
    }

    boolean isWire(Element.Conductor conductor) {
        boolean ofABoard = model.parts().stream().anyMatch(p -> p.kind() == Part.Kind.BOARD && p.elements().contains(conductor.id()));
        return !model.isPin(conductor.id()) && !ofABoard;
    }

    /** The check that reseats a plug. */
    Optional<Test.Check> wiggled(UnitModel.Connector connector) {
        return model.checks().stream().filter(check -> check.sense() == Test.Sense.RESEAT && check.connector().equals(connector.id()))
                .findFirst();
    }

    // --- what is added -------------------------------------------------------------------------------------------------------

    /** Adds a failure that the pack does not declare itself. */
    void add(String id, Message label, String part, double weight, double intermittent, Effect effect, String remedy) {
        if (!declared(effect)) {
            fault(id, label, part, weight, intermittent, List.of(effect), remedy);
        }
    }

    boolean declared(Effect effect) {
        return effect instanceof Effect.OnElement on && on.mode() == Effect.Mode.RESISTIVE
                ? model.faults().stream().anyMatch(f -> touches(f, on.element())
                        && ((Effect.OnElement) f.effects().get(0)).mode() == Effect.Mode.RESISTIVE)
                : model.faults().stream().anyMatch(f -> f.effects().equals(List.of(effect)));
    }

    void fault(String id, Message label, String part, double weight, double intermittent, List<Effect> effects, String remedy) {
        faults.add(new Fault(id, label, Fault.Kind.FAULT, part, weight, effects, Message.of(remedy), false, intermittent, 0));
    }

    void check(Test.Check check) {
        checks.put(check.id(), check);
    }

    void check(String id, Message label, Test.Sense sense, String moment, Map<String, Double> tells, double minutes) {
        check(new Test.Check(id, label, sense, moment, null, tells, BY_CHANCE, minutes, "", Change.NONE));
    }

    void tells(String id, String fault, double yes) {
        Test.Check old = Objects.requireNonNull(checks.get(id));
        Map<String, Double> tells = new LinkedHashMap<>(old.tells());
        tells.put(fault, yes);
        check(old.telling(tells));
    }

    /** Every check that tells of a fault tells the same of another that does the same to the unit. */
    void tellsAlike(String fault, String other) {
        List.copyOf(checks.values()).stream().filter(check -> check.tells().containsKey(fault))
                .forEach(check -> tells(check.id(), other, check.tells().get(fault)));
    }
}
