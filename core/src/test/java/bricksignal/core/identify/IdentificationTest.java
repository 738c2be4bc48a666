package bricksignal.core.identify;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class IdentificationTest {

    private static final Question FUEL = new Question("fuel", "Fuel?", Map.of("gas", "gas", "none", "none"), 1);
    private static final Question PLACE = new Question("place", "Where?", Map.of("roof", "roof", "cellar", "cellar"), 1);
    private static final Question HARD = new Question("hard", "Which?", Map.of("a", "a", "b", "b"), 3);
    private static final Map<String, Map<String, List<String>>> TRAITS = traits();

    private static Map<String, Map<String, List<String>>> traits() {
        Map<String, Map<String, List<String>>> traits = new LinkedHashMap<>();
        traits.put("furnace", Map.of("fuel", List.of("gas"), "place", List.of("cellar"), "hard", List.of("a")));
        traits.put("rooftop", Map.of("fuel", List.of("gas"), "place", List.of("roof"), "hard", List.of("b")));
        traits.put("boiler", Map.of("fuel", List.of("gas"), "place", List.of("cellar"), "hard", List.of("b")));
        traits.put("fan", Map.of("fuel", List.of("none"), "place", List.of("roof"), "hard", List.of("a")));
        return traits;
    }

    private static Identification after(String... answers) {
        Map<String, String> given = new LinkedHashMap<>();
        for (int i = 0; i < answers.length; i += 2) {
            given.put(answers[i], answers[i + 1]);
        }
        return Identification.of(List.of(FUEL, PLACE, HARD), TRAITS, given);
    }

    @Test
    void firstAskedIsWhatSplitsBestForTheEffort() {
        // 'place' and 'hard' both split two and two, 'fuel' three and one; 'hard' takes three times as long
        assertThat(after().next()).contains(PLACE);
    }

    @Test
    void answersLeadToOneFamily() {
        Identification told = after("place", "cellar", "hard", "a");
        assertThat(told.families().keySet().iterator().next()).isEqualTo("furnace");
        assertThat(told.families().get("furnace")).isGreaterThan(0.9);
        assertThat(told.next()).isEmpty();
    }

    @Test
    void skippedQuestionTellsNothingAndIsNotAskedAgain() {
        Identification skipped = after("place", "");
        assertThat(skipped.families().values()).allSatisfy(p -> assertThat(p).isCloseTo(0.25, within(1e-12)));
        assertThat(skipped.next()).isPresent().get().isNotEqualTo(PLACE);
    }

    @Test
    void oneMisjudgedAnswerDoesNotLoseAFamily() {
        assertThat(after("fuel", "none", "place", "cellar", "hard", "a").families().get("furnace")).isGreaterThan(0.3);
    }

    @Test
    void probabilitiesSumToOne() {
        assertThat(after("fuel", "gas").families().values().stream().mapToDouble(Double::doubleValue).sum())
                .isCloseTo(1, within(1e-12));
    }

    @Test
    void unknownAnswerIsRefusedWithWhatThereIs() {
        assertThatThrownBy(() -> after("fuel", "coal")).hasMessageContaining("identify.no-answer").hasMessageContaining("coal").hasMessageContaining("gas");
        assertThatThrownBy(() -> after("age", "old")).hasMessageContaining("identify.no-question").hasMessageContaining("age");
    }
}
