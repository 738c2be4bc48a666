package bricksignal.core.diagnosis;

import bricksignal.core.board.Rule;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Tests that change a part and see: against that of a twin which runs well (if the fault goes with the part, the part is bad),
 * or for a new one from the van (if it then runs, the old one was bad). Made from the model for every part that can be changed
 * in reasonable time (common practice; the chances are from memory).
 */
final class SwapTest {

    private static final double LONGEST_MINUTES = 60;
    private static final double DEAREST_PRICE = 60;
    /** Probability that it runs with another part in place of the bad one. */
    static final double TELLS = 0.96;
    private static final double BY_CHANCE = 0.02;
    private static final double TWICE_WITHOUT_TRYING = 1.2;

    private static final String SWAP = "swap.";
    private static final String NEW = "new.";

    private SwapTest() {
    }

    static List<Test.Check> of(UnitModel model) {
        return model.parts().stream().filter(SwapTest::canBeChanged).filter(part -> !resetByHand(model, part)).flatMap(part -> {
            Test.Check swap = check(model, part, SWAP, Test.Sense.SWAP, TWICE_WITHOUT_TRYING * part.minutes());
            boolean tried = part.stocked() && part.price() <= DEAREST_PRICE;
            return tried ? Stream.of(swap, check(model, part, NEW, Test.Sense.SUBSTITUTE, part.minutes())) : Stream.of(swap);
        }).toList();
    }

    /** The part that such a test changes. */
    static Part part(UnitModel model, Test.Check check) {
        return model.part(check.id().substring((check.sense() == Test.Sense.SWAP ? SWAP : NEW).length()));
    }

    private static boolean canBeChanged(Part part) {
        boolean exchangeable = part.kind() == Part.Kind.BOARD || part.kind() == Part.Kind.PART;
        return exchangeable && part.minutes() <= LONGEST_MINUTES && !part.elements().isEmpty();
    }

    /** A safety that is reset by hand asks for its cause; it is not changed to see what happens. */
    private static boolean resetByHand(UnitModel model, Part part) {
        return part.elements().stream().anyMatch(element -> model.machine().rules().get(element) instanceof Rule.Latches latches
                && latches.closes() == null);
    }

    private static Test.Check check(UnitModel model, Part part, String prefix, Test.Sense sense, double minutes) {
        Map<String, Double> tells = new LinkedHashMap<>();
        model.faults().stream().filter(fault -> fault.part().equals(part.id())).map(Fault::id)
                .forEach(id -> tells.put(id, TELLS));
        String last = model.moments().stream().filter(m -> m.during() != null).reduce((a, b) -> b)
                .orElse(model.moments().get(0)).id();
        return new Test.Check(prefix + part.id(), Message.of("test." + sense, Message.said(part.label())), sense, last, null, tells, BY_CHANCE, minutes, "", new Change(Change.Kind.PART_IN, part.id(), Message.NOTHING));
    }
}
