package bricksignal.core.unit.common;

import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What can be the matter with any unit, made from its model and listed beside what its pack declares: each pin and wire that
 * carries current is open or makes bad contact; a board's joint behind a pin moves; a board holds still; a coil behind a fuse is shorted; a winding or a heater touches its shell; something that
 * no drawing knows sits in a field conductor; others left a jumper across a switch, a call jumper or a test cord in, a wire off its terminal. With the looks
 * and touches that tell them. What the pack declares itself is not made a second time. Common practice; the weights are from memory, small against those of
 * the packs.
 */
public final class CommonFailures {

    /** The part that stands for what others left behind. A pack that wants such failures declares it. */
    public static final String LEFT = "left-by-others";

    /** The part that stands for a conductor that belongs to no other part. */
    public static final String WIRING = "wiring";

    /** The part that stands for what was added on site and no drawing knows: float switch, humidifier, air cleaner, relay. */
    public static final String ADDED = "added-on-site";

    private CommonFailures() {
    }

    /** The unit with all of it; which failures can be felt and let it settle is found by running each. */
    public static UnitModel added(UnitModel model) {
        return added(model, null);
    }

    /**
     * The same.
     *
     * @param known the faults that were found when it was last run, by id: nothing but the unit in good order is run then; null where nobody knows
     */
    public static UnitModel added(UnitModel model, @Nullable Set<String> known) {
        Gathered gathered = new Gathered(model, known);
        if (has(model, WIRING)) {
            new Conductors(gathered).gather();
        }
        new Boards(gathered).gather();
        new Shorts(gathered).gather();
        new Grounds(gathered).gather();
        if (has(model, ADDED)) {
            new AddedOnSite(gathered).gather();
        }
        if (has(model, LEFT)) {
            new LeftBehind(gathered).gather();
        }
        return gathered.model();
    }

    private static boolean has(UnitModel model, String part) {
        return model.parts().stream().anyMatch(p -> p.id().equals(part));
    }

    /**
     * The look whose yes a test stands on: nobody puts a wire back that was not found off, takes out what was not found left in, or disconnects what was not found
     * added. Empty for a test that stands on nothing.
     */
    public static Optional<String> premise(Test test) {
        return test.id().startsWith(LeftBehind.GONE) ? Optional.of("see-" + test.id().substring(LeftBehind.GONE.length()))
                : test.id().startsWith(AddedOnSite.FAR_OFF) ? Optional.of(AddedOnSite.SEE + test.id().substring(AddedOnSite.FAR_OFF.length())) : Optional.empty();
    }

    /**
     * True for the look at a safety that is closed at rest: bridged it changes nothing until it is needed, so it explains no complaint
     * and no reading finds it. Only the look does, and it is dangerous.
     */
    public static boolean looksForABridgedSafety(Test.Check check) {
        return check.id().startsWith(LeftBehind.ACROSS) && check.tells().isEmpty();
    }
}
