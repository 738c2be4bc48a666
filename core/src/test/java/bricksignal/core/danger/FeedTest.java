package bricksignal.core.danger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FeedTest {

    private static Optional<Feed> motor(SmallUnit unit) {
        UnitModel model = unit.model();
        return Feed.of(model, SmallUnit.off(model), model.part("motor"), SmallUnit.load(model, "motor"), 120, false);
    }

    private static Optional<Feed> coil(SmallUnit unit) {
        UnitModel model = unit.model();
        return Feed.of(model, SmallUnit.off(model), model.part("coil"), SmallUnit.load(model, "coil"), 26, false);
    }

    /** By hand: 120 V over 0.3 ohms of cord and 25 + 60j ohms of winding. */
    @Test
    void motorIsFedWithItsOwnPlugOff() {
        Feed feed = motor(new SmallUnit(Device.MOTOR, Device.SOLENOID)).orElseThrow();
        assertThat(feed.plug()).isEqualTo("P");
        assertThat(Solution.of(feed.circuit()).amps("motor").magnitude()).isCloseTo(120 / Math.hypot(25.3, 60), within(1e-6));
    }

    /** A plug that shares the neutral alone is not this motor's, wherever it stands in the list. */
    @Test
    void plugThatSharesTheNeutralAloneIsNotPulled() {
        SmallUnit unit = new SmallUnit(Device.MOTOR, Device.SOLENOID);
        unit.elements.add(new Element.Load("fan", "OUT", "fan-n", 60, 20));
        unit.devices.put("fan", Device.MOTOR);
        unit.wire("q2", "fan-n", "N");
        unit.plugs.add(0, new UnitModel.Connector("Q", "plug of the fan", List.of("q2")));
        assertThat(motor(unit).orElseThrow().plug()).isEqualTo("P");
    }

    /** Something is wired to the motor's own terminals: with the plug off the cord would feed it, so all wires come off. */
    @Test
    void whatThePlugDoesNotPartComesOffByAllWires() {
        SmallUnit unit = new SmallUnit(Device.MOTOR, Device.SOLENOID);
        unit.elements.add(new Element.Load("sense", "hot", "back", 4000, 0));
        unit.devices.put("sense", Device.CONTROL_BOARD);
        Feed feed = motor(unit).orElseThrow();
        assertThat(feed.plug()).isEmpty();
        assertThat(Solution.of(feed.circuit()).rms("sense")).as("nothing of it is fed").isZero();
    }

    /** With one pin of two the motor's other side stays on the unit: what is on it would be fed through a second way. */
    @Test
    void plugWithOnePinIsNotEnoughWhereTheOtherSideLeadsBack() {
        SmallUnit unit = new SmallUnit(Device.MOTOR, Device.SOLENOID);
        unit.plugs.set(0, new UnitModel.Connector("P", "half a plug", List.of("p2")));
        unit.elements.add(new Element.Load("lamp", "OUT", "back", 2000, 0));
        unit.devices.put("lamp", Device.LAMP);
        assertThat(motor(unit).orElseThrow().plug()).isEmpty();
    }

    @Test
    void coilOfAContactorAlwaysHasItsWiresOff() {
        UnitModel model = new SmallUnit(Device.MOTOR, Device.CONTACTOR_COIL).model();
        Feed feed = coil(new SmallUnit(Device.MOTOR, Device.CONTACTOR_COIL)).orElseThrow();
        assertThat(feed.plug()).isEmpty();
        Solution on = Solution.of(feed.circuit());
        assertThat(on.rms("logic")).as("the board").isLessThan(1e-6);
        assertThat(on.rms("transformer")).as("the transformer is fed backwards by nothing").isLessThan(1e-6);
        assertThat(model.dangers().device("coil")).contains(Device.CONTACTOR_COIL);
    }

    @ParameterizedTest
    @EnumSource(value = Device.class, names = {"COMPRESSOR", "THREE_PHASE_MOTOR", "ELECTRONIC_MOTOR", "HEATER", "HOT_SURFACE_IGNITER", "SPARK", "CONTROL_BOARD",
        "RELAY_ON_BOARD", "DETECTOR", "ELECTRONIC_SENSOR", "THERMISTOR", "INVERTER", "STEPPER", "TRANSFORMER", "FLAME_ROD", "THERMOCOUPLE"})
    void isNeverFed(Device device) {
        assertThat(motor(new SmallUnit(device, Device.SOLENOID))).isEmpty();
        assertThat(coil(new SmallUnit(Device.MOTOR, device))).isEmpty();
    }

    @Test
    void whatDoesNotSayWhatItIsIsNotFed() {
        SmallUnit unit = new SmallUnit(Device.MOTOR, Device.SOLENOID);
        unit.devices.remove("motor");
        assertThat(motor(unit)).isEmpty();
    }

    /** No way of feeding leaves a voltage or a current anywhere but on the cord's own way. */
    @ParameterizedTest
    @EnumSource(value = Device.class, names = {"MOTOR", "BRUSH_MOTOR", "GAS_VALVE", "SOLENOID", "CONTACTOR_COIL", "RELAY", "DAMPER_ACTUATOR"})
    void nothingElseIsFed(Device device) {
        Feed feed = motor(new SmallUnit(device, Device.SOLENOID)).orElseThrow();
        Solution on = Solution.of(feed.circuit());
        for (Element e : feed.circuit().elements()) {
            if (!List.of("motor", Feed.CORD).contains(e.id()) && !(e instanceof Element.Conductor c && !c.closed())) {
                assertThat(on.rms(e.id())).as(e.id()).isLessThan(1e-3);
            }
        }
    }
}
