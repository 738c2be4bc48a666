package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.words.Message;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Failures that no list names but the wiring and the physics allow: found out, and in the way of a hasty proof. */
class BeyondTheListTest {

    private static final Compiled F1 = Compiled.of("f1-furnace");
    private static final CompiledPack PACK = F1.pack();

    /** A pack that does not list the fault: what the wiring allows stands in for it, and no listed part is condemned. */
    @ParameterizedTest
    @ValueSource(strings = {"pin-gas", "pin-blower", "transformer-open", "limit-failed", "thermostat-bad", "fuse-open"})
    void faultThatNobodyListedIsNotBlamedOnSomethingElse(String fault) {
        CompiledPack without = without(fault);
        Planner planner = Planner.of(without, Policy.defaults());
        Diagnosis d = Diagnosis.of(without, F1.lamps(fault).observations());
        Stand standing = Stand.AS_FOUND;
        Advice advice = Advice.of(d, planner, standing);
        for (int i = 0; i < 40 && !advice.done() && d.unexplained() <= ProofGate.UNEXPLAINED; i++) {
            var test = advice.proposals().get(0).test();
            standing = standing.after(test);
            d = d.and(F1.exact(fault, test));
            advice = Advice.of(d, planner, standing);
        }
        Verdict verdict = ProofGate.verdict(d);
        if (verdict.status() == Verdict.Status.PROVEN) {
            assertThat(without.space().get(verdict.leader()).parts()).as("a half failure of the same part stands for it")
                    .contains(PACK.model().part(PACK.model().fault(fault).part()));
            return;
        }
        assertThat(verdict.status()).isEqualTo(Verdict.Status.UNEXPLAINED);
        var effects = PACK.model().fault(fault).effects();
        assertThat(verdict.unlisted()).as("%s among %s", fault, verdict.unlisted().stream()
                .map(h -> without.space().get(h).label()).toList())
                .anyMatch(h -> without.space().get(h).fault().effects().equals(effects));
    }

    private static List<HypothesisId> unlisted() {
        return PACK.runs().unlisted().stream().map(Hypothesis::id).toList();
    }

