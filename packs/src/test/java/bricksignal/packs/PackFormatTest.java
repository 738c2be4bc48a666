package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.LampPattern;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The examples of docs/pack-format.md are read, so that the page says only what is so. */
class PackFormatTest {

    private static final String PAGE = page();

    private static String page() {
        try {
            return Files.readString(Path.of("../docs/pack-format.md"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> blocks(String language) {
        return Pattern.compile("```" + language + "\n(.*?)```", Pattern.DOTALL).matcher(PAGE).results().map((MatchResult m) -> m.group(1))
                .toList();
    }

    /** The page and the schema say the same of each section, and name the same kinds of element, effect and instrument. */
    @Test
    void pageSaysWhatTheSchemaSays() {
        JsonNode schema = new JsonMapper().readTree(PackFormatTest.class.getResourceAsStream("/packs/pack.schema.json"));
        String plain = PAGE.replaceAll("\\[`([^`]*)`\\]\\([^)]*\\)", "$1").replace("`", "");
        schema.path("properties").properties().forEach(section -> assertThat(plain).contains("| " + section.getKey() + " | "
                + section.getValue().path("description").asString() + " |\n"));
        JsonNode element = schema.at("/properties/circuit/patternProperties").iterator().next().at("/properties/is/enum");
        JsonNode reading = schema.at("/properties/readings/patternProperties").iterator().next();
        assertThat(element.valueStream().map(JsonNode::asString)).isNotEmpty().allSatisfy(kind -> assertThat(PAGE).contains("`" + kind + "`"));
        assertThat(reading.at("/properties/mode/enum").valueStream().map(JsonNode::asString)).containsExactlyInAnyOrderElementsOf(
                Arrays.stream(MeterMode.values()).map(MeterMode::name).toList());
    }

    @Test
    void overlayOfThePageIsAnOverlay() {
        String overlay = blocks("yaml").stream().filter(b -> b.startsWith("overlay:")).findFirst().orElseThrow();
        assertThat(OverlayReader.read(overlay).model().point("HLI").label()).isEqualTo("J4-2");
    }

    @Test
    void processOfThePageStandsInThePackThatItIsFrom() {
        String process = blocks("yaml").stream().filter(b -> b.startsWith("draft:")).findFirst().orElseThrow();
        String indented = process.indent(2);
        String pack = PackLibrary.text("f1-furnace").replaceFirst("(?ms)^  draft:.*?(?=^  [a-z])", java.util.regex.Matcher
                .quoteReplacement(indented));
        assertThat(pack).contains("0.95 * vent * hose, tau: 1.5}\n");
        assertThat(PackReader.read(pack).machine().process()).isNotEmpty();
    }

    @Test
    void choicesOfThePageMakeAFurnaceOfWhichEveryFaultCanBeProven() {
        List<String> choices = blocks("yaml").stream().filter(b -> b.startsWith("rollouts:") || b.startsWith("fan-relay:")).toList();
        assertThat(choices).hasSize(2);
        String family = PackLibrary.family("f1-furnace").source().replace("choices:\n", "choices:\n" + String.join("", choices).indent(2));
        String flat = FlatText.of(PackReader.flat(family, java.util.Map.of("rollouts", "two", "fan-relay", "relay")).root());
        assertThat(PackReader.check(flat).faults()).extracting(fault -> fault.id()).contains("rollout-2-failed", "fan-coil-open");
    }

    /** The page names every key by which a family composes, as the schema has them. */
    @Test
    void everyKeyThatComposesIsOnThePage() {
        assertThat(Composer.COMPOSING).allSatisfy(key -> assertThat(PAGE).contains("`" + key + "`"));
    }

    @Test
    void lampsOfThePageAreLampPatterns() {
        String section = PAGE.substring(PAGE.indexOf("## Lamps"), PAGE.indexOf("## Tests that nobody declares"));
        String lamps = section.split("```")[1];
        List<String> patterns = Pattern.compile("[|\n]").splitAsStream(lamps).map(String::strip).filter(p -> !p.isEmpty()).toList();
        assertThat(patterns).hasSizeGreaterThan(10).allSatisfy(p -> assertThat(LampPattern.parse(p)).isNotNull());
    }

    @Test
    void everySectionOfTheSchemaIsOnThePage() {
        assertThat(PackLibrary.text("f1-furnace").lines().filter(l -> l.matches("[a-z]+:.*")).map(l -> l.substring(0, l.indexOf(':'))))
                .isNotEmpty().allSatisfy(section -> assertThat(PAGE).contains("`" + section + "`"));
    }
}
