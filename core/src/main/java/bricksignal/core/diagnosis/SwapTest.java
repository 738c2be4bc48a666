package bricksignal.core.diagnosis;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The test that changes a part against that of a twin which runs well: if the fault goes with the part, the part is bad. Made
 * from the model for every part that can be changed in reasonable time (common practice; the chances are from memory).
 */
final class SwapTest {

    private static final double LONGEST_MINUTES = 60;
    private static final double MOVES_WITH_THE_PART = 0.96;
    private static final double MOVES_BY_CHANCE = 0.02;
    private static final double TWICE_WITHOUT_TRYING = 1.2;

    private SwapTest() {
    }

    static boolean canBeSwapped(Part part) {
        boolean exchangeable = part.kind() == Part.Kind.BOARD || part.kind() == Part.Kind.PART;
        return exchangeable && part.minutes() <= LONGEST_MINUTES && !part.elements().isEmpty();
    }

    static Test.Check of(UnitModel model, Part part) {
        Map<String, Double> tells = new LinkedHashMap<>();
        model.faults().stream().filter(fault -> fault.part().equals(part.id())).map(Fault::id)
                .forEach(id -> tells.put(id, MOVES_WITH_THE_PART));
        String last = model.moments().stream().filter(m -> m.during() != null).reduce((a, b) -> b)
                .orElse(model.moments().get(0)).id();
        return new Test.Check("swap." + part.id(), "Swapped with the twin: " + part.label() + " - does the fault go with it",
                Test.Sense.SWAP, last, null, tells, MOVES_BY_CHANCE, TWICE_WITHOUT_TRYING * part.minutes(), "");
    }
}
