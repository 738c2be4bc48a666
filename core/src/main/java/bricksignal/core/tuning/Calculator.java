package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
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
            Given given = Given.of(inputs, numbers, choices);
            Finding found = find(given);
            return found.stopped(Stream.concat(Stream.concat(measuredAgain(given), meansSomethingElse(found, given)), found.stops().stream()).toList());
        } catch (Misfit misfit) {
            throw misfit.called(word(misfit.input()));
        }
    }

    /**
     * The same for a person with other units.
     *
     * @param numbers in their units
     */
    public final Finding of(Map<String, Double> numbers, Map<String, String> choices, Measures measures) {
        Map<String, Double> taken = new LinkedHashMap<>(numbers);
        for (Input input : inputs) {
            if (input instanceof Input.Quantity quantity) {
                taken.computeIfPresent(quantity.id(), (id, typed) -> quantity.unit().taken(measures, typed));
            }
        }
        return of(taken, choices);
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

    /** Between what a result is by all custom; past it something else is the matter, and {@code stop-NAME} says what, with the result and the most that it is. By result; none where any is met. */
    Map<String, Bounds> customary(Given given) {
        return Map.of();
    }

    /** Numbers that its reason and its source name, in the order of their places. */
    List<Message> facts() {
        return List.of();
    }

    private Message grounds(String name) {
        return word(name, facts().toArray(Message[]::new));
    }

    private Stream<Message> measuredAgain(Given given) {
        return inputs.stream().filter(Input.Quantity.class::isInstance).map(Input.Quantity.class::cast).filter(q -> given.maybe(q.id()).isPresent()
                && !q.met().hold(given.maybe(q.id()).getAsDouble())).map(q -> Message.of("tuning.measured-again", label(q), q.told(given.number(q.id())),
                        q.told(q.met().least()), q.told(q.met().most())));
    }

    private Stream<Message> meansSomethingElse(Finding found, Given given) {
        Map<String, Bounds> customary = customary(given);
        return found.results().stream().filter(result -> customary.containsKey(result.id()) && !Known.in(customary, result.id()).hold(result.value()))
                .map(result -> word("stop-" + result.id(), told(result.unit(), result.value(), result.decimals()),
                        told(result.unit(), Known.in(customary, result.id()).most(), result.decimals())));
    }

    /** Words of this calculation. */
    final Message word(String name, Message... parts) {
        return Message.of("tuning." + id + "." + name, parts);
    }

    final Finding.Result result(String name, double value, TradeUnit unit, int decimals) {
        return new Finding.Result(name, word("is-" + name), value, unit, decimals);
    }

    /** A value with its unit, for a place in a sentence. */
    static Message told(TradeUnit unit, double value, int decimals) {
        return new Message.Worked(unit, value, decimals);
    }

    /** A bare number for a place in a sentence. */
    static Message plain(double value) {
        return new Message.Number(value);
    }

    /** The finding whose sentence is that of a name; it fills its places. */
    final Finding finding(String says, boolean good, List<Finding.Result> results, @Nullable Curve curve, Message... places) {
        return new Finding(word("says-" + says, places), good, results, grounds("reason"), grounds("source"), curve, List.of());
    }
}
