package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
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
 * @param stops why nothing is set by it, and what it means instead; empty where all is within what is met in the field
 */
public record Finding(Message says, boolean good, List<Result> results, Message reason, Message source, @Nullable Curve curve, List<Message> stops) {

    public Finding {
        results = List.copyOf(results);
        stops = List.copyOf(stops);
    }

    /** The same with what speaks against setting anything by it. */
    Finding stopped(List<Message> why) {
        return why.isEmpty() ? this : new Finding(says, false, results, reason, source, curve, why);
    }

    /** The number of that name. */
    public Optional<Result> result(String id) {
        return results.stream().filter(result -> result.id().equals(id)).findFirst();
    }

    /**
     * A number.
     *
     * @param id its name in the calculation
     * @param value in that unit
     * @param decimals how many are worth showing
     */
    public record Result(String id, Message label, double value, TradeUnit unit, int decimals) {
    }
}
