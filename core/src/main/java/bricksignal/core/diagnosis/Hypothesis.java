package bricksignal.core.diagnosis;

import bricksignal.core.board.Machine;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.words.Message;
import java.util.List;

/**
 * Something that may be the matter: one fault, one intermittent fault, or two faults at once.
 *
 * @param id what it is about
 * @param faults one, or two with the more probable first
 * @param parts the part of each fault
 * @param duty share of the time in which the fault is there; 1 where it stays
 * @param prior probability before anything is known, above 0
 */
public record Hypothesis(HypothesisId id, List<Fault> faults, List<Part> parts, double duty, double prior) {

    public Hypothesis {
        faults = List.copyOf(faults);
        parts = List.copyOf(parts);
        if (!(duty > 0 && duty <= 1)) {
            throw new IllegalArgumentException("hypothesis '" + id.text() + "': duty is " + duty
                    + "; it must be above 0 and at most 1");
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
    public Message label() {
        Message together = faults.size() == 1 ? fault().label()
                : Message.items(Message.Joint.AND, faults.stream().map(Fault::label).toList());
        return intermittent() ? Message.of("hypothesis.intermittent", together)
                : id instanceof HypothesisId.Milder ? Message.of("hypothesis.milder", together) : together;
    }

    /** The parts as people say them. */
    public Message partLabel() {
        return unlisted() ? fault().label() : Message.items(Message.Joint.AND, parts.stream().map(Part::label).distinct()
                .map(Message::said).toList());
    }

    /** What to do. */
    public Message remedy() {
        return Message.items(Message.Joint.THEN, faults.stream().map(Fault::remedy).distinct().toList());
    }

    /** True where the fault is there only some of the time. */
    public boolean intermittent() {
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
        return id instanceof HypothesisId.Unlisted;
    }

    /** True if that is nothing at all. */
    public boolean nothing() {
        for (Fault fault : faults) {
            if (!fault.effects().isEmpty()) {
                return false;
            }
        }
        return true;
    }

    /** The machine with the faults in it. */
    Machine in(Machine nominal) {
        Machine machine = nominal;
        for (Fault fault : faults) {
            machine = fault.in(machine);
        }
        return machine;
    }

    /** What is run for it: an intermittent fault is run as if it stayed. */
    HypothesisId run() {
        return intermittent() ? new HypothesisId.Single(fault().id()) : id;
    }
}
