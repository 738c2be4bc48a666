package bricksignal.casework.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.tuning.Calculator;
import bricksignal.core.tuning.Calculators;
import bricksignal.core.tuning.Curve;
import bricksignal.core.tuning.Finding;
import bricksignal.core.tuning.Input;
import bricksignal.core.tuning.Misfit;
import bricksignal.core.words.Message;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Whatever comes of a calculation has its words, and no word of one stands there for nothing. */
class TuningWordsTest {

    private static final int DRAWN = 1500;

    private final Set<String> said = new TreeSet<>();

    /** A message and those in its places. */
    private void say(Message message) {
        if (message instanceof Message.Keyed keyed) {
            said.add(keyed.key());
            keyed.parts().forEach(this::say);
        }
    }

    private void finding(Finding finding) {
        say(finding.says());
        say(finding.reason());
        say(finding.source());
        finding.stops().forEach(this::say);
        finding.results().forEach(result -> say(result.label()));
        Curve curve = finding.curve();
        if (curve != null) {
            say(curve.across().label());
            say(curve.up().label());
            curve.lines().forEach(line -> say(line.label()));
            curve.spots().forEach(spot -> say(spot.label()));
        }
    }

    private void refused(Misfit misfit) {
        say(misfit.says());
    }

    private void asked(Calculator calculator) {
        say(calculator.title());
        say(calculator.what());
        say(calculator.caution());
        for (Input input : calculator.inputs()) {
            say(calculator.label(input));
            if (input instanceof Input.Choice choice) {
                choice.options().forEach(option -> say(calculator.option(choice, option)));
            }
        }
    }

    /** Numbers about the usual ones, and now and then anything that is allowed. */
    private static double drawn(Input.Quantity quantity, Random random) {
        Double usual = quantity.usual();
        double any = quantity.least() + random.nextDouble() * (quantity.most() - quantity.least());
        return usual == null || random.nextInt(4) == 0 ? any : Math.min(quantity.most(), Math.max(quantity.least(), usual * (0.6 + 0.8 * random.nextDouble())));
    }

    @Test
    void everyWordIsThereAndNoneForNothing() throws IOException {
        Random random = new Random(11);
        for (Calculator calculator : Calculators.all()) {
            asked(calculator);
            finding(calculator.usual());
            for (int i = 0; i < DRAWN; i++) {
                Map<String, Double> numbers = new HashMap<>();
                Map<String, String> choices = new HashMap<>();
                for (Input input : calculator.inputs()) {
                    if (input instanceof Input.Quantity quantity && (quantity.usual() != null || random.nextBoolean())) {
                        numbers.put(quantity.id(), drawn(quantity, random));
                    } else if (input instanceof Input.Choice choice) {
                        choices.put(choice.id(), choice.options().get(random.nextInt(choice.options().size())));
                    }
                }
                try {
                    finding(calculator.of(numbers, choices));
                } catch (Misfit refused) {
                    refused(refused);
                }
            }
        }
        for (Map<String, String> chosen : List.of(Map.<String, String>of(), Map.of("zone", "9Z"))) {
            assertThatThrownBy(() -> Calculators.of("changeover-limit").orElseThrow().of(Map.of(), chosen)).isInstanceOfSatisfying(Misfit.class, this::refused);
        }
        for (Map<String, Double> given : List.of(Map.<String, Double>of(), Map.of("outdoor", 300.0))) {
            assertThatThrownBy(() -> Calculators.of("frost-interval").orElseThrow().of(given, Map.of())).isInstanceOfSatisfying(Misfit.class, this::refused);
        }
        Set<String> words = Catalogue.read(Files.readString(Path.of("src/main/resources/words/en.properties"))).keys().stream()
                .filter(key -> key.startsWith("tuning.")).collect(Collectors.toCollection(TreeSet::new));
        assertThat(said).isEqualTo(words);
    }
}
