package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Outcomes;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Nobody is sent to a test while a cheaper one that dares no more splits the living suspects at least as well, to a gauge while a
 * look tells as much for its cost and half as much in all, or to change a part that is hardly suspected. What a test tells is computed here once more, as
 * the entropy of the suspects before less that after it (Shannon 1948).
 *
 * <p>{@code -Dstates=N} takes that many states of each pack in place of a few.
 */
class NoDominatedProposalTest {

    private static final int STATES = Integer.getInteger("states", 40);
    private static final int MOST_OBSERVATIONS = 6;
    private static final double HARDLY = 1e-9;
    private static final double HARDLY_SUSPECTED = 0.03;

    static Stream<String> packs() {
        return Compiled.ids().stream();
    }

    @ParameterizedTest
    @MethodSource("packs")
    void noProposalIsWorseThanAnother(String id) {
        Compiled unit = Compiled.of(id);
        Random random = new Random(id.hashCode());
        Planner planner = Planner.of(unit.pack(), Policy.defaults());
        for (int state = 0; state < STATES; state++) {
            Diagnosis d = somewhere(unit, random);
            List<Proposal> proposals = planner.proposals(d, Stand.AS_FOUND);
            if (proposals.isEmpty()) {
                continue;
            }
            Proposal first = proposals.get(0);
            double told = told(unit.pack(), d, first.test());
            assertThat(proposals).as("%s before what is better, after %s", first.test().id(), d.observations()).noneMatch(other ->
                    isALook(other.test()) && other.cost() < first.cost() - HARDLY && told(unit.pack(), d, other.test()) > told + HARDLY);
            assertThat(proposals).as("a look before the gauge %s, after %s", first.test().id(), d.observations())
                    .noneMatch(other -> isAGauge(first.test()) && isALook(other.test()) && other.cost() < first.cost() - HARDLY
                            && told(unit.pack(), d, other.test()) > told / 2 + HARDLY
                            && told(unit.pack(), d, other.test()) / other.cost() > told / first.cost() + HARDLY);
            assertThat(proposals).as("parts changed for a try").noneMatch(other -> other.test() instanceof Test.Check check
                    && check.sense().changesAPart() && suspected(d, unit.pack().catalogue().changedBy(check)) < HARDLY_SUSPECTED - HARDLY);
        }
    }

    private static boolean isAGauge(Test test) {
        return test instanceof Test.Reading reading && reading.place() instanceof Place.Gauge;
    }

    private static double suspected(Diagnosis d, Part part) {
        return d.hypotheses().stream().filter(h -> d.hypothesis(h).parts().contains(part)).mapToDouble(d::belief).sum();
    }

    private static boolean isALook(Test test) {
        return test instanceof Test.Check check && (check.sense() == Test.Sense.LOOK || check.sense() == Test.Sense.HEAR
                || check.sense() == Test.Sense.SMELL);
    }

    /** A visit under way: some fault, its lamps, and some tests in any order. */
    private static Diagnosis somewhere(Compiled unit, Random random) {
        List<String> faults = unit.faults();
        String fault = faults.get(random.nextInt(faults.size()));
        Diagnosis d = random.nextBoolean() ? unit.lamps(fault) : Diagnosis.of(unit.pack());
        List<Test> tests = unit.pack().catalogue().tests();
        for (int i = random.nextInt(MOST_OBSERVATIONS); i > 0; i--) {
            Test test = tests.get(random.nextInt(tests.size()));
            for (Observation seen : test instanceof Test.Sequence ? List.<Observation>of() : unit.exact(fault, test)) {
                d = d.and(seen);
            }
        }
        return d;
    }

    private static double told(CompiledPack pack, Diagnosis d, Test test) {
        Outcomes outcomes = pack.predictions().outcomes(test);
        List<HypothesisId> alive = d.hypotheses().stream().filter(h -> d.belief(h) > HARDLY).toList();
        double[] before = alive.stream().mapToDouble(d::belief).toArray();
        double after = 0;
        for (int k = 0; k < outcomes.count(); k++) {
            double[] then = new double[before.length];
            double total = 0;
            for (int h = 0; h < then.length; h++) {
                then[h] = before[h] * outcomes.chance(k, alive.get(h));
                total += then[h];
            }
            after += total * entropy(then);
        }
        return entropy(before) - after;
    }

    private static double entropy(double[] weights) {
        double sum = 0;
        for (double weight : weights) {
            sum += weight;
        }
        double bits = 0;
        for (double weight : weights) {
            bits -= weight > 0 ? weight / sum * Math.log(weight / sum) / Math.log(2) : 0;
        }
        return bits;
    }
}
