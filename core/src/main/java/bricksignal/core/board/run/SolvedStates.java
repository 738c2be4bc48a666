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
 * (a blocked vent, a deaf input) run through states that are solved already. Once they rest, no state is added. Safe for use by several
 * threads; two that ask at once may both solve, and one answer is kept.
 */
public final class SolvedStates {

    private final Map<List<Element>, Wiring> wirings = new ConcurrentHashMap<>();
    private final @Nullable SolvedStates base;
    private volatile boolean resting;

    /** Knows nothing yet. */
    public SolvedStates() {
        this(null);
    }

    private SolvedStates(@Nullable SolvedStates base) {
        this.base = base;
    }

    /**
     * For a run that is hardly ever run again: states known here are used; others of circuits known here are added while these do not
     * rest, and all else is let go with it.
     */
    public SolvedStates passing() {
        return new SolvedStates(this);
    }

    /** What is known of one circuit. */
    final class Wiring {

        private final Circuit circuit;
        private final @Nullable Wiring before;
        private final Map<BitSet, Solution> known = new ConcurrentHashMap<>();

        private Wiring(Circuit circuit, @Nullable Wiring before) {
            this.circuit = circuit;
            this.before = before;
        }

        Solution at(BitSet closed) {
            Solution solution = before == null ? null : before.known.get(closed);
            solution = solution == null ? known.get(closed) : solution;
            return solution == null ? added((BitSet) closed.clone()) : solution;
        }

        private Solution added(BitSet positions) {
            Solution made = Solution.of(Positions.apply(circuit, positions));
            Wiring keeper = before != null && before.grows() ? before : this;
            Solution first = keeper.known.putIfAbsent(positions, made);
            return first == null ? made : first;
        }

        private boolean grows() {
            return !resting;
        }
    }

    /** Circuits with the same elements of the same values are one. */
    Wiring of(Circuit circuit) {
        Wiring before = base == null ? null : base.wirings.get(circuit.elements());
        return wirings.computeIfAbsent(circuit.elements(), elements -> new Wiring(circuit, before));
    }

    /** How many states are solved. */
    public int size() {
        return wirings.values().stream().mapToInt(wiring -> wiring.known.size()).sum();
    }

    /** From now on nothing is added, and what only an impedance needs is let go: it is worked out anew for each that is asked for. */
    public void rest() {
        resting = true;
        wirings.values().forEach(wiring -> wiring.known.values().forEach(Solution::letFactorsGo));
    }
}
