package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.danger.Feed;
import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.unit.Test.Sense;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Nothing that is proposed breaks a rule of docs/safety.md: the usual eighteen and a seeded sample of the other compositions, or all of
 * them with {@code -Dbrick.safety=all}. The rules are said here again, by other means than the program's own, so that it is not its
 * own judge.
 */
class SafetyRulesTest {

    private static final int SAMPLE = 6;
    private static final long SEED = Long.getLong("brick.seed", 26);

    static Stream<Composition> compositions() {
        List<Composition> others = new ArrayList<>(PackLibrary.compositions().stream().filter(way -> !way.usual()).toList());
        Collections.shuffle(others, new Random(SEED));
        Stream<Composition> usual = PackLibrary.compositions().stream().filter(Composition::usual);
        return Stream.concat(usual, System.getProperty("brick.safety", "").equals("all") ? others.stream() : others.stream().limit(SAMPLE));
    }

    private static CompiledPack pack(Composition way) {
        return way.usual() ? Compiled.of(way.family()).pack() : CompiledPack.of(PackReader.read(PackLibrary.text(way.family(), way.choices())),
                bricksignal.core.diagnosis.ErrorModel.defaults());
    }

    @ParameterizedTest
    @MethodSource("compositions")
    @Execution(ExecutionMode.CONCURRENT)
    void nothingThatIsProposedBreaksARule(Composition way) {
        CompiledPack pack = pack(way);
        UnitModel model = pack.model();
        Set<bricksignal.core.unit.Test> withdrawn = pack.catalogue().withdrawn().keySet();
        assertThat(pack.catalogue().tests()).noneMatch(withdrawn::contains);
        for (bricksignal.core.unit.Test test : pack.catalogue().tests()) {
            Set<Hazard> hazards = pack.catalogue().safety().hazards(test);
            if (test instanceof Reading reading) {
                reading(pack, reading, hazards);
            } else if (test instanceof Check check) {
                check(pack, check, hazards);
            }
        }
        assertThat(model.checks()).as("no pack feeds anything by itself").noneMatch(check -> check.change().kind() == Change.Kind.FED);
        boolean gas = model.dangers().fuels().contains(Dangers.Fuel.GAS);
        model.parts().forEach(part -> assertThat(pack.catalogue().safety().licences(part)).as("%s of %s", part.id(), way.family()).isEqualTo(licences(model, part, gas)));
        assertThat(pack.space().faults().stream().map(fault -> fault.remedy().toString())).as("a licence follows from what a part is").noneMatch(
                remedy -> remedy.contains("licensed"));
        assertThat(pack.catalogue().tests().stream().anyMatch(test -> test.id().equals("danger.gas-smell"))).as("gas is smelt for first").isEqualTo(gas);
    }

    /** Said again by what stands in the circuit: a valve that lets gas through, a motor in a sealed circuit, whatever feeds the house. */
    private static Set<Stop.Licence> licences(UnitModel model, Part part, boolean gas) {
        Set<Stop.Licence> needed = EnumSet.noneOf(Stop.Licence.class);
        Set<Device> kinds = Set.copyOf(model.devices(part));
        if (kinds.contains(Device.GAS_VALVE) || gas && kinds.contains(Device.CONTROL_BOARD)) {
            needed.add(Stop.Licence.GAS);
        }
        if (kinds.contains(Device.COMPRESSOR) || part.label().startsWith("refrigerant") || part.label().matches("(high|low) pressure switch|(reversing|reheat|expansion) valve")) {
            needed.add(Stop.Licence.REFRIGERANT);
        }
        if (kinds.contains(Device.SUPPLY)) {
            needed.add(Stop.Licence.ELECTRICAL);
        }
        return needed;
    }

    private static void reading(CompiledPack pack, Reading reading, Set<Hazard> hazards) {
        UnitModel model = pack.model();
        boolean off = reading.setup().powerOff() || model.moment(reading.moment()).role() == Moment.Role.POWER_OFF;
        assertThat(!off || hazards.contains(Hazard.DEAD_WORK)).as("%s is made with the power off and locked", reading.id()).isTrue();
        if (reading.mode() == bricksignal.core.circuit.solve.MeterMode.DC_MICROAMPS) {
            assertThat(hazards).as("%s: clips with the power off", reading.id()).contains(Hazard.SERIES);
        }
        if (reading.mode() == bricksignal.core.circuit.solve.MeterMode.PSI && model.dangers().refrigerant() != Dangers.Refrigerant.NONE) {
            assertThat(pack.catalogue().safety().licences(reading)).as("%s opens a sealed circuit", reading.id()).contains(Stop.Licence.REFRIGERANT);
        }
        if (reading.place() instanceof Place.Gauge gauge && gauge.quantity().matches("gas|inlet|manifold|pilot-line")) {
            assertThat(pack.catalogue().safety().licences(reading)).as("%s is gas work", reading.id()).contains(Stop.Licence.GAS);
            assertThat(hazards).as("%s is at a tap", reading.id()).contains(Hazard.GAS_TAP);
        }
        if (reading.place() instanceof Place.Across across && !off) {
            boolean line = volts(pack, reading, across.red()) > 50 || volts(pack, reading, across.black()) > 50;
            assertThat(!line || hazards.contains(Hazard.LINE)).as("%s meets line voltage and says so", reading.id()).isTrue();
        }
    }

