package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.costing.Rates;
import bricksignal.core.costing.Way;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The ways out of a verdict with what each costs, proven or not.
 *
 * @param currency of all money
 * @param cause what is put right, as people say it; nothing where nothing is to be put right
 * @param proven whether the verdict is proven
 * @param age of the unit in years that was counted with
 * @param ageKnown whether somebody said it; else half the life of a unit is counted
 * @param ways cheapest in expectation first
 * @param says which way, and why; nothing where there is none
 * @param fastest which way runs soonest and what that costs more; nothing where it is the same one
 * @param untested what never got power and was not tested, with the chance that it is bad too
 * @param spares conductors that nothing is on, where a conductor is to be put right
 * @param keeps whether keeping it or replacing it is cheaper, and from which age on
 * @param byAge the picture of that
 * @param figures what may be put in place of the company's
 */
public record WayOutPage(String currency, Message cause, boolean proven, double age, boolean ageKnown, List<WayLine> ways, Message says, Message fastest,
        List<UntestedLine> untested, List<Message> spares, Message keeps, @Nullable CurvePage byAge, List<FigureLine> figures) {

    /**
     * A way.
     *
     * @param id names it on this page
     * @param expected with all that may come
     * @param spread one sigma
     * @param hours until it runs
     * @param quoted what the customer pays on this order, before tax
     */
    public record WayLine(String id, Message label, double expected, double spread, double hours, double quoted, List<CostLine> items) {
    }

    /** What a way costs; what is not quoted may come, or is the company's. */
    public record CostLine(Message label, double cost, boolean quoted) {
    }

    /** A part that never got power. */
    public record UntestedLine(String part, @Phrase String label, double chance, double cost) {
    }

    /**
     * A figure and what it is.
     *
     * @param said the reason of whoever put it there; null where it is the company's
     */
    public record FigureLine(String what, Message label, String unit, double value, @Nullable String said) {
    }

    /** The ways out of a case, as it stood before anything was repaired. */
    public static WayOutPage of(Case now, Rates rates, @Nullable Double knownAge, boolean twin) {
        return new WayOut(now, rates, knownAge, twin).page();
    }

    /** The name of a way. */
    static String id(Way way) {
        return way.what() + "." + way.source();
    }
}
