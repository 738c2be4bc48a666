package bricksignal.core.words;

import bricksignal.core.circuit.solve.MeterMode;
import java.util.List;

/** Something to be told to a person, without its language: a catalogue makes words of it. */
public sealed interface Message {

    /** Words that a pack or a person chose; told as they are. */
    record Said(String text) implements Message {
    }

    /**
     * A sentence of the catalogue.
     *
     * @param key its name there
     * @param parts what stands in its places, in order
     */
    record Keyed(String key, List<Message> parts) implements Message {
        public Keyed {
            parts = List.copyOf(parts);
        }
    }

    /**
     * A value as an instrument shows it.
     *
     * @param value in the unit of the mode; infinite where it is open
     */
    record Amount(MeterMode mode, double value) implements Message {
    }

    /**
     * The unit of a mode, as the person at hand reads and types it.
     *
     * @param onlyOther nothing where it is the mode's own: what has to stand behind a typed number to be understood
     */
    record Unit(MeterMode mode, boolean onlyOther) implements Message {
    }

    /**
     * A value of setting up with its unit.
     *
     * @param value in the unit
     * @param decimals how many are worth showing in it
     */
    record Worked(TradeUnit unit, double value, int decimals) implements Message {
    }

    /** What a lamp shows, as a chart writes it: {@code red 2 flashes}. */
    record Lamp(String pattern) implements Message {
    }

    /** A bare number. */
    record Number(double value) implements Message {
    }

    /**
     * What something costs.
     *
     * @param amount in whole units, thousands apart
     * @param currency its sign or letters
     */
    record Money(double amount, String currency) implements Message {
    }

    /** A probability or a share, 0 to 1. */
    record Share(double share) implements Message {
    }

    /** Several things, joined as people join them. */
    record Items(Joint joint, List<Message> items) implements Message {
        public Items {
            items = List.copyOf(items);
        }
    }

    /** How things are joined. */
    enum Joint { COMMA, SEMICOLON, AND, OR, THEN }

    /** Nothing to tell. */
    Message NOTHING = new Said("");

    static Message said(String text) {
        return new Said(text);
    }

    static Message of(String key, Message... parts) {
        return new Keyed(key, List.of(parts));
    }

    static Message items(Joint joint, List<? extends Message> items) {
        return new Items(joint, List.copyOf(items));
    }
}
