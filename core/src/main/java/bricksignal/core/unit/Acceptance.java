package bricksignal.core.unit;

import org.jspecify.annotations.Nullable;

/**
 * A limit that the unit must keep after the repair.
 *
 * @param id its name
 * @param label as told to a person
 * @param test the reading or the question that shows it, by id
 * @param least lowest value that is accepted, in the unit of the reading
 * @param most highest value that is accepted
 * @param around the setting, by id, from whose value both are counted; null where they stand by themselves
 * @param answer what a question is answered in a unit in good order; null for a reading
 */
public record Acceptance(String id, String label, String test, double least, double most, @Nullable String around, @Nullable Boolean answer) {

    public Acceptance {
        if (!(least <= most)) {
            throw new IllegalArgumentException("limit '" + id + "': least is " + least + " and most " + most
                    + "; least must not be above most");
        }
    }

    /** The same about the value of its setting. */
    public Acceptance about(double value) {
        return new Acceptance(id, label, test, value + least, value + most, null, answer);
    }

    /** True if a value is accepted; an open reading only where the limit is open above. */
    public boolean accepts(double value) {
        return value >= least && value <= most;
    }
}
