package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A calculation of setting up that stands alone: inputs that a person has at hand, a suggestion with its reason, its source and its picture. */
public abstract class Calculator {

    private final String id;
    private final List<Input> inputs;

    /** A calculation with these inputs. */
    Calculator(String id, Input... inputs) {
        this.id = id;
        this.inputs = List.of(inputs);
    }

    public final String id() {
        return id;
    }

    public final List<Input> inputs() {
        return inputs;
    }

    public final Message title() {
        return Message.of("tuning." + id);
    }

    /** What it answers, in a sentence. */
    public final Message what() {
        return word("what");
    }

    /** What to mind where the numbers are taken, as the maker's instructions, local code and licensed practice come first. */
    public final Message caution() {
        return word("caution");
    }

    public final Message label(Input input) {
        return word(input.id());
    }

    /** An option of a choice, as people say it. */
    public final Message option(Input.Choice choice, String option) {
        return word(choice.id() + "." + option);
    }

    /**
     * What comes of it.
     *
     * @param numbers by input
     * @param choices by input
     * @throws Misfit if something is missing or does not make sense
     */
    public final Finding of(Map<String, Double> numbers, Map<String, String> choices) {
        try {
            return find(Given.of(inputs, numbers, choices));
        } catch (Misfit misfit) {
            throw misfit.called(word(misfit.input()));
        }
    }

    /** What comes of the numbers that stand there first. */
    public final Finding usual() {
        Map<String, Double> numbers = new LinkedHashMap<>();
        Map<String, String> choices = new LinkedHashMap<>();
        for (Input input : inputs) {
            if (input instanceof Input.Choice choice) {
                choices.put(choice.id(), choice.options().get(0));
            } else if (input instanceof Input.Quantity quantity && quantity.usual() != null) {
                numbers.put(quantity.id(), quantity.usual());
            }
        }
        return of(numbers, choices);
    }

    abstract Finding find(Given given);

    /** Words of this calculation. */
    final Message word(String name, Message... parts) {
        return Message.of("tuning." + id + "." + name, parts);
    }

    final Finding.Result result(String name, double value, String unit, int decimals) {
        return new Finding.Result(name, word("is-" + name), value, unit, decimals);
    }

    /** The finding whose sentence is that of a name; it fills its places with numbers. */
    final Finding finding(String says, boolean good, List<Finding.Result> results, @Nullable Curve curve, double... places) {
        Message[] parts = java.util.Arrays.stream(places).mapToObj(Message.Number::new).toArray(Message[]::new);
        return new Finding(word("says-" + says, parts), good, results, word("reason"), word("source"), curve);
    }
}
