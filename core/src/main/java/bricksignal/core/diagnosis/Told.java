package bricksignal.core.diagnosis;

import bricksignal.core.words.Message;

/**
 * What somebody tells who watched a run by the clock.
 *
 * @param kind what it is
 * @param channel what it is about, as people call it; empty for none
 */
public record Told(Kind kind, String channel) {

    /** Everything came in time. */
    public static final Told IN_TIME = new Told(Kind.IN_TIME, "");

    /** Something that no hypothesis foretells. */
    public static final Told SOMETHING_ELSE = new Told(Kind.SOMETHING_ELSE, "");

    /** The first thing that was not as it should be. */
    public enum Kind { IN_TIME, RUNS_BEFORE, LATE, MISSING, EARLY, STOPS_AGAIN, SOMETHING_ELSE }

    /** In words. */
    public Message message() {
        return Message.of("told." + kind.name(), Message.said(channel));
    }
}
