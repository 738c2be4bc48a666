package bricksignal.core.danger;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.CallAlone;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The rules of what may be done to a unit: which tests may not exist, and why; what can hurt somebody at one that may. All of it follows
 * from what its parts are, from its circuit and from what burns in it; nothing is named in a list. Safe for use by several threads.
 */
public final class Safety {

    /** What a hand may not meet without being told (NFPA 70E, from memory). */
    private static final double LINE_VOLTS = 50;
    /** From here on meters, clothing and people are others (NFPA 70E, from memory). */
    private static final double HIGH_VOLTS = 250;

    /** Twice the tests of the largest family, so that all of them are kept and what a person asks beside them has a bound. */
    private static final int MOST_KNOWN = 1000;

    private final UnitModel model;
    private final VirtualUnit nominal;
    private final Function<Moment, Double> seconds;
    private final Circuit circuit;
    private final Reach reach;
    private final Function<Test.Check, Optional<Part>> changes;
    private final Map<String, Set<Hazard>> known = new ConcurrentHashMap<>();
    private volatile @Nullable Map<String, Change> allowed;
    private volatile @Nullable List<CallAlone> calls;

    /**
     * The rules for a unit.
     *
     * @param nominal the unit in good order
     * @param seconds when a moment comes in its run
     * @param changes the part that a test changes to see whether the fault goes with it
     */
    public Safety(UnitModel model, VirtualUnit nominal, Function<Moment, Double> seconds, Function<Test.Check, Optional<Part>> changes) {
        this.model = model;
        this.nominal = nominal;
        this.seconds = seconds;
        this.circuit = model.machine().circuit();
        this.reach = new Reach(model, nominal, seconds);
        this.changes = changes;
    }

    /** Why a test may not be made; empty for one that may. */
    public Optional<Message> forbids(Test test) {
        if (test instanceof Test.Reading reading) {
            return forbids(reading);
        }
        return test instanceof Test.Check check ? forbids(check) : Optional.empty();
    }

    private Optional<Message> forbids(Test.Reading reading) {
        if (!(reading.place() instanceof Place.Across across)) {
            return Optional.empty();
        }
        if (reading.mode().dead()) {
            return measured(across).stream().filter(device -> !device.ohms()).findFirst().map(device -> Message.of("withdrawn.ohms",
                    Message.of("device." + device)));
        }
        boolean live = powered(reading) && reading.mode().volts();
        return live && (reach.underACompressorsCover(across.red()) || reach.underACompressorsCover(across.black()))
                ? Optional.of(Message.of("withdrawn.compressor-cover")) : Optional.empty();
    }

    /** What a meter on ohms stands across alone: where something stands there too that may be measured, it is that. */
    private List<Device> measured(Place.Across across) {
        Set<String> both = Set.of(across.black(), across.red());
        List<Device> there = circuit.elements().stream().filter(e -> e instanceof Element.Load && both.containsAll(e.nets())
                || e instanceof Element.Transformer t && (both.equals(Set.of(t.p1(), t.p2())) || both.equals(Set.of(t.s1(), t.s2()))))
                .flatMap(e -> model.dangers().device(e.id()).stream()).distinct().toList();
        boolean aPartOfItsOwn = circuit.elements().stream().anyMatch(e -> e instanceof Element.Conductor && both.containsAll(e.nets())
                && model.partWith(e.id()).isPresent());
        return aPartOfItsOwn || there.stream().anyMatch(Device::ohms) ? List.of() : there;
    }

    private Optional<Message> forbids(Test.Check check) {
        if (check.sense().changesAPart()) {
            return changes.apply(check).flatMap(this::mayNotBeTried);
        }
        Change change = check.change();
        if (change.kind() == Change.Kind.BRIDGE && model.dangers().guards().containsKey(change.at())) {
            return Optional.of(Message.of("withdrawn.safety-bridged", Message.said(model.elementLabel(change.at()))));
        }
        if (change.kind() == Change.Kind.CALL_JUMPER && circuit.element(change.at()) instanceof Element.Conductor jumper) {
            return bypassed(jumper.a(), jumper.b()).map(guard -> Message.of("withdrawn.safety-bridged", Message.said(model.elementLabel(guard))));
        }
        return Optional.empty();
    }

    private Optional<Message> mayNotBeTried(Part part) {
        Optional<Message> kind = model.devices(part).stream().filter(device -> device.swap() == Device.Swap.NO).findFirst()
                .map(device -> Message.of("withdrawn.swap", Message.of("device." + device)));
        boolean safety = part.elements().stream().anyMatch(model.dangers().guards()::containsKey);
        return !model.saysWhatItIs(part) ? Optional.of(Message.of("withdrawn.undeclared")) : kind.isPresent() ? kind
                : safety ? Optional.of(Message.of("withdrawn.safety-swapped")) : Optional.empty();
    }

