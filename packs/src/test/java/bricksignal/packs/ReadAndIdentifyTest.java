package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Judgement;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.diagnosis.chain.ChainWalk;
import bricksignal.core.identify.Identification;
import bricksignal.core.identify.Question;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.LampShow;
import bricksignal.core.lamp.Taps;
import bricksignal.core.unit.Acceptance;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Lamps, traits, chains and twins of every family. */
@Execution(ExecutionMode.CONCURRENT)
class ReadAndIdentifyTest {

    static Stream<String> packs() {
        return Compiled.ids().stream();
    }

    static Stream<Arguments> codes() {
        return Compiled.ids().stream().flatMap(id -> Compiled.of(id).pack().model().charts().entrySet().stream()
                .flatMap(chart -> chart.getValue().patterns().stream().filter(LampPattern::blinks)
                        .map(p -> Arguments.of(id, chart.getKey(), p.text()))));
    }

    @ParameterizedTest
    @MethodSource("codes")
    void whatTheBenchLampShowsDecodesToWhatItMeans(String id, String board, String text) {
        LampPattern pattern = LampPattern.parse(text);
        double round = pattern.roundSeconds();
        for (int start = 0; start < 5; start++) {
            double from = start * round / 5;
            List<LampShow.Lit> lit = LampShow.lit(pattern, from, from + Math.max(12, 3.2 * round));
            LampDecoder.Decoding read = LampDecoder.decode(new Taps(lit.stream().map(LampShow.Lit::from).toList(),
                    lit.stream().map(l -> l.to() - l.from() > 0.6 ? 0.6 : 0.12).toList(),
                    lit.stream().map(LampShow.Lit::mark).toList()), Compiled.of(id).pack().model().chart(board).patterns());
            assertThat(read.best()).as("%s from %s: %s none %s", text, from, read.weights(), read.none()).isEqualTo(pattern);
            assertThat(read.weights().get(pattern)).as("%s from %s, none %s, %s", text, from, read.none(), read.weights().values()).isGreaterThan(0.9);
        }
    }

    /** Every composition answers as its traits say: the questions end at it, at most eight of them and five in the middle. */
    @Test
    void unitIsFoundWithItsChoicesMadeInAtMostEightQuestions() {
        Map<String, Map<String, List<String>>> traits = new LinkedHashMap<>();
        PackLibrary.compositions().forEach(composition -> traits.put(composition.name(), composition.traits()));
        List<Question> questions = List.copyOf(Vocabulary.questions().values());
        List<Integer> asked = new ArrayList<>();
        traits.keySet().forEach(unit -> {
            Map<String, String> answers = new LinkedHashMap<>();
            Identification now = Identification.of(questions, traits, answers);
            while (now.next().isPresent()) {
                Question question = now.next().get();
                answers.put(question.id(), traits.get(unit).getOrDefault(question.id(), List.of("")).get(0));
                now = Identification.of(questions, traits, answers);
            }
            assertThat(now.families().keySet().iterator().next()).as("after %s", answers).isEqualTo(unit);
            asked.add(answers.size());
        });
        asked.sort(null);
        assertThat(asked.get(asked.size() - 1)).isLessThanOrEqualTo(8);
        assertThat(asked.get(asked.size() / 2)).isLessThanOrEqualTo(5);
    }

