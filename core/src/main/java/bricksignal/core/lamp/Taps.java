package bricksignal.core.lamp;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What a person tapped while watching a lamp: one tap for each flash.
 *
 * @param seconds the time of each tap, rising; 2 to {@link #MOST} taps, no pause of {@link #LONGEST_PAUSE_SECONDS} or more
 * @param holds how long each tap was held, seconds at least 0; empty where it was not measured
 * @param marks for each tap the colour or the position of the lamp; empty for a single lamp
 */
public record Taps(List<Double> seconds, List<Double> holds, List<String> marks) {

    public static final int MOST = 500;
    public static final double LONGEST_PAUSE_SECONDS = 60;

    /** @throws IllegalArgumentException if there are too few or too many taps, or their times do not make sense */
    public Taps {
        seconds = List.copyOf(seconds);
        holds = List.copyOf(holds);
        marks = List.copyOf(marks);
        if (seconds.size() < 2) {
            throw new Unfit("taps.few");
        }
        if (seconds.size() > MOST) {
            throw new Unfit("taps.many", new Message.Number(seconds.size()), new Message.Number(MOST));
        }
        if (!holds.isEmpty() && holds.size() != seconds.size() || !marks.isEmpty() && marks.size() != seconds.size()) {
            throw new IllegalArgumentException("there are " + seconds.size() + " taps but " + holds.size() + " holds and "
                    + marks.size() + " marks; give one for each tap or none");
        }
        times(seconds);
        if (holds.stream().anyMatch(hold -> !(hold >= 0 && hold < LONGEST_PAUSE_SECONDS))) {
            throw new IllegalArgumentException("a tap is held for 0 to " + LONGEST_PAUSE_SECONDS + " s, not " + holds);
        }
    }

    /** Plain taps. */
    public Taps(List<Double> seconds) {
        this(seconds, List.of(), List.of());
    }

    private static void times(List<Double> seconds) {
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
                throw new Unfit("taps.pause", new Message.Number(Math.round(pause)), new Message.Number(i + 1));
            }
        }
    }

    /** What the taps say was seen. */
    public Sighting sighting() {
        List<Sighting.Seen> seen = new ArrayList<>();
        for (int i = 0; i < seconds.size(); i++) {
            seen.add(new Sighting.Seen(seconds.get(i), holds.isEmpty() ? Double.NaN : holds.get(i),
                    marks.isEmpty() ? "" : marks.get(i)));
        }
        return new Sighting(seen, Set.of(), false, Sighting.Observer.PERSON);
    }
}