    /**
     * A switch that keeps people or the unit safe and that a jumper between two nets would bridge; empty where it bridges none: with
     * that switch open its two sides are joined by the jumper and were not without it.
     */
    public Optional<String> bypassed(String a, String b) {
        return model.dangers().guards().keySet().stream().filter(guard -> circuit.element(guard) instanceof Element.Conductor s
                && !joined(s.a(), s.b(), guard, null, null) && joined(s.a(), s.b(), guard, a, b)).findFirst();
    }

    /** True if conductors lead from one net to another, those that something else moves taken as closed, without one and with a jumper. */
    private boolean joined(String from, String to, String without, @Nullable String a, @Nullable String b) {
        Set<String> seen = new HashSet<>(Set.of(from));
        Deque<String> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            String net = open.remove();
            if (net.equals(to)) {
                return true;
            }
            Set<String> next = new LinkedHashSet<>();
            circuit.elements().stream().filter(e -> e instanceof Element.Conductor && !e.id().equals(without) && !model.isTestGear(e.id())
                    && (((Element.Conductor) e).closed() || model.machine().rules().containsKey(e.id())) && e.nets().contains(net))
                    .forEach(e -> next.addAll(e.nets()));
            if (a != null && b != null && (net.equals(a) || net.equals(b))) {
                next.addAll(List.of(a, b));
            }
            next.stream().filter(seen::add).forEach(open::add);
        }
        return false;
    }

    /** True if a test may be made while a finding stands that ended the diagnosis. */
    public boolean leaves(Stop stop, Test test) {
        return switch (stop.left()) {
            case NOTHING -> false;
            case GAS_SHUT -> !hazards(test).contains(Hazard.FLAME);
            case POWER_OFF -> !powered(test) || test instanceof Test.Check check && (needsNoRun(check) || stop == Stop.BYPASSED_SAFETY && putsRight(check));
        };
    }

    /** What takes a bypass out. */
    private static boolean putsRight(Test.Check check) {
        return check.change().kind() == Change.Kind.TAKEN_OUT;
    }

    /** A look, a listen or a smell at what stands there, or a question to whoever lives with it. */
    private boolean needsNoRun(Test.Check check) {
        return check.sense().onlyPerceives() && model.moment(check.moment()).role() == Moment.Role.AS_FOUND
                || check.sense().onlyAsks() && !check.sense().watches();
    }

    /** What can hurt somebody at a test, in the order in which it is told. So many are kept: readings that nobody foresaw have no end. */
    public Set<Hazard> hazards(Test test) {
        Set<Hazard> of = known.get(test.id());
        if (of == null) {
            of = found(test);
            if (known.size() < MOST_KNOWN) {
                known.put(test.id(), of);
            }
        }
        return of;
    }

    /** Of how many tests the hazards are kept. */
    int remembered() {
        return known.size();
    }

    /** The calls that may be placed by a jumper, each alone: none that bridges a switch which keeps people or the unit safe. */
    public List<CallAlone> calls() {
        List<CallAlone> found = calls;
        if (found == null) {
            found = CallAlone.of(model).stream().filter(call -> bypassed(call.from(), call.to()).isEmpty()).toList();
            calls = found;
        }
        return found;
    }

    /** The temporary changes that the circuit allows, by id, in its order. */
    public Map<String, Change> allowed() {
        Map<String, Change> found = allowed;
        if (found == null) {
            found = Allowed.of(model, this);
            allowed = found;
        }
        return found;
    }

    /** The licences that a test asks for, of whoever makes it. */
    public Set<Stop.Licence> licences(Test test) {
        return needed(hazards(test).stream().map(Hazard::licence));
    }

    /** The licences that changing a part or putting it right asks for. */
    public Set<Stop.Licence> licences(Part part) {
        boolean gas = model.dangers().fuels().contains(Dangers.Fuel.GAS);
        return needed(model.devices(part).stream().map(device -> device.licence(gas)));
    }

    private static Set<Stop.Licence> needed(Stream<Stop.Licence> of) {
        return of.filter(licence -> licence != Stop.Licence.NONE).collect(Collectors.toCollection(() -> EnumSet.noneOf(Stop.Licence.class)));
    }

    private Set<Hazard> found(Test test) {
        EnumSet<Hazard> hazards = EnumSet.noneOf(Hazard.class);
        Dangers dangers = model.dangers();
        boolean powered = powered(test);
        boolean hands = !(test instanceof Test.Sequence) && !(test instanceof Test.Check check && (check.sense().onlyPerceives() || check.sense().onlyAsks()));
        Set<Device> devices = reach.devices(test);
        if (hands) {
            electrical(test, powered, devices, hazards);
        } else if (!powered) {
            hazards.add(Hazard.DEAD_WORK);
        }
        if (hands && powered && turns()) {
            hazards.add(Hazard.MOVING);
        }
        if (test instanceof Test.Reading reading) {
            if (dangers.taps().containsKey(reading.id())) {
                hazards.add(Hazard.GAS_TAP);
            }
            if (reading.mode() == MeterMode.DC_MICROAMPS) {
                hazards.add(Hazard.SERIES);
            }
            if (reading.mode() == MeterMode.PSI && dangers.refrigerant() != Dangers.Refrigerant.NONE) {
                hazards.add(Hazard.REFRIGERANT_CIRCUIT);
            }
        } else if (test instanceof Test.Check check) {
            ofACheck(check, devices, hazards);
        }
        if (powered && dangers.burns() && !hazards.contains(Hazard.GAS_SHUT) && burns(test)) {
            hazards.add(Hazard.FLAME);
        }
        if (hands && dangers.fuels().contains(Dangers.Fuel.SOLID) && !(test instanceof Test.Reading)) {
            hazards.add(Hazard.SOLID_FUEL);
        }
        if (hands && dangers.fuels().contains(Dangers.Fuel.OIL)) {
            hazards.add(Hazard.OIL);
        }
        return hazards;
    }

    private void electrical(Test test, boolean powered, Set<Device> devices, Set<Hazard> hazards) {
        double volts = reach.volts(test);
        boolean meter = !(test instanceof Test.Reading reading && reading.place() instanceof Place.Gauge);
        if (model.dangers().refrigerant().flammable()) {
            hazards.add(Hazard.FLAMMABLE_REFRIGERANT);
        }
        if (!powered) {
            hazards.add(Hazard.DEAD_WORK);
            if (reach.charged(test)) {
                hazards.add(Hazard.CAPACITOR);
            }
        } else if (meter && volts > LINE_VOLTS) {
            hazards.add(Hazard.LINE);
            if (volts > HIGH_VOLTS) {
                hazards.add(Hazard.OVER_240);
            }
        }
        if (meter && devices.contains(Device.INVERTER)) {
            hazards.add(Hazard.INVERTER);
        }
        if (meter && devices.contains(Device.COMPRESSOR)) {
            hazards.add(Hazard.COMPRESSOR);
        }
        if (devices.contains(Device.BATTERY) || model.dangers().devices().containsValue(Device.BATTERY) && powered && meter) {
            hazards.add(Hazard.BATTERY);
        }
        if (devices.contains(Device.HOT_SURFACE_IGNITER) || devices.contains(Device.FLAME_ROD) || devices.contains(Device.HEATER)) {
            hazards.add(Hazard.HOT);
        }
    }

    private void ofACheck(Test.Check check, Set<Device> devices, Set<Hazard> hazards) {
        boolean gas = model.dangers().fuels().contains(Dangers.Fuel.GAS);
        if (check.sense() == Test.Sense.SMELL && model.dangers().burns()) {
            hazards.add(Hazard.SMELL);
        }
        if (check.sense() == Test.Sense.FEEL && (model.dangers().burns() || devices.contains(Device.COMPRESSOR))) {
            hazards.add(Hazard.HOT);
        }
        if (check.change().kind() == Change.Kind.WIRE_OFF || check.change().kind() == Change.Kind.PLUG_OFF) {
            hazards.add(Hazard.DEAD_WORK);   // whatever is on afterwards, a wire or a plug comes off and goes back dead
        }
        if (check.change().kind() == Change.Kind.BRIDGE) {
            hazards.add(Hazard.BRIDGE);
        }
        if (check.change().kind() == Change.Kind.SPARK_LEAD_OFF) {
            hazards.add(Hazard.GAS_SHUT);
            hazards.add(Hazard.SPARK_OUTSIDE);
        }
        boolean fedGas = check.change().kind() == Change.Kind.FED && devices.contains(Device.GAS_VALVE);
        boolean fitted = check.sense().changesAPart() && changes.apply(check).stream().flatMap(part -> model.devices(part).stream())
                .anyMatch(device -> device.swap() == Device.Swap.GAS_SHUT || device == Device.CONTROL_BOARD && gas);
        if (gas && (fedGas || fitted)) {
            hazards.add(Hazard.GAS_SHUT);
        }
    }

    private boolean turns() {
        return model.dangers().devices().values().stream().anyMatch(Device::turns);
    }

    /** True where the unit has its power while hands are at it. */
    private boolean powered(Test test) {
        boolean off = model.moments().stream().anyMatch(moment -> moment.id().equals(test.moment()) && moment.role() == Moment.Role.POWER_OFF);
        boolean dead = test instanceof Test.Reading reading && reading.setup().powerOff();
        return !off && !dead && !(test instanceof Test.Check check && check.sense().changesAPart());
    }

    /** True where a unit in good order burns at that moment, or is let burn for the test. */
    private boolean burns(Test test) {
        if (test instanceof Test.Sequence || test instanceof Test.Check check && (check.sense().watches() || check.sense() == Test.Sense.SMELL)) {
            return true;
        }
        Moment moment = model.moment(test.moment());
        boolean flames = circuit.elements().stream().anyMatch(Element.FlamePath.class::isInstance);
        Circuit then = nominal.run(moment.scenario()).at(seconds.apply(moment)).unit().solution().circuit();
        return flames ? then.elements().stream().anyMatch(e -> e instanceof Element.FlamePath f && f.lit()) : moment.role() != Moment.Role.POWER_OFF;
    }
}
