package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.BoardUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the declared unit says of itself, and how it says that something is not in it. */
class UnitModelTest {

    private static final UnitModel MODEL = BoardUnit.model();

    @Test
    void whatIsNotThereIsSaidWithWhatIs() {
        assertThatThrownBy(() -> MODEL.part("boiler")).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("no part 'boiler'").hasMessageContaining("board, coil");
        assertThatThrownBy(() -> MODEL.moment("night")).hasMessageContaining("standby, calling, off");
        assertThatThrownBy(() -> MODEL.connector("P9")).hasMessageContaining("no connector 'P9'").hasMessageContaining("P");
        assertThatThrownBy(() -> MODEL.chart("board")).hasMessageContaining("no lamp");
        assertThatThrownBy(() -> MODEL.scenario("x")).hasMessageContaining("usual");
        assertThatThrownBy(() -> MODEL.channel("x")).hasMessageContaining("coil");
        assertThatThrownBy(() -> MODEL.fault("x")).hasMessageContaining("relay-open");
        assertThatThrownBy(() -> MODEL.setting("x")).hasMessageContaining("no setting 'x'");
    }

    /** A pin is a plain conductor; a contact moves, a fuse melts, a breaker is switched. */
    @ParameterizedTest
    @CsvSource({"pin, true", "wire, true", "relay, false", "breaker, false", "call, false", "coil, false"})
    void plainConductorIsWhatNeitherMovesNorMelts(String element, boolean plain) {
        assertThat(MODEL.plainConductor(element).isPresent()).isEqualTo(plain);
    }

    @Test
    void pinsProbesAndNames() {
        assertThat(MODEL.isPin("pin")).isTrue();
        assertThat(MODEL.isPin("wire")).isFalse();
        assertThat(MODEL.isProbed("hot")).isTrue();
        assertThat(MODEL.isProbed("L")).isFalse();
        assertThat(MODEL.pointLabel("L")).as("by its own name where no point is").isEqualTo("L");
        assertThat(MODEL.elementLabel("pin")).isEqualTo("plug P");
        assertThat(MODEL.elementLabel("breaker")).isEqualTo("breaker");
        assertThat(MODEL.boardLabel("board")).isEqualTo("board");
        assertThat(MODEL.partWith("coil").map(Part::id)).contains("coil");
        assertThat(MODEL.partWith("breaker")).isEmpty();
    }

    /** The call and the power are of the usual run; a cord that only a test puts in would be none of it. */
    @Test
    void nothingHereIsTestGear() {
        assertThat(MODEL.machine().circuit().elements()).noneMatch(element -> MODEL.isTestGear(element.id()));
    }

    @Test
    void partsSayWhatTheyAre() {
        assertThat(MODEL.devices(MODEL.part("coil"))).containsExactly(Device.SOLENOID);
        assertThat(MODEL.devices(MODEL.part("board"))).containsExactly(Device.CONTROL_BOARD);
        assertThat(MODEL.devices(MODEL.part("wire"))).isEmpty();
        assertThat(MODEL.saysWhatItIs(MODEL.part("coil"))).isTrue();
    }

    @Test
    void momentsAreFoundByWhatTheyAreFor() {
        assertThat(MODEL.asFound().map(Moment::id)).contains(BoardUnit.CALLING);
        assertThat(MODEL.afterCall()).isEmpty();
        assertThat(MODEL.powerOff()).extracting(Moment::id).containsExactly(BoardUnit.OFF);
        assertThat(MODEL.calledFor()).as("one run needs no telling apart").isEmpty();
        assertThat(MODEL.watchedScenarios()).hasSize(1);
    }

    @Test
    void settingTakesItsNearestPosition() {
        Map<String, Double> options = new LinkedHashMap<>();
        options.put("60 s", 60.0);
        options.put("90 s", 90.0);
        options.put("120 s", 120.0);
        UnitModel.Setting delay = new UnitModel.Setting("off-delay", "Off delay", "off", "s", options, "90 s", null, null);
        assertThat(delay.nearest(0)).isEqualTo("60 s");
        assertThat(delay.nearest(100)).isEqualTo("90 s");
        assertThat(delay.nearest(106)).isEqualTo("120 s");
    }

    /** Draft and gas pressure go by their ratio to the stamp, temperatures by their distance from it (common practice). */
    @ParameterizedTest
    @CsvSource({"INCHES_WC, 1.0, 0.70, 0.35, 0.5", "INCHES_WC, 7, 11, 5.5, 3.5", "FAHRENHEIT, 180, 200, 150, 130"})
    void stampBringsAReadingToThePartOfThePack(MeterMode mode, double own, double typed, double read, double inThePack) {
        Stamp stamp = new Stamp(own, "what stands on it");
        assertThat(stamp.inThePack(mode, typed, read)).isEqualTo(inThePack, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(stamp.atTheUnit(mode, typed, inThePack)).isEqualTo(read, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void stampOfNothingIsRefused() {
        assertThatThrownBy(() -> new Stamp(0, "draft")).hasMessageContaining("'draft' is 0").hasMessageContaining("above 0");
        assertThatThrownBy(() -> new Part("p", "p", Part.Kind.PART, -1, 0, true, java.util.List.of(), "", 0)).hasMessageContaining("at least 0");
        assertThatThrownBy(() -> new Part("p", "p", Part.Kind.PART, 1, 0, true, java.util.List.of(), "board", 0)).hasMessageContaining("BOARD");
        assertThatThrownBy(() -> new Moment("m", "m", "usual", null, -1, 0, Moment.Role.OTHER)).hasMessageContaining("at least 0");
        assertThatThrownBy(() -> Device.of("flux")).hasMessageContaining("no device kind 'flux'");
        assertThat(Device.of("gas-valve")).isEqualTo(Device.GAS_VALVE);
    }

    /** The drawing: one line a side, and between two points what joins them. */
    /** A fault half as far gone, on the scale on which it goes; what is there or is not has no half. */
    @Test
    void faultsGoHalfAsFarOnTheirScale() {
        assertThat(new Effect.OnElement("pin", Effect.Mode.RESISTIVE, 40).partly(MODEL.machine(), 0.5)).contains(new Effect.OnElement("pin", Effect.Mode.RESISTIVE, 20));
        assertThat(new Effect.OnElement("coil", Effect.Mode.SCALED, 0.25).partly(MODEL.machine(), 0.5)).contains(new Effect.OnElement("coil", Effect.Mode.SCALED, 0.5));
        assertThat(new Effect.OnElement("pin", Effect.Mode.OPEN, 0).partly(MODEL.machine(), 0.5)).isEmpty();
        assertThatThrownBy(() -> new Effect.OnElement("coil", Effect.Mode.RESISTIVE, 1).apply(MODEL.machine())).hasMessageContaining("cannot fail as RESISTIVE");
        assertThatThrownBy(() -> new Effect.InputDeaf("nobody").apply(MODEL.machine())).hasMessageContaining("no board has an input 'nobody'");
    }
}
