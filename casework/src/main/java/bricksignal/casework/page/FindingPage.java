package bricksignal.casework.page;

import bricksignal.core.tuning.Calculator;
import bricksignal.core.tuning.Finding;
import bricksignal.core.tuning.Input;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What comes of a calculation of setting up, in the units of a person.
 *
 * @param says the suggestion, or what is the matter
 * @param good whether all is as it should be
 * @param results the numbers, the one that was asked for first
 * @param stops why nothing is set by it, and what it means instead; empty where all is within what is met in the field
 */
public record FindingPage(Message says, boolean good, List<ResultLine> results, Message reason, Message source, @Nullable CurvePage curve, List<Message> stops) {

    /** A number. */
    public record ResultLine(String id, Message label, double value, String unit, int decimals) {
    }

    /** An option of a choice. */
    public record OptionLine(String id, Message label) {
    }

    /**
     * What a calculation asks for.
     *
     * @param usual what stands there first; null where it may be left out, and for a choice
     * @param options of a choice, the usual one first; empty for a number
     */
    public record InputLine(String id, Message label, String unit, @Nullable Double usual, List<OptionLine> options) {
    }

    /** What was found, in these units. */
    public static FindingPage of(Finding found, Measures measures) {
        return new FindingPage(found.says(), found.good(), found.results().stream().map(one -> new ResultLine(one.id(), one.label(), one.unit().shown(measures, one.value()),
                one.unit().sign(measures), one.unit().decimals(measures, one.decimals()))).toList(), found.reason(), found.source(),
                found.curve() == null ? null : CurvePage.of(found.curve(), measures), found.stops());
    }

    /** What a calculation asks for, in these units. */
    public static List<InputLine> inputs(Calculator calculator, Measures measures) {
        return calculator.inputs().stream().map(input -> line(calculator, input, measures)).toList();
    }

    private static InputLine line(Calculator calculator, Input input, Measures measures) {
        if (input instanceof Input.Quantity number) {
            return new InputLine(number.id(), calculator.label(number), number.unit().sign(measures), number.usual(measures), List.of());
        }
        Input.Choice choice = (Input.Choice) input;
        return new InputLine(choice.id(), calculator.label(choice), "", null, choice.options().stream().map(option -> new OptionLine(option, calculator.option(choice, option))).toList());
    }
}
