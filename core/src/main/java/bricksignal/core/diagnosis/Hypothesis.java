package bricksignal.core.diagnosis;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.VirtualUnit;
import java.util.List;

/**
 * Something that may be the matter, with the unit run as if it were: one fault, one fault that comes and goes, or two faults
 * at once.
 *
 * @param id its name
 * @param faults one, or two with the more probable first
 * @param parts the part of each fault
 * @param duty share of the time in which the fault is there; 1 where it stays
 * @param unit the virtual unit with the faults in it
 * @param prior probability before anything is known, above 0
 */
public record Hypothesis(String id, List<Fault> faults, List<Part> parts, double duty, VirtualUnit unit, double prior) {

    public Hypothesis {
        faults = List.copyOf(faults);
        parts = List.copyOf(parts);
        if (!(duty > 0 && duty <= 1)) {
            throw new IllegalArgumentException("hypothesis '" + id + "': duty is " + duty + "; it must be above 0 and at most 1");
        }
    }

    /** The fault, the more probable of two. */
    public Fault fault() {
        return faults.get(0);
    }

    /** The part of that fault. */
    public Part part() {
        return parts.get(0);
    }

    /** As people say it. */
    public String label() {
        String together = String.join(", and ", faults.stream().map(Fault::label).toList());
        return comesAndGoes() ? together + ", now and then" : together;
    }

    /** The parts as people say them. */
    public String partLabel() {
        return String.join(" and ", parts.stream().map(Part::label).distinct().toList());
    }

    /** What to do. */
    public String remedy() {
        return String.join("; then ", faults.stream().map(Fault::remedy).distinct().toList());
    }

    public boolean comesAndGoes() {
        return duty < 1;
    }

    public boolean blamesBoard() {
        return parts.stream().anyMatch(part -> part.kind() == Part.Kind.BOARD);
    }

    /** True if one of its faults has a shared cause. */
    public boolean shared() {
        return faults.stream().anyMatch(Fault::shared);
    }

    /** True for a failure that no list of the pack names. */
    public boolean unlisted() {
        return part().id().equals(UnlistedFailures.PART);
    }

    /** True if that is nothing at all. */
    public boolean nothing() {
        return faults.stream().allMatch(fault -> fault.effects().isEmpty());
    }
}
