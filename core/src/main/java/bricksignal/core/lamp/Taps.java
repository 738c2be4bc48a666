package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.List;

/**
 * What a person tapped while watching a lamp: one tap for each flash.
 *
 * @param seconds the time of each tap, rising; 2 to {@link #MOST} taps, no pause of {@link #LONGEST_PAUSE_SECONDS} or more
 */
public record Taps(List<Double> seconds) {

    public static final int MOST = 500;
    public static final double LONGEST_PAUSE_SECONDS = 60;

    /** @throws IllegalArgumentException if there are too few or too many taps, or their times do not make sense */
    public Taps {
        seconds = List.copyOf(seconds);
        if (seconds.size() < 2) {
            throw new IllegalArgumentException(seconds.size() + " tap says nothing of a pattern; tap along for at least two "
                    + "rounds, or choose the pattern from the list");
        }
        if (seconds.size() > MOST) {
            throw new IllegalArgumentException(seconds.size() + " taps are too many; at most " + MOST
                    + " are read, and two or three rounds are enough");
        }
        for (int i = 0; i < seconds.size(); i++) {
            if (!Double.isFinite(seconds.get(i))) {
                throw new IllegalArgumentException("tap " + (i + 1) + " is at " + seconds.get(i) + " s; times are finite");
            }
        }
        for (int i = 1; i < seconds.size(); i++) {
            double pause = seconds.get(i) - seconds.get(i - 1);
            if (!(pause > 0)) {
                throw new IllegalArgumentException("tap " + (i + 1) + " is not later than the one before it; times must rise");
            }
            if (pause >= LONGEST_PAUSE_SECONDS) {
                throw new IllegalArgumentException("there is a pause of " + Math.round(pause) + " s before tap " + (i + 1)
                        + "; no lamp pauses for a minute. Clear and tap again");
            }
        }
    }

    /** The seconds from each tap to the next. */
    public List<Double> intervals() {
        List<Double> intervals = new ArrayList<>();
        for (int i = 1; i < seconds.size(); i++) {
            intervals.add(seconds.get(i) - seconds.get(i - 1));
        }
        return intervals;
    }
}
