package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** What the families say is held to the words that the catalogue is held to, from the same file. */
@Execution(ExecutionMode.CONCURRENT)
class PackWordsTest {

    /** The fields that a person reads. */
    private static final Set<String> READ = Set.of("label", "title", "remedy", "commission", "says", "shows", "lights", "meaning", "condition", "for");
    private static final Pattern ASKS = Pattern.compile("^(Is|Are|Does|Do|Did|Was|Were|Has|Have) ");

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void familySpeaksAsTheTradeDoes(String id) throws IOException {
        List<Pattern> forbidden = Files.readAllLines(Path.of("../casework/src/main/resources/words/forbidden.txt")).stream().filter(line -> !line.startsWith("#") && !line.isBlank())
                .map(line -> Pattern.compile(line.split("\t")[0], Pattern.CASE_INSENSITIVE)).toList();
        List<String> said = new ArrayList<>();
        gather(new YAMLMapper().readTree(PackLibrary.text(id)), said);
        assertThat(forbidden).hasSizeGreaterThan(40);
        assertThat(said).hasSizeGreaterThan(150);
        assertThat(said).filteredOn(text -> forbidden.stream().anyMatch(word -> word.matcher(text).find())).isEmpty();
        assertThat(said).filteredOn(text -> ASKS.matcher(text).find() && !text.endsWith("?")).isEmpty();
    }

    private static void gather(JsonNode node, List<String> said) {
        node.properties().forEach(field -> {
            if (READ.contains(field.getKey()) && field.getValue().isString()) {
                said.add(field.getValue().asString());
            } else if (field.getKey().equals("handling")) {
                field.getValue().forEach(line -> said.add(line.asString()));
            }
            gather(field.getValue(), said);
        });
        if (node.isArray()) {
            node.forEach(item -> gather(item, said));
        }
    }
}
