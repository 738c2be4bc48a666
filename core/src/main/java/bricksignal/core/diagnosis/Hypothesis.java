package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Set;

/**
 * Something that may be the matter: one fault, one intermittent fault, or two faults at once.
 *
 * @param id what it is about
 * @param faults one, or two with the more probable first
 * @param parts the part of each fault
 * @param duty share of the time in which the fault is there; 1 where it stays
 * @param prior probability before anything is known, above 0
 * @param run what is run for it: an intermittent fault as if it stayed, a thing renewed as if nothing were the matter
 * @param gone what it has taken with it already, elements by id
 */
public record Hypothesis(HypothesisId id, List<Fault> faults, List<Part> parts, double duty, double prior, HypothesisId run, Set<String> gone) {

    public Hypothesis {
        faults = List.copyOf(faults);
        parts = List.copyOf(parts);
        gone = Set.copyOf(gone);
        if (!(duty > 0 && duty <= 1)) {
            throw new IllegalArgumentException("hypothesis '" + id.text() + "': duty is " + duty
                    + "; it must be above 0 and at most 1");
        }
    }

    /** One that stays, or comes and goes, and has taken nothing with it. */
    Hypothesis(HypothesisId id, List<Fault> faults, List<Part> parts, double duty, double prior) {
        this(id, faults, parts, duty, prior, duty < 1 ? new HypothesisId.Single(faults.get(0).id()) : id, Set.of());
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
        HypothesisId cause = cause();
        return cause instanceof HypothesisId.Intermittent || cause instanceof HypothesisId.Failing ? Message.of("hypothesis.intermittent", together)
                : cause instanceof HypothesisId.Milder ? Message.of("hypothesis.milder", together) : together;
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
        return cause() instanceof HypothesisId.Unlisted;
    }

    /** The same, whatever it has taken with it. */
    public HypothesisId cause() {
        return id instanceof HypothesisId.Spent spent ? spent.of() : id;
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

    /** The machine with the faults in it; as it was made where what had died is new. */
    Machine in(Machine nominal) {
        Machine machine = nominal;
        for (Fault fault : id instanceof HypothesisId.Renewed ? List.<Fault>of() : faults) {
            machine = fault.in(machine);
        }
        for (String element : gone) {
            machine = new Effect.OnElement(element, Effect.Mode.OPEN, 0).apply(machine);
        }
        return machine;
    }
}
