package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FaultTest {

    private static final Machine MACHINE = new Machine(new Circuit("C", 60, List.of(new Element.Source("supply", "R", "C", 24, 0, 0.5),
            new Element.Conductor("wire", "R", "n", 0.01, true, Double.POSITIVE_INFINITY), new Element.Load("coil", "n", "C", 40, 0))),
            Map.of(), List.of(new Board("board", "R", "C", 16, List.of(), List.of())), List.of(), Map.of("gas", 3.5, "tube", 1.0, "ducts", 1.0), Map.of(), Map.of());

    private static Fault fault(Fault.Kind kind, Effect... does) {
        return new Fault("f", Message.said("fault"), kind, "part", 1, List.of(does), Message.said("mend it"), false, 0, 0);
    }

    private static Effect half(Effect effect) {
        return fault(Fault.Kind.FAULT, effect).milder(MACHINE).orElseThrow().effects().get(0);
    }

    private static Effect on(String element, Effect.Mode mode, double value) {
        return new Effect.OnElement(element, mode, value);
    }

    /** Twice half a fault is the fault, on the scale on which it goes: the definition. */
    @Test
    void milderFaultHasGoneHalfAsFar() {
        double weak = ((Effect.OnElement) half(on("supply", Effect.Mode.SCALED, 0.8))).value();
        assertThat(weak * weak).isCloseTo(0.8, within(1e-12));
        assertThat(half(on("wire", Effect.Mode.RESISTIVE, 30))).isEqualTo(on("wire", Effect.Mode.RESISTIVE, 15));
        assertThat(half(new Effect.OnParameter("gas", 0.5))).isEqualTo(new Effect.OnParameter("gas", 2));
        assertThat(half(new Effect.OnParameter("ducts", 0.6))).isEqualTo(new Effect.OnParameter("ducts", 0.8));
    }

    @Test
    void whatIsThereOrNotIsNoMilder() {
        for (Effect.Mode mode : List.of(Effect.Mode.OPEN, Effect.Mode.CLOSED, Effect.Mode.SHORTED)) {
            assertThat(fault(Fault.Kind.FAULT, on("coil", mode, 0.1)).milder(MACHINE)).as("%s", mode).isEmpty();
        }
        assertThat(fault(Fault.Kind.FAULT, new Effect.OnParameter("tube", 0)).milder(MACHINE)).isEmpty();
        assertThat(fault(Fault.Kind.NOTHING_WRONG).milder(MACHINE)).isEmpty();
    }

    @Test
    void whatSomebodySetStandsAsItStands() {
        assertThat(fault(Fault.Kind.SET_WRONG, new Effect.OnParameter("gas", 0.5)).milder(MACHINE)).isEmpty();
        assertThat(fault(Fault.Kind.OPERATED_WRONG, new Effect.OnParameter("gas", 0.5)).milder(MACHINE)).isEmpty();
    }

    @Test
    void onlyWhatHasASizeIsHalved() {
        Fault both = fault(Fault.Kind.FAULT, on("coil", Effect.Mode.OPEN, 0), on("wire", Effect.Mode.RESISTIVE, 4));
        assertThat(both.milder(MACHINE).orElseThrow().effects()).containsExactly(on("coil", Effect.Mode.OPEN, 0),
                on("wire", Effect.Mode.RESISTIVE, 2));
    }
}
