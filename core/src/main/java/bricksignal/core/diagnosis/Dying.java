package bricksignal.core.diagnosis;

import org.jspecify.annotations.Nullable;

/**
 * How likely it is that a unit comes on, runs, and dies as it was seen to: after how long, which point went first, which was still
 * there. The chances are from memory.
 */
final class Dying {

    /** Nobody watches longer for it, minutes. */
    private static final double WATCHED_MINUTES = 60;
    private static final double SEEN_RIGHT = 0.95;

    private Dying() {
    }

    static double likelihood(CompiledPack pack, Observation.Died died, Hypothesis found) {
        Hypothesis h = pack.space().get(found.cause());   // it came on: what had died was new, or pressed in again
        double known = h.intermittent() ? h.fault().onset() : pack.runs().diesAfter(h.id()) / 60;
        double by = !pack.runs().fails(h.id()) ? 0 : !h.intermittent() ? Double.isNaN(known) ? 0 : SEEN_RIGHT
                : known > 0 ? WatchTest.DUTY_FAILING : WatchTest.DUTY_WARM;
        double flat = 1 / WATCHED_MINUTES;
        double time = by * Onset.density(died.minutes(), known, WATCHED_MINUTES) + WatchTest.BY_CHANCE * flat;
        if (by == 0 || died.first() == null && died.stays() == null) {
            return by == 0 ? time * ask(died.first()) * ask(died.stays()) : time;
        }
        Loss loss = pack.runs().loss(h.run());
        return time * said(died.first(), loss, true) * said(died.stays(), loss, false);
    }

    private static double ask(@Nullable String point) {
        return point == null ? 1 : 0.5;
    }

    private static double said(@Nullable String point, Loss loss, boolean first) {
        return point == null ? 1 : loss.goesFirst(point) == first ? SEEN_RIGHT : 1 - SEEN_RIGHT;
    }
}
