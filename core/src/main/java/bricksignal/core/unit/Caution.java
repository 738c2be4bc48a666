package bricksignal.core.unit;

/**
 * What to mind at a place or an action.
 *
 * @param id safety class that points name
 * @param role when the program adds it by itself
 * @param says the pack's words
 */
public record Caution(String id, Role role, String says) {

    /** When a caution is told beyond the points that name it. */
    public enum Role {
        /** Line voltage: told instead of low voltage where both meet. */
        LINE_VOLTAGE,
        /** Low voltage. */
        LOW_VOLTAGE,
        /** Told with every test on a unit that runs and is touched elsewhere than at two points. */
        RUNNING,
        /** Told with every test that needs the power off. */
        POWER_OFF,
        /** Where fuel burns, told with every test that lets it burn for long, or that smells for it: carbon monoxide. */
        COMBUSTION,
        /** Only where a point names it. */
        OTHER
    }
}
