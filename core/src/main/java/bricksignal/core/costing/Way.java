package bricksignal.core.costing;

import bricksignal.core.words.Message;
import java.util.List;

/**
 * A way out of a verdict.
 *
 * @param items what it costs: what is sure first, then what may come, each with its expected cost
 * @param spread one sigma of the cost
 * @param hours until the unit runs
 */
public record Way(What what, Source source, List<Item> items, double spread, double hours) {

    /** What is done. */
    public enum What { REPAIR, PART, BOARD, UNIT }

    /** Where what is needed comes from. */
    public enum Source { VAN, COUNTER, SECOND_TRIP, TWIN, NOTHING_NEEDED }

    /**
     * Something that it costs.
     *
     * @param cost expected; less than nothing for what is saved
     * @param quoted whether the customer pays for it on this order; else it is what may come, or what it costs the company
     */
    public record Item(Message label, double cost, boolean quoted) {
    }

    public Way {
        items = List.copyOf(items);
    }

    /** What it costs in expectation, all that may come after it counted. */
    public double expected() {
        return items.stream().mapToDouble(Item::cost).sum();
    }

    /** What the customer pays for it on this order, before tax. */
    public double quoted() {
        return items.stream().filter(Item::quoted).mapToDouble(Item::cost).sum();
    }
}
