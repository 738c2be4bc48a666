package bricksignal.core.tuning;

import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Something a person has at hand. */
public sealed interface Input {

    String id();

    /**
     * A number.
     *
     * @param unit that of all its numbers
     * @param usual what stands there first; null where it may be left out
     * @param least the least that makes sense
     * @param most the most that makes sense
     * @param met the least and the most that is met in the field, within those: past them a number is taken, and nothing is set by it
     */
    record Quantity(String id, TradeUnit unit, @Nullable Double usual, double least, double most, Bounds met) implements Input {

        private static final int SHOWN = 3;

        public Quantity {
            if (met.least() < least || met.most() > most || usual != null && !met.hold(usual)) {
                throw new IllegalArgumentException("'" + id + "': " + met + " is not within " + least + " to " + most + ", or what stands there first is not within it");
            }
        }

        /** What stands there first in these units, with as many digits as a plate or a gauge shows; null where it may be left out. */
        public @Nullable Double usual(Measures measures) {
            if (usual == null || measures == Measures.US) {
                return usual;
            }
            double shown = unit.shown(measures, usual);
            double tens = shown == 0 ? 1 : Math.pow(10, SHOWN - 1 - Math.floor(Math.log10(Math.abs(shown))));
            return Math.rint(shown * tens) / tens;
        }

        /** A number of it as it is told: to a tenth of the unit, or finer where it is all fractions. */
        Message told(double number) {
            return new Message.Worked(unit, number, number == Math.rint(number) ? 0 : Math.max(1, 1 - (int) Math.floor(Math.log10(Math.abs(number)))));
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
    static Quantity of(String id, TradeUnit unit, double usual, double least, double most) {
        return new Quantity(id, unit, usual, least, most, new Bounds(least, most));
    }

    /** A number that may be left out. */
    static Quantity maybe(String id, TradeUnit unit, double least, double most) {
        return new Quantity(id, unit, null, least, most, new Bounds(least, most));
    }

    /** One of several, the usual one first. */
    static Choice choice(String id, String... options) {
        return choice(id, List.of(options));
    }

    /** One of these, the usual one first. */
    static Choice choice(String id, List<String> options) {
        return new Choice(id, options);
    }
}
