package bricksignal.core.tuning;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Something a person has at hand. */
public sealed interface Input {

    String id();

    /**
     * A number.
     *
     * @param unit as the trade writes it; empty for a bare number
     * @param usual what stands there first; null where it may be left out
     * @param least the least that makes sense
     * @param most the most that makes sense
     * @param met the least and the most that is met in the field, within those: past them a number is taken, and nothing is set by it
     */
    record Quantity(String id, String unit, @Nullable Double usual, double least, double most, Bounds met) implements Input {

        public Quantity {
            if (met.least() < least || met.most() > most || usual != null && !met.hold(usual)) {
                throw new IllegalArgumentException("'" + id + "': " + met + " is not within " + least + " to " + most + ", or what stands there first is not within it");
            }
        }

        /** The same with what is met in the field. */
        public Quantity met(double fromHere, double toHere) {
            return new Quantity(id, unit, usual, least, most, new Bounds(fromHere, toHere));
        }
    }


    /**
     * One of several.
     *
     * @param options the usual one first
     */
    record Choice(String id, List<String> options) implements Input {
        public Choice {
            options = List.copyOf(options);
        }
    }

    /** A number that is needed. */
    static Quantity of(String id, String unit, double usual, double least, double most) {
        return new Quantity(id, unit, usual, least, most, new Bounds(least, most));
    }

    /** A number that may be left out. */
    static Quantity maybe(String id, String unit, double least, double most) {
        return new Quantity(id, unit, null, least, most, new Bounds(least, most));
    }

    /** One of several, the usual one first. */
    static Choice choice(String id, String... options) {
        return new Choice(id, List.of(options));
    }
}
