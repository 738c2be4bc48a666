package bricksignal.core.unit;

import bricksignal.core.words.Message;

/**
 * What is put into a unit, taken off it or held for a test, and must be as before afterwards.
 *
 * @param kind what is done
 * @param at the element, connector or part it is done to, by id; empty where it is none of them
 * @param says as people say it; nothing where nothing is changed
 */
public record Change(Kind kind, String at, Message says) {

    /** Nothing is changed. */
    public static final Change NONE = new Change(Kind.NOTHING, "", Message.NOTHING);

    /** What may be done for a test. */
    public enum Kind {
        NOTHING,
        /** Two terminals joined that a thermostat joins: a call. */
        CALL_JUMPER,
        /** A switch of the sequence bridged for some seconds. */
        BRIDGE,
        /** A button, a key or test pins of the unit's own held. */
        HELD,
        /** A conductor taken off. */
        WIRE_OFF,
        /** A plug pulled. */
        PLUG_OFF,
        /** The lead of a spark electrode pulled off, to see where it jumps. */
        SPARK_LEAD_OFF,
        /** A linkage uncoupled. */
        LINKAGE_OFF,
        /** A wire laid beside one that may be open, or a meter's probe to ground: nothing is fed. */
        LAID,
        /** Another part of the same kind put in. */
        PART_IN,
        /** A load on a cord of its own; made by the program alone. */
        FED,
        /** What somebody left in is taken out for good: nothing to put back; made by the program alone. */
        TAKEN_OUT
    }

    /** True where something is left in the unit that must come out again. */
    public boolean made() {
        return !says.equals(Message.NOTHING);
    }
}