    private static double volts(CompiledPack pack, Reading reading, String net) {
        Moment moment = pack.model().moment(reading.moment());
        Solution then = pack.nominal().run(moment.scenario()).at(pack.catalogue().seconds(moment.id())).unit().solution();
        return then.rms(net, then.circuit().reference());
    }

    private static void check(CompiledPack pack, Check check, Set<Hazard> hazards) {
        UnitModel model = pack.model();
        if (check.sense().changesAPart()) {
            Part part = pack.catalogue().changedBy(check);
            assertThat(model.devices(part)).as("%s", check.id()).allSatisfy(device -> assertThat(device).isNotIn(Device.GAS_VALVE, Device.COMPRESSOR, Device.MOTOR,
                    Device.THREE_PHASE_MOTOR, Device.CONTACTOR_COIL, Device.SOLENOID, Device.HEATER, Device.DETECTOR, Device.DAMPER_ACTUATOR));
            assertThat(part.elements()).as("%s is no safety", check.id()).doesNotContainAnyElementsOf(model.dangers().guards().keySet());
        }
        if (check.change().kind() == Change.Kind.FED) {
            fed(pack, check, hazards);
        }
        if (check.change().kind() == Change.Kind.SPARK_LEAD_OFF) {
            assertThat(hazards).as("%s: no spark outside the burner with the gas on", check.id()).contains(Hazard.GAS_SHUT, Hazard.SPARK_OUTSIDE);
        }
        if (check.change().kind() == Change.Kind.BRIDGE) {
            assertThat(hazards).as("%s: in order, for seconds", check.id()).contains(Hazard.BRIDGE);
            assertThat(model.dangers().guards()).as("%s bridges no safety", check.id()).doesNotContainKey(check.change().at());
        }
        boolean hands = check.sense() == Sense.TRY || check.sense() == Sense.FEEL || check.sense() == Sense.RESEAT || check.sense().changesAPart();
        assertThat(!hands || !hazards.isEmpty()).as("%s: no hand goes into a unit without a word", check.id()).isTrue();
    }

    /** Solved again here: with the plug off and the cord on, nothing carries a hundredth of the cord's voltage or a milliampere. */
    private static void fed(CompiledPack pack, Check check, Set<Hazard> hazards) {
        UnitModel model = pack.model();
        Part part = model.part(check.change().at());
        assertThat(model.moment(check.moment()).role()).isEqualTo(Moment.Role.POWER_OFF);
        assertThat(hazards).contains(Hazard.DEAD_WORK);
        assertThat(model.devices(part)).as("%s", check.id()).isNotEmpty().noneMatch(device -> device.feed() == Device.Feed.NEVER);
        if (model.devices(part).contains(Device.GAS_VALVE)) {
            assertThat(hazards).contains(Hazard.GAS_SHUT);
        }
        Element.Load load = (Element.Load) model.machine().circuit().element(check.id().substring("feed.".length()));
        Moment moment = model.powerOff().get(0);
        Circuit off = pack.nominal().run(moment.scenario()).at(pack.catalogue().seconds(moment.id())).unit().solution().circuit();
        Feed feed = Feed.of(model, off, part, load, 24, false).orElseThrow();
        Solution on = Solution.of(feed.circuit());
        for (Element e : feed.circuit().elements()) {
            boolean own = part.elements().contains(e.id()) || e.id().equals(Feed.CORD) || e instanceof Element.Capacitor
                    || e.nets().stream().allMatch(net -> part.elements().stream().anyMatch(id -> off.element(id).nets().contains(net)));
            boolean leads = e instanceof Element.Conductor c && c.closed() && on.rms(e.id()) > 1e-3;
            boolean behindItsCapacitor = leads && feed.circuit().elements().stream().anyMatch(c -> c instanceof Element.Capacitor
                    && c.nets().stream().anyMatch(e.nets()::contains));
            if (!own && !behindItsCapacitor) {
                assertThat(leads).as("%s: %s carries the cord's current", check.id(), e.id()).isFalse();
                assertThat(e instanceof Element.Load l && Double.isFinite(l.ohms()) && on.rms(l.a(), l.b()) > 0.01 * 24).as("%s: %s is fed too", check.id(), e.id()).isFalse();
            }
        }
    }
}
