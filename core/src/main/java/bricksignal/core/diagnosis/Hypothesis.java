package bricksignal.core.diagnosis;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.VirtualUnit;

/**
 * Something that may be the matter, with the unit run as if it were.
 *
 * @param fault what it is
 * @param part the part at fault
 * @param unit the virtual unit with the fault in it
 * @param prior probability before anything is known, above 0
 */
public record Hypothesis(Fault fault, Part part, VirtualUnit unit, double prior) {

    public String id() {
        return fault.id();
    }

    public boolean blamesBoard() {
        return part.kind() == Part.Kind.BOARD;
    }
}
