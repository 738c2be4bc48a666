package bricksignal.server.tools;

import bricksignal.casework.page.FindingPage;
import bricksignal.core.tuning.Calculator;
import bricksignal.core.tuning.Calculators;
import bricksignal.core.words.Message;
import bricksignal.server.problem.NotHere;
import bricksignal.server.words.Words;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Calculations of setting up, each with what it asks for. */
@RestController
public class CalculatorController {

    private final Words words;

    CalculatorController(Words words) {
        this.words = words;
    }

    /** A calculation in a list. */
    record CalculatorLine(String id, Message title, Message what) {
    }

    /** A calculation. */
    record CalculatorView(String id, Message title, Message what, Message caution, List<FindingPage.InputLine> inputs) {
    }

    /** What was given for the inputs, in the units of the person. */
    public record CalculatorInput(@NotNull @Size(max = 20) Map<String, Double> numbers, @NotNull @Size(max = 20) Map<String, String> choices) {
    }

    @GetMapping("/api/tools/calculators")
    List<CalculatorLine> calculators() {
        return Calculators.all().stream().map(c -> new CalculatorLine(c.id(), c.title(), c.what())).toList();
    }

    @GetMapping("/api/tools/calculators/{id}")
    CalculatorView calculator(@PathVariable String id) {
        Calculator calculator = named(id);
        return new CalculatorView(calculator.id(), calculator.title(), calculator.what(), calculator.caution(), FindingPage.inputs(calculator, words.measures()));
    }

    @PostMapping("/api/tools/calculators/{id}")
    FindingPage compute(@PathVariable String id, @Valid @RequestBody CalculatorInput input) {
        return Tools.computed(() -> FindingPage.of(named(id).of(input.numbers(), input.choices(), words.measures()), words.measures()));
    }

    private static Calculator named(String id) {
        return Calculators.of(id).orElseThrow(() -> new NotHere("There is no calculator '" + id + "'."));
    }
}
