package bricksignal.core;

import java.util.Map;

/** What must be there, because the pack was checked or the map was filled with it. */
public final class Known {

    private Known() {
    }

    /**
     * The value of a key that a map has.
     *
     * @throws IllegalStateException if it does not: a mistake of the program, not of anybody's input
     */
    public static <K, V> V in(Map<K, V> map, K key) {
        V value = map.get(key);
        if (value == null) {
            throw new IllegalStateException("nothing is known of '" + key + "'; there is " + map.keySet());
        }
        return value;
    }
}
