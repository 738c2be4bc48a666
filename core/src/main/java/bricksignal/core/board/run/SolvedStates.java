package bricksignal.core.board.run;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.solve.Solution;
import java.util.BitSet;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;

/**
 * Solved states of circuits, by which conductors are closed and which flames are lit. Faults that leave the wiring as it is
 * (a blocked vent, a deaf input) run through states that are solved already. Not for use by several threads.
 */
public final class SolvedStates {

    private final Map<Circuit, Map<BitSet, Solution>> known = new IdentityHashMap<>();

    Solution of(Circuit circuit, BitSet closed) {
        return known.computeIfAbsent(circuit, wiring -> new HashMap<>()).computeIfAbsent((BitSet) closed.clone(),
                positions -> Solution.of(Positions.apply(circuit, positions)));
    }
}
