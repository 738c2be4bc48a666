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
     */
    record Quantity(String id, String unit, @Nullable Double usual, double least, double most) implements Input {
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
        return new Quantity(id, unit, usual, least, most);
    }

    /** A number that may be left out. */
    static Quantity maybe(String id, String unit, double least, double most) {
        return new Quantity(id, unit, null, least, most);
    }

    /** One of several, the usual one first. */
    static Choice choice(String id, String... options) {
        return new Choice(id, List.of(options));
    }
}
