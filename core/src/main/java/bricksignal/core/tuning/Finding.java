package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What comes of a calculation.
 *
 * @param says the suggestion, or what is the matter
 * @param good whether all is as it should be
 * @param results the numbers, the one that was asked for first
 * @param reason why
 * @param source where the rule comes from
 * @param curve its picture, or null
 */
public record Finding(Message says, boolean good, List<Result> results, Message reason, Message source, @Nullable Curve curve) {

    public Finding {
        results = List.copyOf(results);
    }

    /** The number of that name. */
    public Optional<Result> result(String id) {
        return results.stream().filter(result -> result.id().equals(id)).findFirst();
    }

    /**
     * A number.
     *
     * @param id its name in the calculation
     * @param decimals how many are worth showing
     */
    public record Result(String id, Message label, double value, String unit, int decimals) {
    }
}
