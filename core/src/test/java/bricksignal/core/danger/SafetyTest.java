package bricksignal.core.danger;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.unit.Test.Sense;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SafetyTest {

    private final SmallUnit unit = new SmallUnit(Device.MOTOR, Device.CONTACTOR_COIL);

    private Safety safety() {
        UnitModel model = unit.model();
        return new Safety(model, VirtualUnit.of(model, model.machine()), moment -> moment.offset(), check -> Optional.of(model.part(check.change().at())));
    }

    private static Reading volts(String red, String black) {
        return new Reading("v." + red, Message.said(red), MeterMode.AC_VOLTS, new Place.Across(black, red), "running", Setup.AS_IT_IS, 0, 0);
    }

    private static Reading ohms(String red, String black) {
        return new Reading("o." + red, Message.said(red), MeterMode.OHMS, new Place.Across(black, red), "off", new Setup(true, List.of()), 0, 0);
    }

    private static Check check(Sense sense, String moment, Change change) {
        return new Check(sense + "." + change.at(), Message.said("?"), sense, moment, null, Map.of(), 0.02, 1, "", change);
    }

    private static Check swap(String part) {
        return check(Sense.SWAP, "running", new Change(Change.Kind.PART_IN, part, Message.NOTHING));
    }

    @Test
    void boardIsNotMeasuredOnOhmsAndACoilIs() {
        assertThat(safety().forbids(ohms("OK", "C"))).contains(Message.of("withdrawn.ohms", Message.of("device.CONTROL_BOARD")));
        assertThat(safety().forbids(ohms("Y", "C"))).isEmpty();
        assertThat(safety().forbids(volts("R", "C"))).as("its supply is measured in volts").isEmpty();
    }

    /** What ends at a compressor alone is under its cover; where a board stands at the same net that is the place to touch. */
    @Test
    void compressorIsNotProbedLiveUnderItsCover() {
        SmallUnit other = new SmallUnit(Device.COMPRESSOR, Device.CONTACTOR_COIL);
        UnitModel model = other.model();
        Safety safety = new Safety(model, VirtualUnit.of(model, model.machine()), moment -> moment.offset(), check -> Optional.empty());
        assertThat(safety.forbids(volts("hot", "back"))).contains(Message.of("withdrawn.compressor-cover"));
        assertThat(safety.forbids(volts("OUT", "N"))).as("at the board").isEmpty();
        assertThat(safety.forbids(ohms("hot", "back"))).as("its windings, dead").isEmpty();
        assertThat(safety.hazards(ohms("hot", "back"))).contains(Hazard.COMPRESSOR, Hazard.DEAD_WORK);
    }

    @ParameterizedTest
    @CsvSource({"motor, withdrawn.swap", "coil, withdrawn.swap", "limit, withdrawn.safety-swapped"})
    void isNotSwappedForATest(String part, String why) {
        assertThat(safety().forbids(swap(part)).map(said -> ((Message.Keyed) said).key())).contains(why);
    }

    @Test
    void boardIsSwapped() {
        assertThat(safety().forbids(swap("board"))).isEmpty();
    }

    @Test
    void whatDoesNotSayWhatItIsIsNotSwapped() {
        unit.devices.remove("coil");
        assertThat(safety().forbids(swap("coil"))).contains(Message.of("withdrawn.undeclared"));
    }

    /** From R to OK the limit would be bridged; from OK to Y nothing is that keeps anybody safe. */
    @Test
    void jumperBridgesNoSafety() {
        assertThat(safety().bypassed("R", "OK")).contains("limit");
        assertThat(safety().bypassed("R", "Y")).contains("limit");
        assertThat(safety().bypassed("LX", "L")).contains("door");
        assertThat(safety().bypassed("OK", "Y")).isEmpty();
    }

    @Test
    void changesToChooseFromBridgeNothing() {
        Map<String, Change> allowed = safety().allowed();
        assertThat(allowed.keySet()).contains("off.P", "held.door").noneMatch(id -> id.contains("limit"));
        assertThat(allowed.values()).extracting(Change::kind).doesNotContain(Change.Kind.BRIDGE, Change.Kind.FED);
    }

    @Test
    void lineVoltageHoldsForAllThatStandsAtTheSamePlace() {
        assertThat(safety().hazards(volts("OUT", "N"))).contains(Hazard.LINE, Hazard.MOVING).doesNotContain(Hazard.DEAD_WORK, Hazard.OVER_240);
        assertThat(safety().hazards(volts("N", "L"))).contains(Hazard.LINE);
        assertThat(safety().hazards(volts("R", "OK"))).as("24 V at the thermostat").doesNotContain(Hazard.LINE).contains(Hazard.MOVING);
        assertThat(safety().hazards(ohms("hot", "back"))).contains(Hazard.DEAD_WORK).doesNotContain(Hazard.LINE, Hazard.MOVING);
    }

    @Test
    void lookMeetsNothingAndAHandOnWhatRunsDoes() {
        assertThat(safety().hazards(check(Sense.LOOK, "running", Change.NONE))).isEmpty();
        assertThat(safety().hazards(check(Sense.FEEL, "running", new Change(Change.Kind.HELD, "relay", Message.NOTHING)))).contains(Hazard.LINE, Hazard.MOVING);
    }

    /** Common practice: gas by the gas-qualified, a sealed circuit by the certified, the house's supply by an electrician; no published source. */
    @ParameterizedTest
    @CsvSource({"COMPRESSOR, false, REFRIGERANT", "REFRIGERANT, false, REFRIGERANT", "GAS_VALVE, true, GAS", "CONTROL_BOARD, true, GAS",
        "CONTROL_BOARD, false, NONE", "SUPPLY, false, ELECTRICAL", "MOTOR, true, NONE", "FLAME_ROD, true, NONE"})
    void whoeverChangesItHasTheLicence(Device device, boolean gas, Stop.Licence licence) {
        assertThat(device.licence(gas)).isEqualTo(licence);
    }

    @Test
    void licencesOfATestAreThoseOfWhatItMeets() {
        Reading gauge = new Reading("suction", Message.said("suction"), MeterMode.PSI, new Place.Gauge("suction", null, null), "running", Setup.AS_IT_IS, 0, 0);
        unit.refrigerant = Dangers.Refrigerant.A1;
        assertThat(safety().licences(gauge)).containsExactly(Stop.Licence.REFRIGERANT);
        assertThat(safety().licences(volts("R", "OK"))).isEmpty();
        assertThat(safety().licences(unit.model().part("board"))).as("nothing burns here").isEmpty();
    }

    /** What a person asks beside the tests of a unit has no end, and what is kept of it has. */
    @Test
    void hazardsOfReadingsThatNobodyForesawAreFoundAndNotKeptForEver() {
        Safety safety = safety();
        for (int i = 0; i < 3000; i++) {
            Reading one = new Reading("free." + i, Message.said("x"), MeterMode.AC_VOLTS, new Place.Across("N", "OUT"), "running", Setup.AS_IT_IS, 0, 0);
            assertThat(safety.hazards(one)).contains(Hazard.LINE);
        }
        assertThat(safety.remembered()).isLessThanOrEqualTo(1000);
    }

    @Test
    void refrigerantThatBurnsIsToldAtEveryElectricalAct() {
        unit.refrigerant = Dangers.Refrigerant.A2L;
        assertThat(safety().hazards(volts("R", "OK"))).contains(Hazard.FLAMMABLE_REFRIGERANT);
        unit.refrigerant = Dangers.Refrigerant.A1;
        assertThat(safety().hazards(volts("R", "OK"))).doesNotContain(Hazard.FLAMMABLE_REFRIGERANT);
    }

    /** Burnt wire: what needs no power is left. Gas in the room: nothing is. */
    @Test
    void stopLeavesWhatCannotHurt() {
        assertThat(safety().leaves(Stop.BURNT, ohms("Y", "C"))).isTrue();
        assertThat(safety().leaves(Stop.BURNT, volts("R", "OK"))).isFalse();
        assertThat(safety().leaves(Stop.GAS_SMELL, ohms("Y", "C"))).isFalse();
        assertThat(safety().leaves(Stop.ROLLOUT, volts("R", "OK"))).as("nothing burns in this unit").isTrue();
    }
}
