package bricksignal.core.unit;

import java.util.List;

/**
 * A part that can be replaced or put right.
 *
 * @param id its name
 * @param label as people say it
 * @param kind what proof it needs
 * @param price in the pack's currency, at least 0 (invented in every pack)
 * @param minutes to exchange it, at least 0
 * @param stocked whether a van usually has it
 * @param elements the circuit elements it consists of
 * @param board for a board, its id in the machine; empty otherwise
 * @param litres of room that it takes on a van in its box, at least 0
 * @param field true for conductors that go through the building: people wire more into them than any drawing shows
 * @param handling what to know with it in hand: where it sits, how it comes out, what need not be minded and what must; as people say it, none at all for most
 */
public record Part(String id, String label, Kind kind, double price, double minutes, boolean stocked,
        List<String> elements, String board, double litres, boolean field, List<String> handling) {

    /** Kinds of part. */
    public enum Kind { BOARD, PART, WIRING, OPERATION }

    public Part {
        elements = List.copyOf(elements);
        handling = List.copyOf(handling);
        if (!(price >= 0) || !(minutes >= 0) || !(litres >= 0)) {
            throw new IllegalArgumentException("part '" + id + "': price, minutes and litres must be at least 0");
        }
        if ((kind == Kind.BOARD) == board.isEmpty()) {
            throw new IllegalArgumentException("part '" + id + "': a part of kind BOARD names its board, and no other does");
        }
    }

    /** One that stays within the unit. */
    public Part(String id, String label, Kind kind, double price, double minutes, boolean stocked, List<String> elements, String board, double litres) {
        this(id, label, kind, price, minutes, stocked, elements, board, litres, false, List.of());
    }

    /** The same at another price, at least 0. */
    public Part at(double otherPrice) {
        return new Part(id, label, kind, otherPrice, minutes, stocked, elements, board, litres, field, handling);
    }
}
