package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** What a person gave for the inputs of a calculator; checked against them. */
public final class Given {

    private final Map<String, Double> numbers;
    private final Map<String, String> choices;

    private Given(Map<String, Double> numbers, Map<String, String> choices) {
        this.numbers = numbers;
        this.choices = choices;
    }

    /**
     * What was given.
     *
     * @throws Misfit if a number is missing or does not make sense, or an option does not exist
     */
    static Given of(List<Input> inputs, Map<String, Double> numbers, Map<String, String> choices) {
        for (Input input : inputs) {
            if (input instanceof Input.Quantity quantity) {
                check(quantity, numbers.get(quantity.id()));
            } else if (input instanceof Input.Choice choice && choices.get(choice.id()) == null) {
                throw new Misfit(choice.id(), "nothing-chosen");
            } else if (input instanceof Input.Choice choice && !choice.options().contains(choices.get(choice.id()))) {
                throw new Misfit(choice.id(), "none-of-them", Message.said(String.valueOf(choices.get(choice.id()))));
            }
        }
        return new Given(Map.copyOf(numbers), Map.copyOf(choices));
    }

    private static void check(Input.Quantity quantity, @org.jspecify.annotations.Nullable Double number) {
        if (number == null) {
            if (quantity.usual() != null) {
                throw new Misfit(quantity.id(), "missing");
            }
        } else if (!(number >= quantity.least() && number <= quantity.most())) {
            throw new Misfit(quantity.id(), "out-of-range", quantity.told(number), quantity.told(quantity.least()), quantity.told(quantity.most()));
        }
    }

    double number(String id) {
        return maybe(id).orElseThrow();
    }

    OptionalDouble maybe(String id) {
        Double number = numbers.get(id);
        return number == null ? OptionalDouble.empty() : OptionalDouble.of(number);
    }

    String choice(String id) {
        return Known.in(choices, id);
    }
}