    private static CompiledPack without(String fault) {
        return CompiledPack.of(PACK.model().withFaults(PACK.model().faults().stream().filter(f -> !f.effects().containsAll(
                PACK.model().fault(fault).effects())).toList()),
                ErrorModel.defaults());
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void everyUnlistedFailureDoesSomethingAndNoneIsListed(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        assertThat(pack.runs().unlisted()).hasSizeGreaterThan(5);
        for (Hypothesis unlisted : pack.runs().unlisted()) {
            assertThat(pack.runs().fails(unlisted.id())).as(unlisted.id().text()).isTrue();
            assertThat(pack.model().faults()).noneMatch(f -> f.effects().equals(unlisted.fault().effects()));
            assertThat(unlisted.prior()).isLessThan(0.002);
        }
    }

    @Test
    void rivalThatExplainsAsMuchMustBeRuledOutBeforeAPartIsProven() {
        Diagnosis d = Diagnosis.of(without("pin-inducer"), F1.lamps("inducer-seized").observations());
        for (String test : new String[] {"v.IND.purge", "draft-gauge", "ohms-inducer"}) {
            d = d.and(F1.exact("pin-inducer", PACK.catalogue().test(test)));
        }
        Verdict verdict = ProofGate.verdict(d);
        assertThat(verdict.leader().text()).isEqualTo("inducer-seized");
        assertThat(verdict.status()).isNotEqualTo(Verdict.Status.PROVEN);
        assertThat(verdict.items()).anyMatch(item -> !item.proven() && !item.tests().isEmpty());
    }

    /** What is listed is not called unexplained, whatever of it was seen. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void listedFaultsExplainWhatTheyShow(String id) {
        Compiled unit = Compiled.of(id);
        for (String fault : unit.faults()) {
            Diagnosis d = unit.lamps(fault);
            for (var test : unit.pack().catalogue().tests().subList(0, 12)) {
                d = d.and(unit.exact(fault, test));
            }
            assertThat(d.unexplained()).as(fault).isBetween(0.0, 0.3);
        }
    }

    /** Odds of an unlisted failure are its prior times its likelihood over the evidence of the list: by hand for two readings. */
    @Test
    void oddsFollowBayesRule() {
        Diagnosis d = Diagnosis.of(PACK, List.of()).and(F1.exact("igniter-open", PACK.catalogue().test("v.HSI.warm-up")))
                .and(F1.exact("igniter-open", PACK.catalogue().test("see-glow")));
        double evidence = 0;
        for (HypothesisId h : d.hypotheses()) {
            evidence += PACK.space().get(h).prior() * d.likelihood(d.observations().get(0), h)
                    * d.likelihood(d.observations().get(1), h);
        }
        for (HypothesisId place : unlisted()) {
            double odds = PACK.space().get(place).prior() * d.likelihood(d.observations().get(0), d.now(place))
                    * d.likelihood(d.observations().get(1), d.now(place)) / evidence;
            assertThat(d.unlisted().get(place)).isCloseTo(odds, withPercentage(0.01));
        }
        assertThat(List.copyOf(d.unlisted().values())).isSortedAccordingTo(Comparator.reverseOrder());
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void labelsAreUniqueAndPriorsSumToTheirShare(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        List<String> ids = pack.runs().unlisted().stream().map(h -> h.id().text()).toList();
        assertThat(ids).doesNotHaveDuplicates();
        assertThat(pack.runs().unlisted().stream().mapToDouble(Hypothesis::prior).sum()).isBetween(Math.min(0.019, 0.00149 * ids.size()), 0.021);
        assertThat(pack.runs().unlisted()).allSatisfy(h -> assertThat(((Message.Keyed) h.label()).parts())
                .noneMatch(part -> part instanceof Message.Said said && (said.text().isBlank() || said.text().contains("null"))));
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void timesOfABoardAreSetAndDoNotFail(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        assertThat(pack.runs().unlisted().stream().map(h -> h.fault().effects().get(0))
                .filter(Effect.OnParameter.class::isInstance).map(e -> ((Effect.OnParameter) e).parameter()))
                .noneMatch(parameter -> parameter.endsWith("-time") || parameter.endsWith("-delay"));
    }

    /** A repaired part leaves what nobody listed as it was. */
    @Test
    void repairDoesNotMendWhatIsNotListed() {
        HypothesisId place = unlisted().get(0);
        assertThat(Diagnosis.of(PACK, List.of(new Observation.Repaired("igniter"), new Observation.Repaired("board"))).now(place)).isEqualTo(Diagnosis.of(PACK, List.of()).now(place));
    }

    @ParameterizedTest
    @CsvSource({"v.IND.purge", "see-glow", "watch.sequence", "ohms-igniter", "reseat-P3", "new.igniter"})
    void outcomesOfATestHoldForUnlistedFailuresToo(String test) {
        var outcomes = PACK.predictions().outcomes(PACK.catalogue().test(test));
        for (HypothesisId place : unlisted()) {
            double sum = 0;
            for (int k = 0; k < outcomes.count(); k++) {
                sum += outcomes.chance(k, place);
            }
            assertThat(sum).isCloseTo(1, within(1e-9));
            assertThat(outcomes.common(place, PACK.space().nothing())).isBetween(0.0, 1.0 + 1e-9);
        }
    }

    /**
     * A failure without a size reads as the circuit says; one with a size does so or is spread, for nobody knows how far it has gone:
     * half the way it takes the reading is the spread.
     */
    @Test
    void spreadOfAnUnlistedFailureIsItsUnknownSize() {
        for (HypothesisId place : unlisted()) {
            Effect effect = PACK.space().get(place).fault().effects().get(0);
            for (var reading : PACK.model().readings()) {
                Prediction.Number asRun = PACK.errors().spread(reading, PACK.unit(place).read(reading,
                        PACK.model().moment(reading.moment()).scenario(), PACK.catalogue().seconds(reading.moment())));
                var nominal = (Prediction.Number) PACK.predictions().nominal(reading);
                boolean moved = !Double.isInfinite(asRun.mean()) && !Double.isInfinite(nominal.mean()) && !asRun.equals(nominal);
                Prediction shown = PACK.predictions().of(reading, place);
                if (moved && effect instanceof Effect.OnParameter) {
                    assertThat(shown).isInstanceOfSatisfying(Prediction.Sometimes.class, either -> {
                        assertThat(either.present()).isEqualTo(asRun);
                        assertThat(either.absent().mean()).isEqualTo(asRun.mean());
                        assertThat(either.absent().sigma()).isGreaterThanOrEqualTo(Math.abs(asRun.mean() - nominal.mean()) / 2);
                    });
                } else if (effect instanceof Effect.OnElement on && on.mode() == Effect.Mode.OPEN) {
                    assertThat(shown).isEqualTo(asRun);
                }
            }
        }
    }

    /** Test cords and jumpers that nobody put in cannot be open; every closed contact can. */
    @Test
    void onlyWhatIsClosedAtSomeTimeCanOpen() {
        for (HypothesisId place : unlisted()) {
            if (PACK.space().get(place).fault().effects().get(0) instanceof Effect.OnElement on && on.mode() == Effect.Mode.OPEN
                    && PACK.model().machine().circuit().element(on.element()) instanceof Element.Conductor) {
                assertThat(PACK.model().watchedScenarios().stream().flatMap(run -> PACK.nominal().run(run.id()).intervals().stream())).anyMatch(interval -> ((Element.Conductor) interval.unit().solution()
                        .circuit().element(on.element())).closed());
            }
        }
    }
}
