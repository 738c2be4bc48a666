package bricksignal.core.board.run;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class SolvedStatesTest {

    private final SolvedStates family = new SolvedStates();

    private static Circuit circuit(double ohms) {
        return new Circuit("C", 60, List.of(new Element.Source("s", "R", "C", 24, 0, 1),
                new Element.Conductor("k", "R", "n", 0.1, true, Double.POSITIVE_INFINITY), new Element.Load("coil", "n", "C", ohms, 0)));
    }

    private static BitSet closed() {
        BitSet closed = new BitSet();
        closed.set(1);
        return closed;
    }

    @Test
    void stateThatIsKnownIsNotSolvedAgain() {
        var first = family.of(circuit(50)).at(closed());
        assertThat(family.of(circuit(50)).at(closed())).as("the same circuit, made again").isSameAs(first);
        assertThat(family.size()).isEqualTo(1);
    }

    @Test
    void circuitOfOtherValuesIsAnother() {
        var first = family.of(circuit(50)).at(closed());
        assertThat(family.of(circuit(51)).at(closed())).isNotSameAs(first);
        assertThat(family.size()).isEqualTo(2);
    }

    @Test
    void passingRunUsesWhatIsKnownAndTakesTheRestWithIt() {
        var known = family.of(circuit(50)).at(closed());
        SolvedStates passing = family.passing();
        assertThat(passing.of(circuit(50)).at(closed())).isSameAs(known);
        passing.of(circuit(75)).at(closed());
        assertThat(family.size()).isEqualTo(1);
        assertThat(passing.size()).isEqualTo(1);
    }

    @Test
    void nothingIsAddedOnceTheyRest() {
        family.of(circuit(50)).at(closed());
        SolvedStates passing = family.passing();
        passing.of(circuit(50)).at(new BitSet());
        assertThat(family.size()).as("another state of a circuit that is known").isEqualTo(2);
        family.rest();
        SolvedStates later = family.passing();
        BitSet flame = new BitSet();
        flame.set(5);
        var solved = later.of(circuit(50)).at(flame);
        assertThat(later.of(circuit(50)).at(flame)).as("kept as long as the run").isSameAs(solved);
        assertThat(family.size()).isEqualTo(2);
    }

    /** By hand: 24 V over 1 + 0.1 + 50 ohms; an impedance after the factors were let go is the same. */
    @Test
    void factorsThatWereLetGoAreMadeAnewWhenAsked() {
        var solution = family.of(circuit(50)).at(closed());
        assertThat(solution.amps("coil").magnitude()).isCloseTo(24 / 51.1, org.assertj.core.api.Assertions.within(1e-9));
        var before = solution.impedance("n", "C");
        family.rest();
        assertThat(solution.impedance("n", "C")).isEqualTo(before);
        assertThat(solution.resistance("n", "C")).as("51.1 ohms of the source's way beside 50 of the coil").isCloseTo(1.1 * 50 / 51.1, org.assertj.core.api.Assertions.within(1e-6));
    }
}
