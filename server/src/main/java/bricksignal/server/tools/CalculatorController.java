package bricksignal.server.tools;

import bricksignal.core.tuning.Calculator;
import bricksignal.core.tuning.Calculators;
import bricksignal.core.tuning.Finding;
import bricksignal.core.tuning.Input;
import bricksignal.core.words.Message;
import bricksignal.server.problem.NotHere;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Calculations of setting up, each with what it asks for. */
@RestController
public class CalculatorController {

    /** A calculation in a list. */
    record CalculatorLine(String id, Message title, Message what) {
    }

    /** An option of a choice. */
    record OptionLine(String id, Message label) {
    }

    /**
     * What is asked for.
     *
     * @param usual what stands there first; null where it may be left out, and for a choice
     * @param options of a choice, the usual one first; empty for a number
     */
    record InputLine(String id, Message label, String unit, @Nullable Double usual, double least, double most, List<OptionLine> options) {
    }

    /** A calculation. */
    record CalculatorView(String id, Message title, Message what, Message caution, List<InputLine> inputs) {
    }

    /** What was given for the inputs. */
    public record CalculatorInput(@NotNull @Size(max = 20) Map<String, Double> numbers, @NotNull @Size(max = 20) Map<String, String> choices) {
    }

    @GetMapping("/api/tools/calculators")
    List<CalculatorLine> calculators() {
        return Calculators.all().stream().map(c -> new CalculatorLine(c.id(), c.title(), c.what())).toList();
    }

    @GetMapping("/api/tools/calculators/{id}")
    CalculatorView calculator(@PathVariable String id) {
        Calculator calculator = named(id);
        return new CalculatorView(calculator.id(), calculator.title(), calculator.what(), calculator.caution(), calculator.inputs().stream()
                .map(input -> line(calculator, input)).toList());
    }

    @PostMapping("/api/tools/calculators/{id}")
    Finding compute(@PathVariable String id, @Valid @RequestBody CalculatorInput input) {
        return Tools.computed(() -> named(id).of(input.numbers(), input.choices()));
    }

    private static Calculator named(String id) {
        return Calculators.of(id).orElseThrow(() -> new NotHere("There is no calculator '" + id + "'."));
    }

    private static InputLine line(Calculator calculator, Input input) {
        if (input instanceof Input.Quantity number) {
            return new InputLine(number.id(), calculator.label(number), number.unit(), number.usual(), number.least(), number.most(), List.of());
        }
        Input.Choice choice = (Input.Choice) input;
        return new InputLine(choice.id(), calculator.label(choice), "", null, 0, 0, choice.options().stream()
                .map(option -> new OptionLine(option, calculator.option(choice, option))).toList());
    }
}
