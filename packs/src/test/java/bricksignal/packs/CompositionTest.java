package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** A unit is composed of assemblies, its family's own sections and the options chosen; what does not fit is told all at once. */
@Execution(ExecutionMode.CONCURRENT)
class CompositionTest {

    private static final String FURNACE = PackLibrary.family("f1-furnace").source();

    static Stream<Arguments> compositions() {
        return PackLibrary.compositions().stream().map(composition -> Arguments.of(composition.family(), composition.choices()));
    }

    private static List<PackProblem> problems(String family, Map<String, String> chosen) {
        try {
            PackReader.read(PackReader.flat(family, chosen));
        } catch (PackException refused) {
            return refused.problems();
        }
        return List.of();
    }

    private static String spoilt(String from, String to) {
        assertThat(FURNACE).contains(from);
        return FURNACE.replace(from, to);
    }

    // --- what is composed -------------------------------------------------------------------------------------------------------------

    @ParameterizedTest
    @MethodSource("compositions")
    void flatTextIsReadAsTheSameDocument(String id, Map<String, String> way) {
        JsonNode composed = PackReader.flat(PackLibrary.family(id).source(), way).root();
        String flat = PackLibrary.text(id, way);
        assertThat(same(new YAMLMapper().readTree(flat), composed)).isTrue();
        assertThat(flat).doesNotContain("\nuses:").doesNotContain("\nchoices:").doesNotContain("$");
        assertThat(PackLibrary.text(id, way)).as("the same each time").isEqualTo(flat);
    }

    /** Numbers by their value: 7 and 7.0 are one number. */
    private static boolean same(JsonNode a, JsonNode b) {
        if (a.isNumber() && b.isNumber()) {
            return a.asDouble() == b.asDouble();
        }
        if (!a.isContainer() || a.size() != b.size()) {
            return a.equals(b);
        }
        if (a.isArray()) {
            return IntStream.range(0, a.size()).allMatch(i -> same(a.get(i), b.get(i)));
        }
        return a.properties().stream().allMatch(e -> b.has(e.getKey()) && same(e.getValue(), b.get(e.getKey())));
    }

    @ParameterizedTest
    @MethodSource("compositions")
    void nominalRunOfEveryCompositionComesToEveryMomentThatIsWaitedFor(String id, Map<String, String> way) {
        UnitModel model = PackReader.declared(PackReader.flat(PackLibrary.text(id, way), Map.of()));
        assertThat(model.moments()).allSatisfy(moment -> assertThat(VirtualUnit.of(model, model.machine())
                .secondsOf(moment)).isNotNegative());
    }

    @Test
    void furnaceThatLightsByASparkHasNoIgniter() {
        UnitModel spark = PackReader.read(PackLibrary.text("f1-furnace", Map.of("ignition", "spark")));
        assertThat(spark.parts()).extracting(part -> part.id()).contains("electrode", "spark-lead", "inducer").doesNotContain("igniter");
        assertThat(spark.traits().get("ignition")).containsExactly("spark");
        assertThat(spark.machine().board("board").region("burner").states()).extracting(state -> state.id()).doesNotContain("warm-up");
        assertThat(spark.title()).contains("spark");
    }

    /** Line stands at a motor with electronics all the time, a tap of 24 V makes it run, and both are measured before it is blamed. */
    @Test
    void tappedMotorHasLineAtRestAndRunsByItsTap() {
        UnitModel model = PackReader.read(PackLibrary.text("f1-furnace", Map.of("blower", "tapped")));
        VirtualUnit unit = VirtualUnit.of(model, model.machine());
        Solution rest = at(unit, model, "standby");
        Solution runs = at(unit, model, "blower");
        assertThat(rest.volts("blower-hot", "blower-n").magnitude()).isCloseTo(120, within(2.0));
        assertThat(rest.volts("tap", "tap-com").magnitude()).isLessThan(0.1);
        assertThat(runs.volts("tap", "tap-com").magnitude()).isBetween(24.0, 29.5);
        double at = unit.secondsOf(model.moment("blower"));
        assertThat(unit.usualRun().at(at).unit().at(at).value("airflow")).isGreaterThan(0.9);
    }

    private static Solution at(VirtualUnit unit, UnitModel model, String moment) {
        return unit.run(model.moment(moment).scenario()).at(unit.secondsOf(model.moment(moment))).unit().solution();
    }

    /**
     * The usual ones are checked by {@link ProvableTest}; every option of every choice is in one of these. {@code -Dcompositions=pairs} takes so many that
     * each two options that go together are in one, {@code -Dcompositions=all} takes all.
     */
    static Stream<Arguments> checkedWhole() {
        String asked = System.getProperty("compositions", "options");
        return PackLibrary.ids().stream().flatMap(id -> {
            List<Composition> all = PackLibrary.family(id).compositions();
            List<Composition> some = asked.equals("all") ? all : asked.equals("pairs") ? covering(all, CompositionTest::pairs)
                    : covering(all, CompositionTest::options);
            return some.stream().filter(composition -> !composition.usual()).map(c -> Arguments.of(id, c.choices()));
        });
    }

