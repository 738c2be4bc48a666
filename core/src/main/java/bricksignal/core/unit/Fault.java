package bricksignal.core.unit;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Optional;

/**
 * Something that can be the matter.
 *
 * @param id its name
 * @param label as people say it
 * @param kind what sort of cause
 * @param part the part at fault, by id
 * @param weight prior weight against the other faults, above 0
 * @param effects what it does to the machine; none for "nothing wrong now"
 * @param remedy what to do
 * @param shared true where one cause makes all units of a site fail alike: supply, fuel, an add-on controller
 * @param intermittent prior weight of the same fault as one that is there only some of the time, at least 0
 * @param onset minutes of running after which an intermittent one comes, by heat or time; 0 where it comes at any time
 * @param commission what is done at a new unit so that it is not so, as people say it; empty where it is no matter of setting up
 */
public record Fault(String id, Message label, Kind kind, String part, double weight, List<Effect> effects, Message remedy,
        boolean shared, double intermittent, double onset, String commission) {

    /** Sorts of cause. */
    public enum Kind { FAULT, SET_WRONG, OPERATED_WRONG, NOTHING_WRONG }

    private static final double HALF = 0.5;

    public Fault {
        effects = List.copyOf(effects);
        if (!(intermittent >= 0)) {
            throw new IllegalArgumentException("fault '" + id + "': intermittent is " + intermittent
                    + "; it must be at least 0");
        }
        if (!(onset >= 0)) {
            throw new IllegalArgumentException("fault '" + id + "': onset is " + onset + " minutes; it must be at least 0");
        }
        if (!(weight > 0)) {
            throw new IllegalArgumentException("fault '" + id + "': weight is " + weight + "; it must be above 0");
        }
    }

    /** One that is no matter of setting up a new unit. */
    public Fault(String id, Message label, Kind kind, String part, double weight, List<Effect> effects, Message remedy, boolean shared, double intermittent, double onset) {
        this(id, label, kind, part, weight, effects, remedy, shared, intermittent, onset, "");
    }

    /** The same fault gone half as far: each of its effects that has a size; empty where none has, or where it is a thing somebody did. */
    public Optional<Fault> milder(Machine nominal) {
        return partly(nominal, HALF);
    }

    /**
     * The same fault gone a share of its way, as {@link #milder}.
     *
     * @param share above 0, below 1
     */
    public Optional<Fault> partly(Machine nominal, double share) {
        List<Effect> less = effects.stream().map(effect -> effect.partly(nominal, share).orElse(effect)).toList();
        return kind != Kind.FAULT || less.equals(effects) ? Optional.empty()
                : Optional.of(new Fault(id, label, kind, part, weight, less, remedy, shared, intermittent, onset, commission));
    }

    /** The machine with this fault in it. */
    public Machine in(Machine nominal) {
        Machine machine = nominal;
        for (Effect effect : effects) {
            machine = effect.apply(machine);
        }
        return machine;
    }
}
