package bricksignal.core.board.run;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Solved states of circuits, by which conductors are closed and which flames are lit. Faults that leave the wiring as it is
 * (a blocked vent, a deaf input) run through states that are solved already, and so do boards that differ only in their
 * times. Safe for use by several threads; two that ask at once may both solve, and one answer is kept.
 */
public final class SolvedStates {

    private final Map<List<Element>, Wiring> wirings = new ConcurrentHashMap<>();
    private final @Nullable SolvedStates base;

    /** Knows nothing yet. */
    public SolvedStates() {
        this(null);
    }

    private SolvedStates(@Nullable SolvedStates base) {
        this.base = base;
    }

    /** For a run that is hardly ever run again: circuits known here are used; others are let go with it. */
    public SolvedStates passing() {
        return new SolvedStates(this);
    }

    /** What is known of one circuit. */
    static final class Wiring {

        private final Circuit circuit;
        private final Map<BitSet, Solution> known = new ConcurrentHashMap<>();

        private Wiring(Circuit circuit) {
            this.circuit = circuit;
        }

        Solution at(BitSet closed) {
            Solution solution = known.get(closed);
            if (solution == null) {
                BitSet positions = (BitSet) closed.clone();
                Solution made = Solution.of(Positions.apply(circuit, positions));
                Solution first = known.putIfAbsent(positions, made);
                solution = first == null ? made : first;
            }
            return solution;
        }
    }

    /** Circuits with the same elements of the same values are one. */
    Wiring of(Circuit circuit) {
        Wiring known = base == null ? null : base.wirings.get(circuit.elements());
        return known != null ? known : wirings.computeIfAbsent(circuit.elements(), elements -> new Wiring(circuit));
    }

    /** How many states are solved. */
    public int size() {
        return wirings.values().stream().mapToInt(wiring -> wiring.known.size()).sum();
    }

    /** Lets go of everything. */
    public void forget() {
        wirings.clear();
    }

    /** Lets go of what only an impedance needs. */
    public void letFactorsGo() {
        wirings.values().forEach(wiring -> wiring.known.values().forEach(Solution::letFactorsGo));
    }
}