    /** So few, the usual one among them, that whatever each of them all covers is covered by one of these. */
    private static <T> List<Composition> covering(List<Composition> all, Function<Composition, Set<T>> covers) {
        List<Composition> taken = new ArrayList<>(all.subList(0, 1));
        Set<T> open = new HashSet<>();
        all.forEach(composition -> open.addAll(covers.apply(composition)));
        open.removeAll(covers.apply(all.get(0)));
        while (!open.isEmpty()) {
            Composition best = Collections.max(all, Comparator.comparingLong(c -> covers.apply(c).stream().filter(open::contains).count()));
            open.removeAll(covers.apply(best));
            taken.add(best);
        }
        return taken;
    }

    private static Set<Map.Entry<String, String>> options(Composition composition) {
        return composition.choices().entrySet();
    }

    private static Set<Set<Map.Entry<String, String>>> pairs(Composition composition) {
        Set<Set<Map.Entry<String, String>>> pairs = new HashSet<>();
        composition.choices().entrySet().forEach(a -> composition.choices().entrySet().forEach(b -> pairs.add(new HashSet<>(List.of(a, b)))));
        return pairs;
    }

    @ParameterizedTest
    @MethodSource("checkedWhole")
    void everyOptionIsInACompositionThatPassesTheWholeCheck(String id, Map<String, String> way) {
        assertThat(PackReader.check(PackLibrary.text(id, way)).faults()).hasSizeGreaterThan(30);
    }

    @Test
    void thereAreAtLeastAHundredAndFortyCompositions() {
        assertThat(PackLibrary.compositions()).hasSizeGreaterThanOrEqualTo(140);
    }

    @Test
    void compositionsOfAFamilyAreToldApartByTheirTitles() {
        assertThat(PackLibrary.compositions()).extracting(Composition::title).doesNotHaveDuplicates();
        assertThat(PackLibrary.family("f1-furnace").compositions()).as("no condensing one by a spark").hasSize(6);
    }

    @Test
    void everyAssemblyIsUsedAndWhatStandsNearerWins() {
        String all = String.join("\n", PackLibrary.ids().stream().map(id -> PackLibrary.family(id).source()).toList());
        assertThat(PackLibrary.assemblies()).allSatisfy(id -> assertThat(all).contains("assembly: " + id));
        UnitModel roof = PackReader.read(PackLibrary.text("f14-rooftop"));
        assertThat(roof.fault("rod-coated").weight()).as("the family's own weight").isEqualTo(7);
        assertThat(roof.fault("lead-chafed").weight()).as("that of the assembly").isEqualTo(3);
    }

    // --- what does not fit ------------------------------------------------------------------------------------------------------------

    @Test
    void missingAssemblyOpenPortAndUnknownValueAreToldAllAtOnceWithTheirLines() {
        String family = spoilt("assembly: inducer, ports: {line: L1, out: IND, neutral: N}", "assembly: inducerr, ports: {line: L1, out: IND}")
                .replaceFirst("flame-sense, ports: \\{ground: chassis}, values: \\{[^}]*}", "flame-sense, values: {omhs: 3}");
        List<PackProblem> problems = problems(family, Map.of());
        assertThat(problems).hasSize(3);
        assertThat(problems).anySatisfy(p -> assertThat(p.reason()).contains("no assembly 'inducerr'"))
                .anySatisfy(p -> assertThat(p.reason()).contains("port 'ground'").contains("left open"))
                .anySatisfy(p -> {
                    assertThat(p.reason()).contains("no value 'omhs'");
                    assertThat(p.remedy()).contains("ohms");
                });
        assertThat(problems).allSatisfy(p -> assertThat(FURNACE.lines().toList().get(p.line() - 1)).contains("assembly:"));
    }

    /** Above it nobody reads a family as one page: what several have is an assembly. */
    @Test
    void noFamilyIsLongerThan350LinesOfItsOwn() {
        assertThat(PackLibrary.families()).hasSize(18)
                .allSatisfy((id, family) -> assertThat(family.source().lines().count()).as(id).isLessThanOrEqualTo(350));
    }

    @Test
    void entriesStandInTheOrderThatTheFamilySaysAndTheOthersAfterThem() {
        String ordered = PackLibrary.family("f1-furnace").source().replaceFirst("(?m)^  channels: \\[.*", "  channels: [blower, flame]");
        assertThat(PackReader.flat(ordered, Map.of()).root().path("channels").propertyNames()).startsWith("blower", "flame")
                .contains("call", "gas");
    }

