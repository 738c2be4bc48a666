package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.When;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What was so at another time, how a unit dies, and what earlier visits say. Expected values by hand from the definitions. */
class TimeTest {

    private final CompiledPack chain = ChainUnit.of(3, 0.5);
    private final Diagnosis start = Diagnosis.of(chain);

    private static final HypothesisId STAYS = new HypothesisId.Single("open-2");
    private static final HypothesisId SELDOM = new HypothesisId.Intermittent("open-2");

    @Test
    void whatWasSoThenNeedNotBeSoNow() {
        Observation.Reading now = ChainUnit.volts(chain, "n3", 0);
        Observation.Earlier then = new Observation.Earlier(now, When.EARLIER_VISIT);
        double present = start.likelihood(now, STAYS);
        double absent = start.likelihood(now, chain.space().nothing());
        assertThat(start.likelihood(then, STAYS)).isCloseTo(0.6 * present + 0.4 * absent, within(1e-12));
        assertThat(start.likelihood(then, SELDOM)).isCloseTo(start.likelihood(now, SELDOM), within(1e-12));
    }

    /** It was dead last night and has its voltage now: nothing contradicts itself, and what comes and goes is likelier than before. */
    @Test
    void earlierReadingContradictsNothingAndIsNotAnswered() {
        Observation.Reading dead = ChainUnit.volts(chain, "n3", 0);
        Diagnosis both = start.and(List.of(new Observation.Earlier(dead, When.LAST_NIGHT), ChainUnit.volts(chain, "n3", 23.6)));
        assertThat(both.contradictions()).isEmpty();
        assertThat(both.belief(SELDOM)).isGreaterThan(start.belief(SELDOM)).isGreaterThan(2 * both.belief(STAYS));
        assertThat(start.and(new Observation.Earlier(dead, When.LAST_NIGHT)).answered(dead.test())).isFalse();
    }

    /** What was seen before a repair was said tells of the unit with the part in it, although it is told after. */
    @Test
    void earlierIsBeforeTheRepair() {
        Observation.Earlier dead = new Observation.Earlier(ChainUnit.volts(chain, "n3", 0), When.LAST_NIGHT);
        Observation repaired = new Observation.Repaired("wire-2");
        assertThat(start.and(List.of(repaired, dead)).belief(chain.space().nothing()))
                .isCloseTo(start.and(List.of(dead, repaired)).belief(chain.space().nothing()), within(1e-12));
    }

    @Test
    void onlyWhatCanBeOfAnotherTimeIs() {
        assertThatThrownBy(() -> new Observation.Earlier(new Observation.Repaired("wire-1"), When.LAST_NIGHT))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("another time");
        assertThatThrownBy(() -> new Observation.Died(0, null, null)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("more than 0");
        assertThatThrownBy(() -> new Observation.Visited(-1, null, false)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("-1");
    }

    /** The second wire opens while the coil runs: what hangs behind it goes first, what lies before it stays. */
    @Test
    void whatGoesFirstTellsWhereItOpens() {
        Loss loss = chain.runs().loss(STAYS);
        assertThat(loss.goesFirst("n2")).isTrue();
        assertThat(loss.goesFirst("n3")).isTrue();
        assertThat(loss.goesFirst("n1")).isFalse();
        Diagnosis died = start.and(new Observation.Died(8, "n2", "n1"));
        assertThat(died.leader()).isEqualTo(new HypothesisId.Failing("open-2"));
        assertThat(died.belief(died.leader())).isGreaterThan(0.8);
        assertThat(died.answered((Check) chain.catalogue().test("watch.warm"))).as("it may be watched for again").isFalse();
    }

    /** A fault that stays was there from the start: the unit would not have come on. */
    @Test
    void whatNeverComesOnDoesNotDie() {
        Observation.Died died = new Observation.Died(8, null, null);
        assertThat(start.likelihood(died, STAYS)).isCloseTo(0.02 / 60, within(1e-12));
        assertThat(start.likelihood(died, SELDOM)).isCloseTo((0.6 + 0.02) / 60, within(1e-12));
    }

    /** A known onset is a logarithmic normal of 1 about it, and three in ten come at any time of an hour: one that trips early is not thrown out. */
    @Test
    void timeUntilItDiesTellsWhereItIsKnown() {
        CompiledPack onset = CompiledPack.of(withOnset(10), ErrorModel.defaults());
        double at = 0.9 * (0.7 / (10 * Math.sqrt(2 * Math.PI)) + 0.3 / 60) + 0.02 / 60;
        assertThat(Diagnosis.of(onset).likelihood(new Observation.Died(10, null, null), SELDOM)).isCloseTo(at, within(1e-9));
        assertThat(Diagnosis.of(onset).likelihood(new Observation.Died(50, null, null), SELDOM)).isLessThan(at / 3);
        double noClock = start.likelihood(new Observation.Died(1, null, null), SELDOM);
        assertThat(Diagnosis.of(onset).likelihood(new Observation.Died(1, null, null), SELDOM)).as("died after a minute").isGreaterThan(noClock / 3);
    }

    @Test
    void recentCallBackRaisesWhatComesAndGoesAndWhatWasChanged() {
        Observation.Visited today = new Observation.Visited(0, "wire-1", false);
        assertThat(start.likelihood(today, new HypothesisId.Single("open-1"))).isCloseTo(3, within(1e-12));
        assertThat(start.likelihood(today, SELDOM)).isCloseTo(3, within(1e-12));
        assertThat(start.likelihood(today, STAYS)).isEqualTo(1);
        assertThat(start.likelihood(new Observation.Visited(30, "wire-1", false), new HypothesisId.Single("open-1")))
                .isCloseTo(1 + 2 / Math.E, within(1e-12));
        assertThat(start.likelihood(new Observation.Visited(0, null, true), STAYS)).isCloseTo(0.4, within(1e-12));
    }

    /** A part that was changed and did not cure is let go, the longer ago the less. */
    @Test
    void changedWithoutCureLetsThePartGo() {
        HypothesisId changed = new HypothesisId.Single("open-1");
        assertThat(start.likelihood(new Observation.Visited(0, "wire-1", false, true), changed)).isCloseTo(0.05, within(1e-12));
        assertThat(start.likelihood(new Observation.Visited(30, "wire-1", false, true), changed)).isCloseTo(1 - 0.95 / Math.E, within(1e-12));
        assertThat(start.likelihood(new Observation.Visited(0, "wire-1", false, true), STAYS)).isEqualTo(1);
    }

    private static UnitModel withOnset(double minutes) {
        UnitModel model = ChainUnit.model(3, 0.5);
        return model.with(model.faults().stream().map(f -> new bricksignal.core.unit.Fault(f.id(), f.label(), f.kind(), f.part(), f.weight(),
                f.effects(), f.remedy(), f.shared(), f.intermittent(), minutes)).toList(), model.checks());
    }
}
