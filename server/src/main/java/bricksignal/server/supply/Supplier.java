package bricksignal.server.supply;

import java.util.List;

/** Somebody who sells parts. */
public interface Supplier {

    /**
     * A part at the counter.
     *
     * @param part its id in the family
     * @param price of one, above 0
     * @param pieces on the shelf, at least 0
     * @param hours until one can be fetched, at least 0
     */
    record OnShelf(String part, double price, int pieces, double hours) {
    }

    /**
     * Asks for some parts of a family; parts that the supplier does not know are not in the answer.
     *
     * @throws SupplierAway if it does not answer in time, or not as agreed
     */
    List<OnShelf> ask(String family, List<String> parts);
}
