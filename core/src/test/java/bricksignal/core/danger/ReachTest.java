package bricksignal.core.danger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.unit.Test.Sense;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is within reach of a hand at a test: all that stands at the same place, at any moment with the power on (common practice, no published source). */
class ReachTest {

    private final SmallUnit unit = new SmallUnit(Device.MOTOR, Device.CONTACTOR_COIL);

    private Reach reach() {
        UnitModel model = unit.model();
        return new Reach(model, VirtualUnit.of(model, model.machine()), moment -> moment.offset());
    }

    private static Reading between(String red, String black, Setup setup) {
        return new Reading("r", Message.said("r"), MeterMode.AC_VOLTS, new Place.Across(black, red), "running", setup, 0, 0);
    }

    private static Check check(String connector, Change change) {
        return new Check("c", Message.said("?"), Sense.TRY, "running", null, Map.of(), 0.02, 1, connector, change);
    }

    /** 120 V lie at the board and at the motor; the transformer gives 120 / 4.4, less what 24 V loads take. */
    @ParameterizedTest
    @CsvSource({"OUT, N, 120, 2", "L, N, 120, 2", "hot, back, 120, 2", "R, OK, 27, 3", "Y, C, 27, 3"})
    void voltsAreThoseOfThePlace(String red, String black, double due, double give) {
        assertThat(reach().volts(between(red, black, Setup.AS_IT_IS))).isCloseTo(due, within(give));
    }

    /** A dead point beside a live one is as near to the hand. */
    @Test
    void deadPointAtALivePlaceIsWithinReachOfIt() {
        assertThat(reach().volts(between("N", "N", Setup.AS_IT_IS))).isCloseTo(120, within(2.0));
    }

    @Test
    void whereNobodyKnowsThePlaceTheWholeUnitCounts() {
        assertThat(reach().volts(check("", Change.NONE))).isCloseTo(120, within(2.0));
        assertThat(reach().nets(check("", Change.NONE))).isEmpty();
    }

    @Test
    void netsAreThoseThatAreTouched() {
        assertThat(reach().nets(between("R", "OK", Setup.AS_IT_IS))).containsExactlyInAnyOrder("R", "OK");
        assertThat(reach().nets(between("R", "OK", new Setup(false, List.of("P"))))).as("the plug that is pulled too").containsExactlyInAnyOrder("R", "OK", "OUT", "hot",
                "back", "N");
        assertThat(reach().nets(new Reading("a", Message.said("a"), MeterMode.CLAMP_AMPS, new Place.Through("p1"), "running", Setup.AS_IT_IS, 0, 0)))
                .containsExactlyInAnyOrder("OUT", "hot");
        assertThat(reach().nets(check("P", Change.NONE))).containsExactlyInAnyOrder("OUT", "hot", "back", "N");
        assertThat(reach().nets(check("", new Change(Change.Kind.PART_IN, "coil", Message.NOTHING)))).containsExactlyInAnyOrder("Y", "C");
        assertThat(reach().nets(check("", new Change(Change.Kind.HELD, "door", Message.NOTHING)))).containsExactlyInAnyOrder("LX", "L");
    }

    @Test
    void devicesAreWhatStandsThere() {
        assertThat(reach().devices(between("hot", "back", Setup.AS_IT_IS))).containsExactly(Device.MOTOR);
        assertThat(reach().devices(between("Y", "C", Setup.AS_IT_IS))).contains(Device.CONTACTOR_COIL, Device.TRANSFORMER, Device.CONTROL_BOARD);
        assertThat(reach().devices(check("", new Change(Change.Kind.PART_IN, "motor", Message.NOTHING)))).contains(Device.MOTOR);
        assertThat(reach().devices(check("", Change.NONE))).isEmpty();
    }

    /** A run capacitor holds its charge; the few picofarads of a winding to its shell hold none. */
    @Test
    void capacitorsAreChargedAndStrayOnesAreNot() {
        assertThat(reach().charged(between("hot", "back", Setup.AS_IT_IS))).isFalse();
        unit.elements.add(new Element.Capacitor("stray", "hot", "back", 1e-10));
        assertThat(reach().charged(between("hot", "back", Setup.AS_IT_IS))).isFalse();
        unit.elements.add(new Element.Capacitor("run", "hot", "back", 5e-6));
        assertThat(reach().charged(between("hot", "back", Setup.AS_IT_IS))).isTrue();
        assertThat(reach().charged(between("R", "OK", Setup.AS_IT_IS))).as("it hangs elsewhere").isFalse();
    }

    /** What may be chosen to be put in: plugs off, plain wires off, a door held; nothing that bridges a limit. */
    @Test
    void allowedChangesAreThoseOfTheCircuit() {
        UnitModel model = unit.wire("lead", "OUT", "L").model();
        Safety safety = new Safety(model, VirtualUnit.of(model, model.machine()), moment -> moment.offset(), check -> java.util.Optional.empty());
        assertThat(safety.allowed()).containsKeys("off.P", "held.door", "wire.lead").doesNotContainKeys("wire.p1", "wire.relay", "wire.limit", "held.limit");
        assertThat(safety.allowed()).as("found once").isSameAs(safety.allowed());
        assertThat(safety.allowed().get("off.P").kind()).isEqualTo(Change.Kind.PLUG_OFF);
        assertThat(safety.allowed().get("wire.lead").kind()).isEqualTo(Change.Kind.WIRE_OFF);
    }
}