    @ParameterizedTest
    @MethodSource("packs")
    void soundUnitKeepsItsAcceptanceLimits(String id) {
        Compiled unit = Compiled.of(id);
        assertThat(unit.pack().model().acceptance()).isNotEmpty();
        for (Acceptance limit : unit.pack().model().acceptance()) {
            if (limit.answer() != null) {
                double yes = ((Prediction.Chance) unit.pack().predictions().nominal(unit.pack().catalogue().test(limit.test()))).yes();
                assertThat(yes > 0.5).as(limit.label()).isEqualTo(limit.answer());
                continue;
            }
            double mean = ((Prediction.Number) unit.pack().predictions().nominal(unit.pack().catalogue().test(limit.test()))).mean();
            assertThat(unit.pack().model().limit(limit, Map.of()).accepts(mean)).as("%s: %s", limit.label(), mean).isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("packs")
    void everyFigureHasAMarkAndEveryUnitHasWhatItsWorkNeeds(String id) {
        var model = Compiled.of(id).pack().model();
        assertThat(model.calls()).isNotEmpty();
        assertThat(model.settings()).isNotEmpty().allSatisfy(s -> assertThat(s.options()).containsKey(s.factory()));
        assertThat(model.faults()).hasSizeGreaterThanOrEqualTo(id.startsWith("f9") || id.startsWith("f12") ? 15 : 25);
        assertThat(model.dangers().devices()).as("what each thing is").isNotEmpty();
    }

    /** For every fault that opens one conductor: the walks by their own proposals end at a bracket with that conductor in it. */
    @ParameterizedTest
    @CsvSource({"f14-rooftop, detector-dirty, supply.unit-board, smoke-contact", "f14-rooftop, jumper-missing, supply.unit-board, sd2-jumper",
        "f14-rooftop, pin-permission, supply.unit-board, p1-1", "f14-rooftop, monitor-dead, supply.unit-board, pm-contact",
        "f1-furnace, limit-failed, input.limit, limit", "f1-furnace, pin-draft, input.draft, p1-4",
        "f1-furnace, fuse-open, supply.board, fuse", "f12-minisplit, terminal-3-loose, supply.outdoor-board, t3-pin"})
    void walkBracketsThePointWhereTheVoltageStops(String id, String fault, String chainId, String element) {
        Compiled unit = Compiled.of(id);
        Chain chain = Chain.of(unit.pack()).stream().filter(c -> c.id().equals(chainId)).findFirst().orElseThrow();
        Diagnosis d = unit.lamps(fault);
        int steps = 0;
        for (ChainWalk walk = ChainWalk.of(chain, d); walk.next().isPresent(); walk = ChainWalk.of(chain, d)) {
            d = d.and(lowImpedance(unit, fault, chain, walk.next().getAsInt()));
            assertThat(++steps).isLessThanOrEqualTo(chain.readings().size());
        }
        assertThat(ChainWalk.of(chain, d).bracketed()).contains(element);
    }

    /** A reading at a point of the chain on low impedance, where nothing is a ghost. */
    private static Observation lowImpedance(Compiled unit, String fault, Chain chain, int place) {
        var reading = chain.readings().get(place);
        var mode = bricksignal.core.circuit.solve.MeterMode.AC_VOLTS_LOW_Z;
        var test = unit.pack().catalogue().free(mode, (bricksignal.core.unit.Place.Across) reading.place(), reading.moment(), reading.setup());
        double value = unit.pack().unit(unit.place(fault)).read(test,
                unit.pack().model().moment(test.moment()).scenario(), unit.pack().catalogue().seconds(test.moment())).value();
        return new Observation.Reading(test, value);
    }

    @Test
    void whenEveryPlaceIsAsLikelyTheWalkGoesByHalves() {
        Compiled unit = Compiled.of("f14-rooftop");
        Chain chain = Chain.of(unit.pack()).stream().filter(c -> c.id().equals("supply.unit-board")).findFirst().orElseThrow();
        assertThat(chain.readings()).hasSizeGreaterThanOrEqualTo(6);
        ChainWalk dark = ChainWalk.of(chain, unit.lamps("detector-dirty"));
        assertThat(dark.next()).isPresent();
        assertThat(chain.net(dark.next().getAsInt())).as("neither the far detector first nor an end of the chain")
                .isNotIn("SDO", "SEC", "PERM");
    }

    @Test
    void darkBoardWithItsSupplyWireAndAnOpenDetectorIsNotABadBoard() {
        // common practice: 27 V on the supply wire, the permission missing
        Compiled unit = Compiled.of("f14-rooftop");
        assertThat(unit.shows("detector-dirty", "v.VR.standby")).isCloseTo(27.6, within(0.3));
        assertThat(unit.at("detector-dirty", "found").unit().powered()).doesNotContain("unit-board");
        Diagnosis d = unit.lamps("detector-dirty").and(unit.exact("detector-dirty", unit.pack().catalogue().test("v.VR.standby")))
                .and(unit.exact("detector-dirty", unit.pack().catalogue().test("v.PERM.standby")));
        double boards = 0;
        for (var h : unit.pack().space().faults()) {
            boards += h.part().id().equals("unit-board") ? d.belief(h.id()) : 0;
        }
        assertThat(boards).isLessThan(0.01);
    }

    @Test
    void allUnitsOfARoofAlikeIsASharedCause() {
        Compiled unit = Compiled.of("f14-rooftop");
        Diagnosis alone = unit.lamps("fire-alarm");
        Diagnosis alike = alone.and(new Observation.Twin(true)).and(new Observation.Twin(true));
        Diagnosis single = alone.and(new Observation.Twin(false));
        HypothesisId alarm = unit.place("fire-alarm");
        HypothesisId dirty = unit.place("detector-dirty");
        assertThat(alone.belief(alarm)).isLessThan(alone.belief(dirty));
        assertThat(alike.belief(alarm)).isGreaterThan(10 * alike.belief(dirty));
        assertThat(single.belief(dirty)).isGreaterThan(10 * single.belief(alarm));
        assertThat(single.possible(unit.pack().catalogue().test("swap.ignition-board"))).isTrue();
        assertThat(alike.possible(unit.pack().catalogue().test("swap.ignition-board"))).isFalse();
    }

    @Test
    void afterAResetNoCodeDoesNotMeanNoFault() {
        Compiled unit = Compiled.of("f1-furnace");
        Map<LampPattern, Double> ready = Map.of(LampPattern.HEARTBEAT, 1.0);
        Diagnosis found = Diagnosis.of(unit.pack(), List.of(new Observation.Lamp("board", ready, false)));
        Diagnosis reset = Diagnosis.of(unit.pack(), List.of(new Observation.Lamp("board", ready, true)));
        HypothesisId igniter = unit.place("igniter-open");
        assertThat(reset.belief(igniter)).isGreaterThan(1.5 * found.belief(igniter));
    }

    @ParameterizedTest
    @CsvSource({"27, NOMINAL", "14, GHOST", "0.2, MISSING"})
    void twentyFourVoltsAreNotTakenLiterally(double value, Judgement.Kind kind) {
        // common practice: 27 V is as it should be, 14 V on an open conductor is a ghost
        var pack = Compiled.of("f1-furnace").pack();
        var test = (bricksignal.core.unit.Test.Reading) pack.catalogue().test("v.R.standby");
        assertThat(Judgement.of(pack, new Observation.Reading(test, value)).kind()).isEqualTo(kind);
    }

    @Test
    void minusSignOnDirectVoltsIsOnlySwappedLeads() {
        var pack = Compiled.of("f9-airhandler").pack();
        var test = (bricksignal.core.unit.Test.Reading) pack.catalogue().test("v.DC.call");
        assertThat(Judgement.of(pack, new Observation.Reading(test, -12.6)).kind()).isEqualTo(Judgement.Kind.SWAPPED);
    }

    @Test
    void chainsAreDerivedForEveryBoardThatIsFedByConductors() {
        List<String> ids = new ArrayList<>();
        Chain.of(Compiled.of("f1-furnace").pack()).forEach(c -> ids.add(c.id()));
        assertThat(ids).contains("line.transformer", "supply.board", "input.limit", "input.draft", "input.W");
    }
}
