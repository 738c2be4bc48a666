package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.words.Message;
import java.util.List;

/**
 * What proves a repair: what must be seen of the unit since the last part was changed, what of it was seen, and what is missing.
 *
 * @param due whether anything was repaired on this visit, or the unit is set up anew; else there is nothing to prove
 * @param items in the order of one walk
 * @param blocks why the visit cannot be closed as fixed; empty where it can
 */
public record ProvingPage(boolean due, List<Item> items, List<Message> blocks) {

    /** How an item is shown. */
    public enum Kind { READING, QUESTION, RUN, SETTING, SAFETY, CHANGE }

    /** When in one walk an item is shown, in the order of that walk. */
    public enum Walk {
        /** Power off and proven off. */
        POWER_OFF,
        /** Power on and nothing called. */
        STANDBY,
        /** The unit is called and runs. */
        CALLED,
        /** The call has ended. */
        CALL_ENDED,
        /** When all else is done. */
        BEFORE_LEAVING
    }

    /** How an item stands. */
    public enum State { BAD, MISSING, GOOD }

    /**
     * One thing to be shown.
     *
     * @param id the test, the setting, the safety or the entry of the change
     * @param walk when it is shown
     * @param due what must be so
     * @param found what was seen last since the repair; empty where nothing was
     * @param unit of the reading; empty for anything else
     * @param behind what stands behind a typed number in the units of the person; empty where they are those of the mode
     */
    public record Item(String id, Kind kind, Walk walk, Message what, State state, Message due, Message found, Message unit, Message behind, double minutes, List<Message> cautions) {

        /** One that takes no reading. */
        Item(String id, Kind kind, Walk walk, Message what, State state, Message due, Message found, double minutes, List<Message> cautions) {
            this(id, kind, walk, what, state, due, found, Message.NOTHING, Message.NOTHING, minutes, cautions);
        }

        /** The same, shown by something else. */
        Item shown(Message by) {
            return new Item(id, kind, walk, what, State.GOOD, due, by, unit, behind, minutes, cautions);
        }
    }

    public ProvingPage {
        items = List.copyOf(items);
        blocks = List.copyOf(blocks);
    }

    /** The proving run of a case. */
    public static ProvingPage of(Case now) {
        return new ProvingRun(now).page();
    }

    /** Why a visit cannot be closed as fixed; empty where it can. */
    public static List<Message> blocks(Case now) {
        return new ProvingRun(now).blocks();
    }
}
