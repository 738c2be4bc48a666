package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.CallAdvice;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class OverlayReaderTest {

    private static final String HEAD = "overlay: blue-board\nfamily: f1-furnace\ntitle: Blue board\n";

    private static List<PackProblem> problems(String yaml) {
        try {
            OverlayReader.read(yaml);
            return List.of();
        } catch (PackException refused) {
            return refused.problems();
        }
    }

    @Test
    void overlaySaysInWhichOrderTheBoardTakesPowerAndCall() {
        var model = OverlayReader.read(HEAD + "call: {order: CALL_THEN_POWER, why: it takes the call as it wakes}\n").model();
        assertThat(model.calls()).singleElement().satisfies(call -> {
            assertThat(call.order()).isEqualTo(CallAdvice.Order.CALL_THEN_POWER);
            assertThat(call.why()).isEqualTo("it takes the call as it wakes");
        });
        assertThat(problems(HEAD + "call: {order: LATER, why: because}\n")).singleElement().satisfies(p -> assertThat(p.path()).isEqualTo("/call/order"));
        assertThat(problems(HEAD + "call: {order: CALL_THEN_POWER}\n")).as("nobody learns an order without its reason").hasSize(1);
    }

    @Test
    void overlayChangesLabelsColoursTimesFusesValuesAndSwitches() {
        var model = OverlayReader.read(HEAD + """
                timings: {purge-time: 30}
                labels: {HLI: J4-2}
                colours: {HLI: pink}
                fuses: {fuse: 5}
                nominals: {igniter: {value: 80, tolerance: 0.1}}
                settings: {off-delay: {factory: A, options: {A: 60, B: 120}}}
                """).model();
        assertThat(model.machine().parameters()).containsEntry("purge-time", 30.0);
        assertThat(model.point("HLI").label()).isEqualTo("J4-2");
        assertThat(model.point("HLI").colour()).isEqualTo("pink");
        assertThat(((Element.Conductor) model.machine().circuit().element("fuse")).fuseAmps()).isEqualTo(5);
        assertThat(((Element.Load) model.machine().circuit().element("igniter")).ohms()).isEqualTo(80);
        assertThat(model.settings().get(0).options()).containsOnlyKeys("A", "B");
        CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
        double[] purge = pack.nominal().usualRun().firstStretch(F1.when("state.burner.purge")).orElseThrow();
        assertThat(purge[1] - purge[0]).isCloseTo(30, within(0.01));
    }

    /** A door chart of four codes, one of them for a flame that was lost. */
    @Test
    void vehicleFurnaceTakesAChartWithALostFlame() {
        String door = HEAD.replace("f1-furnace", "f3-vehicle") + """
                charts:
                  board:
                    - generation: as on the door
                      codes:
                        - {pattern: 1 flash, condition: air not proven}
                        - {pattern: 2 flashes, condition: internal fault}
                        - {pattern: 3 flashes, condition: ignition lockout}
                        - {pattern: 4 flashes, condition: flame lost}
                """;
        assertThat(problems(door)).isEmpty();
        assertThat(problems(HEAD.replace("f1-furnace", "f3-vehicle") + "limits: {gap: {least: 1}}\n")).singleElement()
                .satisfies(p -> assertThat(p.reason()).contains("'gap' is a question and has no limits"));
    }

    @Test
    void chartOnTheDoorIsWhatTheDiagnosisGoesBy() {
        CompiledPack pack = CompiledPack.of(OverlayReader.read(HEAD + """
                charts:
                  board:
                    - generation: as on the door
                      codes:
                        - {pattern: 9 flashes, condition: draft proving stays open}
                        - {pattern: 4 flashes, condition: ignition lockout}
                """).model(), ErrorModel.defaults());
        Diagnosis nine = Diagnosis.of(pack, List.of(new Observation.Lamp("board", Map.of(LampPattern.flashes(9), 1.0,
                LampPattern.flashes(4), 0.0), false)));
        Diagnosis four = Diagnosis.of(pack, List.of(new Observation.Lamp("board", Map.of(LampPattern.flashes(9), 0.0,
                LampPattern.flashes(4), 1.0), false)));
        Compiled unit = new Compiled(pack);
        assertThat(unit.believed(nine, "hose-leaks")).isGreaterThan(8 * unit.believed(nine, "igniter-open"));
        assertThat(unit.believed(four, "igniter-open")).isGreaterThan(8 * unit.believed(four, "hose-leaks"));
    }

    @Test
    void samePatternTwiceIsKeptAndSaid() {
        Overlay overlay = OverlayReader.read(HEAD + """
                charts:
                  board:
                    - generation: as on the door
                      codes:
                        - {pattern: 3 flashes, condition: limit or rollout open}
                        - {pattern: 3 flashes, condition: ignition lockout}
                """);
        assertThat(overlay.notes()).singleElement().satisfies(note -> {
            assertThat(note.line()).isEqualTo(9);
            assertThat(note.reason()).contains("'3 flashes' stands twice");
        });
        assertThat(overlay.model().chart("board").meanings(LampPattern.flashes(3))).hasSize(2);
    }

    @Test
    void allProblemsAreToldAtOnceWithLinePathReasonAndRemedy() {
        List<PackProblem> problems = problems(HEAD + """
                timings: {purge-tim: 30}
                labels: {nowhere: X}
                charts:
                  board:
                    - generation: as on the door
                      codes:
                        - {pattern: disco, condition: ignition lockout}
                        - {pattern: 2 flashes, condition: motor does not answer}
                        - {pattern: 3 flashes, condition: ignition lockut}
                        - {pattern: 5 flashes}
                """);
        assertThat(problems).extracting(PackProblem::line).containsExactly(4, 5, 10, 11, 12, 13);
        assertThat(problems.get(0).remedy()).contains("Maybe 'purge-time'");
        assertThat(problems).extracting(PackProblem::reason).anySatisfy(r -> assertThat(r).contains("cannot have the condition"))
                .anySatisfy(r -> assertThat(r).contains("not in the vocabulary"))
                .anySatisfy(r -> assertThat(r).contains("says nothing")).anySatisfy(r -> assertThat(r).contains("'disco'"));
        assertThat(problems).allSatisfy(p -> assertThat(p.path()).startsWith("/"));
    }

    @Test
    void overlayForAFamilyThatIsNotThereIsRefused() {
        assertThat(problems("overlay: x\nfamily: f1-furnase\ntitle: X\n")).singleElement()
                .satisfies(p -> assertThat(p.remedy()).contains("Maybe 'f1-furnace'"));
    }

    @Test
    void valueThatPhysicsDoesNotAllowIsRefused() {
        assertThat(problems(HEAD + "fuses: {fuse: -1}\n")).isNotEmpty();
        assertThat(problems(HEAD + "timings: {purge-time: 0}\n")).isNotEmpty();
        assertThat(problems(HEAD + "settings: {off-delay: {factory: Z, options: {A: 60}}}\n")).singleElement()
                .satisfies(p -> assertThat(p.reason()).contains("'Z' is not among the options"));
    }

    @Test
    void valuesWithWhichTheUnitWouldNotRunAreRefused() {
        assertThat(problems(HEAD + "nominals: {igniter: {value: 300}}\n")).isNotEmpty().allSatisfy(p -> {
            assertThat(p.reason()).contains("with these values the unit does not work").contains("never comes");
            assertThat(p.line()).isGreaterThan(0);
        });
    }

    @Test
    void bombOfAliasesAndATextTooLongAreRefusedQuickly() {
        StringBuilder bomb = new StringBuilder(HEAD + "a: &a [x, x, x, x, x, x, x, x, x]\n");
        for (char c = 'b'; c < 'l'; c++) {
            char before = (char) (c - 1);
            bomb.append(c).append(": &").append(c).append(" [").append(("*" + before + ", ").repeat(8)).append('*').append(before)
                    .append("]\n");
        }
        assertThat(problems(bomb.toString())).isNotEmpty();
        assertThatThrownBy(() -> OverlayReader.read(HEAD + "#" + "x".repeat(400_000))).hasMessageContaining("at most");
        assertThat(problems("[".repeat(3000))).isNotEmpty();
    }

    // --- choices ---------------------------------------------------------------------------------------------------------------

    @Test
    void overlayKeepsWhatWasChosenOfItsFamily() {
        String yaml = HEAD + "choices: {ignition: spark}\nlabels: {HLI: J4-2}\n";
        Overlay spark = OverlayReader.read(yaml);
        assertThat(spark.choices()).containsExactly(java.util.Map.entry("ignition", "spark"));
        assertThat(OverlayReader.choices(yaml)).isEqualTo(spark.choices());
        assertThat(spark.model().parts()).extracting(part -> part.id()).contains("electrode").doesNotContain("igniter");
        assertThat(spark.model().point("HLI").label()).isEqualTo("J4-2");
        assertThat(OverlayReader.read(HEAD + "labels: {HLI: J4-2}\n").choices()).isEmpty();
    }

    @Test
    void whatCannotBeChosenIsTheOverlaysProblem() {
        assertThat(problems(HEAD + "choices: {ignition: candle}\n")).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("/choices");
            assertThat(p.reason()).contains("no option 'candle'");
        });
        assertThat(problems(HEAD + "choices: {ignition: spark}\nlabels: {HSI: J4-2}\n")).as("a spark furnace has no igniter output")
                .anySatisfy(p -> assertThat(p.reason()).contains("'HSI'"));
    }
}
