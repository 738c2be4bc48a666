package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A pack with one thing wrong in it is refused with line, path, reason and remedy. */
class PackReaderTest {

    /** Each reading of a pack takes a while: a fifth of the marks is tried. */
    private static final int EVERY_SO_MANY = 5;

    private static final String GOOD = PackLibrary.text("f1-furnace");

    private static List<PackProblem> problems(String from, String to) {
        assertThat(GOOD).as("the text to spoil").contains(from);
        return of(GOOD.replaceFirst(Pattern.quote(from), Matcher.quoteReplacement(to)));
    }

    private static List<PackProblem> of(String text) {
        try {
            PackReader.read(text);
        } catch (PackException refused) {
            return refused.problems();
        }
        return List.of();
    }

    private static int line(String text) {
        return GOOD.substring(0, GOOD.indexOf(text)).split("\n", -1).length;
    }

    @Test
    void shippedPackIsSound() {
        assertThat(PackLibrary.load().models()).hasSizeGreaterThanOrEqualTo(1)
                .allSatisfy(model -> assertThat(model.faults()).hasSizeGreaterThanOrEqualTo(15));
        assertThat(PackLibrary.load().model("f1-furnace").faults()).hasSizeGreaterThanOrEqualTo(25);
    }

    @Test
    void syntaxErrorIsToldWithItsLine() {
        assertThat(problems("  breaker: {is: switch,", "  breaker: {is: switch,,")).singleElement()
                .satisfies(p -> {
                    assertThat(p.line()).isEqualTo(line("  breaker: "));
                    assertThat(p.reason()).contains("not YAML");
                });
    }

    @Test
    void keyWrittenTwiceIsRefused() {
        assertThat(problems("  breaker: {", "  line: {")).singleElement()
                .satisfies(p -> assertThat(p.reason()).containsIgnoringCase("duplicate"));
    }

    @Test
    void unknownKindOfElementIsRefused() {
        assertThat(problems("breaker: {is: switch", "breaker: {is: magnet"))
                .anySatisfy(p -> {
                    assertThat(p.path()).startsWith("/circuit/breaker");
                    assertThat(p.line()).isEqualTo(line("  breaker: "));
                });
    }

    @Test
    void unknownElementInAFaultIsRefused() {
        assertThat(problems("{element: transformer, mode: OPEN}", "{element: transformre, mode: OPEN}")).singleElement()
                .satisfies(p -> {
                    assertThat(p.path()).isEqualTo("/faults/transformer-open");
                    assertThat(p.line()).isEqualTo(line("  transformer-open: "));
                    assertThat(p.reason()).contains("'transformre'");
                });
    }

    @Test
    void danglingNetIsRefused() {
        assertThat(problems("neutral-wire: {is: wire, a: N-panel", "neutral-wire: {is: wire, a: N-pannel"))
                .anySatisfy(p -> {
                    assertThat(p.path()).isEqualTo("/circuit/neutral-wire");
                    assertThat(p.reason()).contains("net 'N-pannel' dangles");
                    assertThat(p.remedy()).contains("Maybe 'N-panel'");
                });
    }

    @Test
    void stateThatCannotBeReachedIsRefused() {
        assertThat(problems("- {when: elapsed >= proving-time, to: draft-missing}", "- {when: elapsed >= proving-time, to: idle}"))
                .singleElement().satisfies(p -> {
                    assertThat(p.path()).isEqualTo("/boards/board/regions/burner/draft-missing");
                    assertThat(p.line()).isEqualTo(line("        draft-missing:\n"));
                    assertThat(p.reason()).contains("cannot be reached");
                });
    }

    @Test
    void transitionToNowhereIsRefused() {
        assertThat(problems("to: draft-missing}", "to: draft-mising}")).anySatisfy(p -> {
            assertThat(p.reason()).contains("'draft-mising', which does not exist");
            assertThat(p.remedy()).contains("Maybe 'draft-missing'");
        });
    }

