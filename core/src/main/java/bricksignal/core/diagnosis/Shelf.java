package bricksignal.core.diagnosis;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;

/**
 * What was worked out lately and can be worked out again: all units of a process share one shelf of so many bytes, and what was asked for
 * longest ago is let go. Each kind of thing of each unit has a row of its own; a row that nobody holds any more ages out. Safe for use by
 * several threads.
 */
public final class Shelf {

    /** For a program that has but a few units: some thousand readings and as many pairs. Ours. */
    private static final long USUAL_BYTES = 64L << 20;
    /** What an entry takes beside its value: map entry, place, weight and key, on a 64-bit machine with compressed pointers. */
    private static final long BYTES_OF_AN_ENTRY = 160;

    private final long most;
    private final Map<Place, Kept> held = new LinkedHashMap<>(16, 0.75f, true);
    private long bytes;

    /** Rows are told apart as objects, keys by what they say. */
    private record Place(Row<?, ?> row, Object key) {
    }

    private record Kept(Object value, long bytes) {
    }

    /**
     * An empty shelf.
     *
     * @param mostBytes above 0
     * @throws IllegalArgumentException if {@code mostBytes} is not above 0
     */
    public Shelf(long mostBytes) {
        if (mostBytes <= 0) {
            throw new IllegalArgumentException("a shelf of " + mostBytes + " bytes holds nothing; give it more than 0");
        }
        this.most = mostBytes;
    }

    /** A shelf for a program that has but a few units. */
    public static Shelf usual() {
        return new Shelf(USUAL_BYTES);
    }

    /** About how many bytes are held now, never more than the shelf has. */
    public long bytes() {
        synchronized (held) {
            return bytes;
        }
    }

    /** How many bytes it holds at most. */
    public long most() {
        return most;
    }

    /**
     * A row for one kind of thing.
     *
     * @param weigher about how many bytes a value takes; asked once for each
     */
    <K, V> Row<K, V> row(ToLongFunction<V> weigher) {
        return new Row<>(this, weigher);
    }

    /** One kind of thing of one unit. */
    static final class Row<K, V> {

        private final Shelf shelf;
        private final ToLongFunction<V> weigher;

        private Row(Shelf shelf, ToLongFunction<V> weigher) {
            this.shelf = shelf;
            this.weigher = weigher;
        }

        /** What is held, or made now; two that ask at once may both make it, and the first that is held is kept. */
        @SuppressWarnings("unchecked")
        V get(K key, Supplier<V> maker) {
            Place place = new Place(this, key);
            Object known = shelf.find(place);
            if (known != null) {
                return (V) known;
            }
            V made = maker.get();
            return (V) shelf.keep(place, new Kept(made, BYTES_OF_AN_ENTRY + weigher.applyAsLong(made)));
        }
    }

    private @org.jspecify.annotations.Nullable Object find(Place place) {
        synchronized (held) {
            Kept known = held.get(place);
            return known == null ? null : known.value();
        }
    }

    private Object keep(Place place, Kept made) {
        synchronized (held) {
            Kept first = held.putIfAbsent(place, made);
            if (first != null) {
                return first.value();
            }
            bytes += made.bytes();
            var eldest = held.entrySet().iterator();
            while (bytes > most && eldest.hasNext()) {
                bytes -= eldest.next().getValue().bytes();
                eldest.remove();
            }
            return made.value();
        }
    }
}
