package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Rule;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A second language is whole: whatever the equipment data say to a person has its words in it, in the usual units and in a sample of the others, or in all of them. */
@Execution(ExecutionMode.CONCURRENT)
class PhrasesTest {

    /** What a record holds as text for people to read. */
    private static final Set<String> READ = Set.of("label", "duty", "hold", "why", "seen", "where", "side", "called", "condition", "says", "handling", "commission");
    private static final Map<String, String> SPANISH = read(Path.of("src/main/resources/packs/words/es.tsv"));

    private static Map<String, String> read(Path file) {
        try (Stream<String> lines = Files.lines(file)) {
            Map<String, String> words = new LinkedHashMap<>();
            lines.map(line -> line.split("\t", -1)).forEach(pair -> {
                assertThat(pair).as(String.join("\t", pair)).hasSize(2).noneMatch(String::isBlank);
                assertThat(words.put(pair[0], pair[1])).as("stands twice: " + pair[0]).isNull();
            });
            return words;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Everything that a model says, by walking through its records. */
    private static void gather(Object node, boolean read, Set<String> said) throws ReflectiveOperationException {
        if (node instanceof Message.Said message) {
            said.add(message.text());
        } else if (node instanceof String text && read) {
            said.add(text);
        } else if (node instanceof Map<?, ?> map) {
            for (Object value : map.values()) {
                gather(value, false, said);
            }
        } else if (node instanceof Iterable<?> all) {
            for (Object value : all) {
                gather(value, read, said);
            }
        } else if (node instanceof Record && node.getClass().getName().startsWith("bricksignal.core.unit") || node instanceof Message) {
            for (RecordComponent component : node.getClass().getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                Object value = component.getAccessor().invoke(node);
                if (value != null) {
                    gather(value, READ.contains(component.getName()), said);
                }
            }
        }
    }

    /** Inputs and relays of boards stand on the ladder by their names, hyphens read as blanks. */
    private static Set<String> onTheLadder(UnitModel model) {
        Stream<String> inputs = model.machine().boards().stream().flatMap(board -> board.inputs().stream()).map(Input::id);
        Stream<String> relays = model.machine().rules().values().stream().filter(Rule.Follows.class::isInstance).flatMap(rule -> ((Rule.Follows) rule).closed().names().stream())
                .map(Expr.Name::of).filter(name -> name.kind() == Expr.Kind.OUT).map(name -> name.of());
        return Stream.concat(inputs, relays).map(id -> id.replace('-', ' ')).collect(Collectors.toSet());
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.SafetyRulesTest#compositions")
    void whatAUnitSaysHasItsSpanish(Composition way) throws ReflectiveOperationException {
        UnitModel model = PackReader.read(PackLibrary.text(way.family(), way.choices()));
        Set<String> said = new TreeSet<>();
        gather(model, false, said);
        said.addAll(onTheLadder(model));
        said.removeIf(text -> text.isBlank() || !text.chars().anyMatch(Character::isLetter));
        assertThat(said).hasSizeGreaterThan(100);
        assertThat(said).filteredOn(text -> !SPANISH.containsKey(text)).isEmpty();
        List<String> title = List.of(model.title().split(", "));
        assertThat(title.size()).as("a title has a beginning that is known, and parts that are: " + title).isEqualTo(Stream.iterate(title.size(), first -> first > 0, first -> first - 1)
                .filter(first -> SPANISH.containsKey(String.join(", ", title.subList(0, first)))).findFirst().map(first -> first
                        + (int) title.subList(first, title.size()).stream().filter(SPANISH::containsKey).count()).orElse(0));
    }

    /** A question that opens is one that ends, and the other way round. */
    @Test
    void questionsOfTheSpanishOpenAndEnd() {
        assertThat(SPANISH.values()).filteredOn(text -> text.chars().filter(c -> c == '¿').count() != text.chars().filter(c -> c == '?').count()).isEmpty();
        Map<String, String> asked = SPANISH.entrySet().stream().filter(pair -> pair.getKey().endsWith("?")).collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        assertThat(asked).hasSizeGreaterThan(300).allSatisfy((english, spanish) -> assertThat(spanish).endsWith("?"));
    }
}
