package bricksignal.core.stock;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.PriorityQueue;

/**
 * What goes on a van of so much room: piece by piece what saves most for its room, as long as it saves anything. Each further piece of a part saves less
 * than the one before, so this is the newsvendor's problem under one constraint, solved by its multiplier (Hadley and Whitin, Analysis of Inventory Systems,
 * 1963; from memory), and falls short of the best by less than one piece.
 */
public final class Load {

    private Load() {
    }

    /**
     * A part that may go on it.
     *
     * @param carry how often it is wanted, and what it costs to have it or not
     * @param litres of one, at least 0
     */
    public record Item(Carry carry, double litres) {
        public Item {
            if (!(litres >= 0)) {
                throw new IllegalArgumentException("a part takes " + litres + " litres; it must be at least 0");
            }
        }
    }

    /** The next piece of a part: what it saves for its room. */
    private record Piece(int item, double worth) implements Comparable<Piece> {
        @Override
        public int compareTo(Piece other) {
            return Double.compare(other.worth, worth);
        }
    }

    /**
     * How many of each go on it, in the order of the items.
     *
     * @param litres of room, at least 0
     */
    public static List<Integer> of(List<Item> items, double litres) {
        if (!(litres >= 0)) {
            throw new IllegalArgumentException("a van has " + litres + " litres of room; it must be at least 0");
        }
        List<Integer> counts = new ArrayList<>(Collections.nCopies(items.size(), 0));
        PriorityQueue<Piece> next = new PriorityQueue<>();
        for (int i = 0; i < items.size(); i++) {
            next.add(piece(items, i, 1));
        }
        double room = litres;
        while (!next.isEmpty() && next.peek().worth() > 0) {
            int item = next.remove().item();
            if (items.get(item).litres() <= room) {
                room -= items.get(item).litres();
                int count = counts.get(item) + 1;
                counts.set(item, count);
                next.add(piece(items, item, count + 1));
            }
        }
        return List.copyOf(counts);
    }

    private static Piece piece(List<Item> items, int item, int which) {
        double saved = items.get(item).carry().saved(which);
        return new Piece(item, saved <= 0 ? 0 : saved / Math.max(items.get(item).litres(), Double.MIN_NORMAL));
    }
}
