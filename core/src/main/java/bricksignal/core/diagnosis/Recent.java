package bricksignal.core.diagnosis;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** What was asked for lately, so many and no more; what was asked for longest ago is let go. Safe for use by several threads. */
final class Recent<K, V> {

    private final int most;
    private final Map<K, V> held = new LinkedHashMap<>(16, 0.75f, true);

    /**
     * Holds nothing yet.
     *
     * @throws IllegalArgumentException if {@code most} is below 1
     */
    Recent(int most) {
        if (most < 1) {
            throw new IllegalArgumentException("holds " + most + " at most; it must be 1 or more");
        }
        this.most = most;
    }

    /** What is held, or made now; two that ask at once may both make it, and the first that is held is kept. */
    V get(K key, Supplier<V> maker) {
        synchronized (held) {
            V known = held.get(key);
            if (known != null) {
                return known;
            }
        }
        V made = maker.get();
        synchronized (held) {
            V first = held.putIfAbsent(key, made);
            if (held.size() > most) {
                held.remove(held.keySet().iterator().next());
            }
            return first == null ? made : first;
        }
    }

    int size() {
        synchronized (held) {
            return held.size();
        }
    }
}
