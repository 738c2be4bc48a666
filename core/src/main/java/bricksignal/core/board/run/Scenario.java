package bricksignal.core.board.run;

import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a person does to a unit, and when: power on, call, door, jumper.
 *
 * @param id its name
 * @param seconds how long the run lasts, above 0
 * @param steps in order of time
 * @param called what is called for, as people say it: heating, cooling, the fan; null for a run that only tries something
 */
public record Scenario(String id, double seconds, List<Step> steps, @Nullable String called) {

    public Scenario {
        if (!(seconds > 0)) {
            throw new IllegalArgumentException("scenario '" + id + "' lasts " + seconds + " s; it must last longer than 0");
        }
        steps = steps.stream().sorted(Comparator.comparingDouble(Step::at)).toList();
    }

    /** A run that nobody calls for. */
    public Scenario(String id, double seconds, List<Step> steps) {
        this(id, seconds, steps, null);
    }

    /**
     * One action.
     *
     * @param at seconds from the start of the run, at least 0
     * @param action its name, as in {@code action.call}
     * @param value usually 1 (on) or 0 (off)
     */
    public record Step(double at, String action, double value) {
        public Step {
            if (!(at >= 0)) {
                throw new IllegalArgumentException("step '" + action + "' is at " + at + " s; it must be at 0 or later");
            }
        }
    }

    /** When something is done for the first time after the beginning: the usual call; 0 where nothing is. */
    public double firstAfterPower() {
        return steps.stream().mapToDouble(Step::at).filter(at -> at > 0).findFirst().orElse(0);
    }

    /** When the action is first set to that value; NaN if never. */
    public double firstAt(String action, double value) {
        return steps.stream().filter(step -> step.action().equals(action) && step.value() == value)
                .mapToDouble(Step::at).findFirst().orElse(Double.NaN);
    }
}