    @Test
    void twoAssembliesThatSayDifferentThingsInOnePlaceAreTold() {
        String family = spoilt("  flame-sense: {", "  second: {assembly: inducer, ports: {line: L1, out: IND, neutral: N}, values: {ohms: 40}}\n  flame-sense: {");
        assertThat(problems(family, Map.of())).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("/circuit/inducer-motor/ohms");
            assertThat(p.reason()).contains("25").contains("40").contains("assemblies/inducer.yaml");
        });
    }

    @Test
    void problemInsideAnAssemblyNamesItAndTheLineThatUsesIt() {
        assertThat(problems(spoilt("flame-sense, ports: {ground: chassis", "flame-sense, ports: {ground: nowhere"), Map.of())).isNotEmpty()
                .anySatisfy(p -> assertThat(p.toString()).contains("assemblies/flame-sense.yaml, used in line " + (FURNACE.substring(0,
                        FURNACE.indexOf("  flame-sense: {")).split("\n", -1).length)));
    }

    @Test
    void choiceOrOptionThatIsNotThereIsTold() {
        assertThat(problems(FURNACE, Map.of("ignition", "sparks"))).singleElement().satisfies(p -> {
            assertThat(p.reason()).contains("no option 'sparks'");
            assertThat(p.remedy()).contains("spark");
        });
        assertThat(problems(FURNACE, Map.of("igniton", "spark"))).singleElement()
                .satisfies(p -> assertThat(p.reason()).contains("no choice 'igniton'"));
    }

    /** Another line voltage is other windings in the motors that the family uses anyway. */
    @Test
    void optionGivesValuesToWhatTheFamilyUses() {
        UnitModel roof = PackReader.read(PackLibrary.text("f14-rooftop", Map.of("voltage", "v460")));
        VirtualUnit unit = VirtualUnit.of(roof, roof.machine());
        assertThat(at(unit, roof, "cool").amps("comp-w12").magnitude()).as("four times the impedance").isCloseTo(460 / Math.hypot(32, 72), within(0.1));
        String family = spoilt("        adds: direct spark\n", "        adds: direct spark\n        values: {inducerr: {ohms: 30}, inducer: {omhs: 30}}\n");
        assertThat(problems(family, Map.of("ignition", "spark"))).extracting(PackProblem::reason)
                .anyMatch(r -> r.contains("nothing is used by the name 'inducerr'")).anyMatch(r -> r.contains("no value 'omhs'"));
    }

    @Test
    void overrideOfAStateThatIsNotThereAndAnEmptyTakingOutAreTold() {
        String family = spoilt("points/PSI/moments:", "points/PSII/moments:")
                .replace("        adds: direct spark\n", "        adds: direct spark\n        without: [boards/board/regions/burner/warmup]\n");
        assertThat(problems(family, Map.of("ignition", "spark"))).extracting(PackProblem::reason)
                .anyMatch(r -> r.contains("PSII/moments' to override")).anyMatch(r -> r.contains("warmup' to take out"));
        assertThat(problems(family, Map.of())).as("the usual one does not touch them").isEmpty();
    }

    @Test
    void optionsThatDoNotGoTogetherAreRefusedWithTheReasonAndNotListed() {
        String family = FURNACE.replace("not-together:\n", "not-together:\n  - {ignition: spark, colour: red, because: nobody makes it}\n").replace("choices:\n", """
                choices:
                  colour:
                    label: What colour is it
                    usual: gray
                    options: {gray: {label: gray}, red: {label: red}}
                """);
        assertThat(problems(family, Map.of("ignition", "spark", "colour", "red"))).singleElement()
                .satisfies(p -> assertThat(p.reason()).contains("nobody makes it"));
        Document document = Document.read(family, Document.Shape.FAMILY);
        List<Map<String, String>> legal = Choices.all(new Section(document, document.root(), "", new ArrayList<>()));
        assertThat(legal).hasSize(10).noneMatch(way -> "spark".equals(way.get("ignition")) && "red".equals(way.get("colour")));
    }

    // --- bin/pack ---------------------------------------------------------------------------------------------------------------------

    private static String said(int expected, String... args) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        assertThat(new PackTool(new PrintStream(bytes, true, StandardCharsets.UTF_8)).run(List.of(args))).isEqualTo(expected);
        return bytes.toString(StandardCharsets.UTF_8);
    }

    @Test
    void toolListsShowsAndChecks(@TempDir Path folder) throws IOException {
        assertThat(said(0, "list")).contains("f1-furnace ignition=hot-surface blower=capacitor heat=eighty\n").contains("f1-furnace ignition=spark blower=tapped heat=eighty\n").contains("f9-airhandler voltage=two-legs\n").contains("f14-rooftop detectors=one voltage=v230\n");
        assertThat(said(0, "assemblies")).contains("hot-surface  Hot surface igniter");
        assertThat(said(0, "show", "f1-furnace", "ignition=spark")).isEqualTo(PackLibrary.text("f1-furnace", Map.of("ignition", "spark")));
        Path file = folder.resolve("mine.yaml");
        Files.writeString(file, spoilt("usual: hot-surface", "usual: candle"));
        assertThat(said(1, "check", file.toString())).contains("no option 'candle'").contains("line ");
        assertThat(said(2, "check", folder.resolve("none").toString())).contains("no file").contains("bin/pack list");
        assertThat(said(2, "show", "f1-furnace", "spark")).contains("'spark' is no choice");
        assertThatThrownBy(() -> PackLibrary.text("f1-furnace", Map.of("ignition", "candle"))).isInstanceOf(PackException.class);
    }
}
