package bricksignal.core.circuit.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Circuits small enough to be computed by hand; every figure follows from Ohm's and Kirchhoff's laws. */
class SolutionTest {

    private static final double INF = Double.POSITIVE_INFINITY;

    private static Solution solve(Element... elements) {
        return Solution.of(new Circuit("earth", 60, List.of(elements)));
    }

    private static Element.Conductor wire(String id, String a, String b, double ohms, boolean closed) {
        return new Element.Conductor(id, a, b, ohms, closed, INF);
    }

    @Test
    void dividerSplitsByResistance() {
        // 24 V -- 100 ohm -- mid -- 300 ohm -- earth: 18 V at mid, 60 mA
        Solution s = solve(new Element.Source("v", "top", "earth", 24, 0, 0), new Element.Load("r1", "top", "mid", 100, 0),
                new Element.Load("r2", "mid", "earth", 300, 0));
        assertThat(s.volts("mid").magnitude()).isCloseTo(18, within(1e-5));
        assertThat(s.amps("r1").magnitude()).isCloseTo(0.06, within(1e-7));
        assertThat(s.amps("v").re()).as("a source that delivers carries its current out of plus").isCloseTo(-0.06, within(1e-7));
    }

    @Test
    void coilTakesCurrentByItsImpedance() {
        // 24 V on 30 + j40 ohm: 0.48 A, lagging by atan(4/3)
        Solution s = solve(new Element.Source("v", "a", "earth", 24, 0, 0), new Element.Load("coil", "a", "earth", 30, 40));
        assertThat(s.amps("coil").magnitude()).isCloseTo(0.48, within(1e-12));
        assertThat(Math.atan2(s.amps("coil").im(), s.amps("coil").re())).isCloseTo(-Math.atan2(4, 3), within(1e-12));
    }

    @Test
    void capacitorUnderLoadFollowsTheTradesFormula() {
        // C in uF = 2652 A / V at 60 Hz: common practice, from I = 2 pi f C V
        Solution s = solve(new Element.Source("v", "a", "earth", 120, 0, 0), new Element.Capacitor("c", "a", "earth", 7.5e-6));
        assertThat(2652 * s.amps("c").magnitude() / 120).isCloseTo(7.5, within(0.01));
    }

    @Test
    void transformerStepsDownAndDropsUnderLoad() {
        // 120 V / 5 = 24 V behind 1 ohm; 47 ohm load: 0.5 A and 23.5 V; the primary carries a fifth of the current
        Solution s = solve(new Element.Source("line", "L", "earth", 120, 0, 0),
                new Element.Transformer("t", "L", "earth", "R", "C", 5, 1, 10, false), wire("bond", "C", "earth", 0, true),
                new Element.Load("load", "R", "C", 47, 0));
        assertThat(s.volts("R", "C").magnitude()).isCloseTo(23.5, within(1e-5));
        assertThat(s.amps("line").magnitude()).isCloseTo(0.1, within(1e-6));
    }

    @Test
    void openTransformerPassesNothing() {
        Solution s = solve(new Element.Source("line", "L", "earth", 120, 0, 0),
                new Element.Transformer("t", "L", "earth", "R", "C", 5, 1, 10, true), wire("bond", "C", "earth", 0, true),
                new Element.Load("load", "R", "C", 47, 0));
        assertThat(s.volts("R", "C").magnitude()).isLessThan(1e-9);
    }

    @Test
    void openContactLeavesLoadUnpowered() {
        Solution s = solve(new Element.Source("v", "a", "earth", 24, 0, 0.1), wire("contact", "a", "b", 0.1, false),
                new Element.Load("load", "b", "earth", 50, 0));
        assertThat(s.volts("b").magnitude()).isLessThan(1e-9);
        assertThat(s.amps("contact").magnitude()).isZero();
    }

    @Test
    void floatingNetHasADefinedVoltage() {
        Solution s = solve(new Element.Source("v", "a", "earth", 24, 0, 0.1), wire("w1", "a", "b", 0.1, false),
                wire("w2", "b", "c", 0.1, false));
        assertThat(s.status()).isEqualTo(Solution.Status.SOLVED);
        assertThat(s.volts("b").magnitude()).isZero();
    }

    @Test
    void loopOfIdealWiresIsRegularisedAndSaidSo() {
        Solution s = solve(new Element.Source("v", "a", "earth", 24, 0, 0), wire("w1", "a", "b", 0, true),
                wire("w2", "a", "b", 0, true), new Element.Load("load", "b", "earth", 24, 0));
        assertThat(s.status()).isEqualTo(Solution.Status.REGULARISED);
        assertThat(s.amps("load").magnitude()).isCloseTo(1, within(1e-6));
        assertThat(s.amps("w1").magnitude()).isCloseTo(0.5, within(1e-6));
    }

    @Test
    void flameDrivesADirectCurrentThroughItsGround() {
        // 100 V behind 0.5 Mohm on a 14.5 Mohm flame: RMS across the flame 96.67 V, mean of a half wave sqrt(2)/pi of it,
        // over 15 Mohm: 2.90 uA
        Solution s = solve(new Element.Source("sense", "rod", "earth", 100, 0, 0.5e6),
                new Element.FlamePath("flame", "rod", "burner", 14.5e6, true), wire("ground", "burner", "earth", 0.1, true));
        double expected = Math.sqrt(2) / Math.PI * (100 * 14.5 / 15) / 15e6;
        assertThat(s.directAmps("flame")).isCloseTo(expected, within(expected * 1e-3));
        assertThat(s.directAmps("ground")).isCloseTo(expected, within(expected * 2e-2));
    }

    @Test
    void withoutGroundThereIsNoFlameCurrent() {
        Solution s = solve(new Element.Source("sense", "rod", "earth", 100, 0, 0.5e6),
                new Element.FlamePath("flame", "rod", "burner", 14.5e6, true), wire("ground", "burner", "earth", 0.1, false));
        assertThat(s.directAmps("sense")).isLessThan(0.05e-6);
    }

    @Test
    void impossibleValuesAreRefusedWithTheirName() {
        assertThatThrownBy(() -> new Element.Load("heater", "a", "b", Double.NaN, 0))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("heater").hasMessageContaining("NaN");
        assertThatThrownBy(() -> new Element.Conductor("w", "a", "b", -1, true, INF)).hasMessageContaining("ohms");
        assertThatThrownBy(() -> new Circuit("earth", 60, List.of(new Element.Load("r", "a", "b", 1, 0))))
                .hasMessageContaining("reference");
        assertThatThrownBy(() -> new Circuit("a", 60, List.of(new Element.Load("r", "a", "b", 1, 0),
                new Element.Load("r", "a", "b", 1, 0)))).hasMessageContaining("twice");
    }
}
