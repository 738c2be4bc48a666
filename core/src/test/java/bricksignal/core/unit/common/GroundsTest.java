package bricksignal.core.unit.common;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.FusedUnit;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A winding that touches its shell, in a unit behind a fuse of 3 A whose load is said to be a motor. */
class GroundsTest {

    private static UnitModel with(Device device) {
        UnitModel m = FusedUnit.model();
        Dangers d = m.dangers();
        Map<String, Device> devices = new HashMap<>(d.devices());
        devices.put("coil", device);
        Dangers said = new Dangers(devices, d.parts(), d.guards(), d.taps(), d.stops(), d.refrigerant(), d.fuels());
        return CommonFailures.added(new UnitModel(m.id(), m.title(), m.duty(), m.machine(), m.connectors(), m.points(), m.scenarios(), m.moments(), m.found(), m.readings(),
                m.checks(), m.stages(), m.channels(), m.charts(), m.parts(), m.faults(), m.settings(), m.traits(), m.calls(), m.acceptance(), m.menu(), said));
    }

    private static boolean hasGrounded(UnitModel model) {
        return model.faults().stream().anyMatch(fault -> fault.id().equals("grounded.coil"));
    }

    @Test
    void motorsAndHeatersHaveItAndCoilsOfValvesHaveNot() {
        assertThat(List.of(Device.MOTOR, Device.COMPRESSOR, Device.THREE_PHASE_MOTOR, Device.HEATER)).allSatisfy(device -> assertThat(hasGrounded(with(device))).isTrue());
        assertThat(hasGrounded(with(Device.GAS_VALVE))).isFalse();
        assertThat(hasGrounded(with(Device.ELECTRONIC_MOTOR))).as("its module stands between").isFalse();
    }

    @Test
    void fuseHoldsUntilTheMotorIsCalledAndNoLonger() {
        UnitModel model = with(Device.MOTOR);
        Fault grounded = model.fault("grounded.coil");
        var run = VirtualUnit.of(model, grounded.in(model.machine())).usualRun();
        assertThat(run.at(1).unit().solution().circuit().element("fuse")).extracting(e -> ((Element.Conductor) e).closed()).as("nothing calls").isEqualTo(true);
        var last = run.intervals().get(run.intervals().size() - 1).unit().solution().circuit().element("fuse");
        assertThat(((Element.Conductor) last).closed()).as("called once").isFalse();
        assertThat(grounded.part()).isEqualTo("coil");
    }

    /** By hand: 0.1 ohm from the load's first terminal to the reference carries ten times its volts in amperes. */
    @Test
    void groundedLoadHasAConductorMoreAndTheOthersAsTheyWere() {
        Machine machine = FusedUnit.model().machine();
        Machine grounded = new Effect.Grounded("coil", "C", 0.1).apply(machine);
        assertThat(grounded.circuit().elements()).hasSize(machine.circuit().elements().size() + 1).containsAll(machine.circuit().elements());
        String hot = machine.circuit().element("coil").nets().get(0);
        Solution solved = Solution.of(grounded.circuit());
        assertThat(solved.amps("shell.coil").magnitude()).isCloseTo(solved.volts(hot, "C").magnitude() / 0.1, org.assertj.core.api.Assertions.within(1e-6));
        assertThatThrownBy(() -> new Effect.Grounded("coil", "C", 0.1).apply(grounded)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("shell.coil");
    }

    @Test
    void leadsOffTwoMeasurementsShowIt() {
        assertThat(with(Device.MOTOR).checks()).filteredOn(check -> check.tells().containsKey("grounded.coil"))
                .extracting(bricksignal.core.unit.Test.Check::id).contains("holds.coil");
    }
}