    @Test
    void outputThatDrivesNothingIsRefused() {
        assertThat(problems("test: draft-gauge, least: 0.75, most: 1.2,", "test: draft-gauge, answer: \"yes\",")).anySatisfy(
                p -> assertThat(p.reason()).contains("no check 'draft-gauge'"));
        assertThat(problems("test: draft-gauge, least: 0.75, most: 1.2,", "test: see-filter, answer: \"no\", most: 1.2,")).anySatisfy(
                p -> assertThat(p.reason()).contains("a question has an answer and no limits"));
        assertThat(problems("outputs: [inducer, igniter]", "outputs: [inducer, humidifier]")).anySatisfy(
                p -> assertThat(p.reason()).isEqualTo("output 'humidifier' drives nothing"));
    }

    @Test
    void unknownNameInAnExpressionIsRefused() {
        assertThat(problems("0.95 * vent * hose", "0.95 * vent * hoze")).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("/process/draft/moves/0/to");
            assertThat(p.reason()).contains("'hoze'");
        });
    }

    @Test
    void stampThatNoSwitchGoesByIsRefused() {
        assertThat(problems("stamp: {value: 200,", "stamp: {value: 190,")).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("/readings/plenum-temp/stamp");
            assertThat(p.reason()).contains("no switch that goes by 'plenum' moves at 190");
        });
    }

    @Test
    void brokenExpressionIsRefused() {
        assertThat(problems("follows: action.door,", "follows: action.door >=,")).anySatisfy(
                p -> assertThat(p.reason()).contains("cannot read the expression 'action.door >='"));
    }

    @Test
    void unknownLampPatternIsRefused() {
        assertThat(problems("lamp: 6 flashes", "lamp: 6 flashs")).anySatisfy(
                p -> assertThat(p.reason()).contains("'6 flashs' is not a lamp pattern"));
    }

    @Test
    void figureWithoutAKnownMarkIsRefused() {
        assertThat(problems("volts: 120, ohms: 0.2, mark: S-ansi-c84", "volts: 120, ohms: 0.2, mark: hearsay"))
                .singleElement().satisfies(p -> assertThat(p.reason()).contains("mark 'hearsay'"));
        assertThat(problems("volts: 120, ohms: 0.2, mark: S-ansi-c84", "volts: 120, ohms: 0.2"))
                .anySatisfy(p -> assertThat(p.reason()).contains("mark"));
    }

    /** A fifth of the marks of each shipped pack, each taken away in turn: not one figure of a circuit, a process or a board may stand without. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void everyFigureHasAMark(String id) {
        String text = PackLibrary.text(id);
        Matcher mark = Pattern.compile(", mark: [A-Za-z0-9-]+(?=[,}])").matcher(text);
        List<String> missed = new ArrayList<>();
        int marks = 0;
        while (mark.find()) {
            String without = text.substring(0, mark.start()) + text.substring(mark.end());
            if (marks++ % EVERY_SO_MANY == 0 && of(without).stream().noneMatch(p -> p.reason().contains("mark"))) {
                missed.add(text.substring(text.lastIndexOf('\n', mark.start()) + 1, mark.end()));
            }
        }
        assertThat(marks).isGreaterThan(40);
        assertThat(missed).isEmpty();
    }

    @Test
    void impossibleValueIsRefused() {
        assertThat(problems("logic: {is: load, device: control-board, a: R, b: C, ohms: 180", "logic: {is: load, device: control-board, a: R, b: C, ohms: -180"))
                .anySatisfy(p -> {
                    assertThat(p.path()).isEqualTo("/circuit/logic");
                    assertThat(p.reason()).contains("-180");
                });
    }

    @Test
    void allProblemsAreToldAtOnce() {
        String spoiled = GOOD.replace("{element: transformer, mode: OPEN}", "{element: transformre, mode: OPEN}")
                .replace("0.95 * vent * hose", "0.95 * vent * hoze");
        assertThatThrownBy(() -> PackReader.read(spoiled)).isInstanceOfSatisfying(PackException.class,
                refused -> assertThat(refused.problems()).hasSize(2));
    }

    @Test
    void emptyTextIsRefused() {
        assertThatThrownBy(() -> PackReader.read("")).isInstanceOf(PackException.class);
        assertThatThrownBy(() -> PackReader.read("just words")).isInstanceOf(PackException.class);
    }

    @Test
    void faultThatNothingCanShowIsRefused() {
        String pack = PackLibrary.text("f1-furnace");
        String spoiled = pack.replace("faults:\n", "faults:\n  invisible: {label: nothing to see, part: watch, weight: 1, does: "
                + "[{parameter: lockout-time, value: 3601}], remedy: none}\n");
        assertThatThrownBy(() -> PackReader.check(spoiled)).isInstanceOfSatisfying(PackException.class, refused ->
                assertThat(refused.problems()).singleElement().satisfies(p -> {
                    assertThat(p.path()).isEqualTo("/faults/invisible");
                    assertThat(p.reason()).contains("nothing can show");
                }));
    }

    /** A motor of 0.57 A that is said to turn from 0.5 A on: one with a winding within its tolerance would never turn. */
    @Test
    void thresholdThatSoundPartsDoNotReachIsRefused() {
        String pack = PackLibrary.text("f7-stove");
        String spoiled = pack.replace("amps.auger >= 0.3 and auger-turns >= 0.5", "amps.auger >= 0.5 and auger-turns >= 0.5");
        assertThat(spoiled).isNotEqualTo(pack);
        assertRefused(() -> PackReader.check(spoiled), "/channels/auger", "threshold", "20 % more impedance", "does not come");
    }

    /** A board that goes back as soon as it has come finds no rest with its sensor open. */
    @Test
    void faultThatChattersIsRefused() {
        String pack = PackLibrary.text("f13-multisplit");
        String spoiled = pack.replace("coil-ohms <= 100 and coil-ohms >= 0.1 and not in.S, to: ready", "not in.S, to: ready");
        assertThat(spoiled).isNotEqualTo(pack);
        assertRefused(() -> PackReader.check(spoiled), "/faults/coil-open", "two states", "chatters");
    }

    /** The first scenario is the usual run; one that stands before it by mistake would be taken for it. */
    @Test
    void unitIsFoundInItsUsualRun() {
        String pack = PackLibrary.text("f9-airhandler");
        String spoiled = pack.replaceFirst("scenarios:\n", "scenarios:\n  held:\n    seconds: 60\n    steps: [{at: 0, power: 1}, {at: 10, test-button: 1}]\n");
        assertRefused(() -> PackReader.read(spoiled), "/moments/found", "thermostat: {}", "'thermostat'", "'held'");
    }

    @Test
    void faultThatNoVisitCanProveIsRefusedWithWhatIsMissing() {
        String pack = PackLibrary.text("f1-furnace");
        String spoiled = pack.replaceFirst("(?m)^  see-hose: .*\n", "").replaceFirst("(?m)^  draft-port: .*\n", "");
        assertThat(spoiled).isNotEqualTo(pack);
        assertRefused(() -> PackReader.check(spoiled), "/faults/vent-blocked", "hose-leaks", "can never be proven");
    }

    /** Among what is wrong is this, at its place, with the reason and what to do. */
    private static void assertRefused(ThrowingCallable reading, String path, String remedy, String... reasons) {
        assertThatThrownBy(reading).isInstanceOfSatisfying(PackException.class, refused -> assertThat(refused.problems()).anySatisfy(p -> {
            assertThat(p.path()).isEqualTo(path);
            assertThat(p.reason()).contains(reasons);
            assertThat(p.remedy()).contains(remedy);
        }));
    }
}
