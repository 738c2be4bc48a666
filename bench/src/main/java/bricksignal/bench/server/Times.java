package bricksignal.bench.server;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Times of many requests, by several threads. */
final class Times {

    private final List<Double> all = Collections.synchronizedList(new ArrayList<>());

    void add(double ms) {
        all.add(ms);
    }

    int count() {
        return all.size();
    }

    /** The time that so many percent stay below, milliseconds; NaN where there is none. */
    double percentile(double percent) {
        List<Double> sorted = new ArrayList<>(all);
        Collections.sort(sorted);
        return sorted.isEmpty() ? Double.NaN : sorted.get((int) Math.min(sorted.size() - 1, sorted.size() * percent / 100));
    }

    double most() {
        return percentile(100);
    }
}
