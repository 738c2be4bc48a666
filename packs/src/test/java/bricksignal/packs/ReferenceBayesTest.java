package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aima.core.probability.CategoricalDistribution;
import aima.core.probability.bayes.FiniteNode;
import aima.core.probability.bayes.exact.EliminationAsk;
import aima.core.probability.bayes.impl.BayesNet;
import aima.core.probability.bayes.impl.FullCPTNode;
import aima.core.probability.domain.BooleanDomain;
import aima.core.probability.domain.FiniteIntegerDomain;
import aima.core.probability.proposition.AssignmentProposition;
import aima.core.probability.util.RandVar;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Posteriors against a general-purpose library for exact inference in Bayesian networks (aima-core 3.0.0, variable elimination,
 * after Russell and Norvig, Artificial Intelligence: A Modern Approach). The likelihoods are worked out here from figures copied out
 * of the pack by hand, not asked of the code under test.
 */
class ReferenceBayesTest {

    /** Of one look, as the furnace's pack declares it, copied by hand: faults that show it, and how often anything else does. */
    private record Look(String id, Map<String, Double> tells, double otherwise) {

        /** Two answers in a hundred are simply wrong, one half of them yes. */
        double yes(Hypothesis hypothesis) {
            double told = hypothesis.faults().stream().filter(f -> tells.containsKey(f.id())).mapToDouble(f -> tells.get(f.id()))
                    .max().orElse(otherwise);
            return 0.98 * told + 0.01;
        }
    }

    private static final List<Look> LOOKS = List.of(
            new Look("see-cap-lead", Map.of("cap-lead-off", 0.95), 0.01),
            new Look("see-igniter", Map.of("igniter-open", 0.7, "igniter-aged", 0.3), 0.03),
            new Look("see-rod", Map.of("rod-coated", 0.85), 0.2),
            new Look("smell-burnt", Map.of("transformer-open", 0.5, "blower-open", 0.3, "inducer-open", 0.3), 0.03));

    @ParameterizedTest
    @CsvSource({"true, false, false, true", "false, true, false, false", "false, false, true, true", "true, true, true, true",
        "false, false, false, false"})
    void posteriorIsThatOfAGeneralBayesianLibrary(boolean lead, boolean igniter, boolean rod, boolean smell) {
        var pack = Compiled.of("f1-furnace").pack();
        boolean[] answers = {lead, igniter, rod, smell};
        List<Observation> observations = new ArrayList<>();
        for (int i = 0; i < answers.length; i++) {
            observations.add(new Observation.Answer((bricksignal.core.unit.Test.Check) pack.catalogue().test(LOOKS.get(i).id()),
                    answers[i]));
        }
        Diagnosis diagnosis = Diagnosis.of(pack, observations);
        List<Hypothesis> considered = pack.space().considered();
        double[] reference = reference(considered, answers);
        // pairs of faults are beyond the network: compare among the others
        double singles = considered.stream().mapToDouble(h -> diagnosis.belief(diagnosis.now(h.id()))).sum();
        for (int h = 0; h < reference.length; h++) {
            Hypothesis hypothesis = considered.get(h);
            assertThat(diagnosis.belief(diagnosis.now(hypothesis.id())) / singles).as(hypothesis.id().text()).isCloseTo(reference[h], within(1e-12));
        }
    }

    private static double[] reference(List<Hypothesis> considered, boolean[] answers) {
        int n = considered.size();
        Integer[] places = new Integer[n];
        double[] prior = new double[n];
        double total = considered.stream().mapToDouble(Hypothesis::prior).sum();
        for (int h = 0; h < n; h++) {
            places[h] = h;
            prior[h] = considered.get(h).prior() / total;
        }
        RandVar cause = new RandVar("CAUSE", new FiniteIntegerDomain(places));
        FiniteNode root = new FullCPTNode(cause, prior);
        AssignmentProposition[] evidence = new AssignmentProposition[answers.length];
        for (int i = 0; i < answers.length; i++) {
            RandVar answer = new RandVar("ANSWER" + i, new BooleanDomain());
            double[] table = new double[2 * n];
            for (int h = 0; h < n; h++) {
                double yes = LOOKS.get(i).yes(considered.get(h));
                table[2 * h] = yes;
                table[2 * h + 1] = 1 - yes;
            }
            new FullCPTNode(answer, table, root);
            evidence[i] = new AssignmentProposition(answer, answers[i]);
        }
        CategoricalDistribution posterior = new EliminationAsk().ask(new RandVar[] {cause}, evidence, new BayesNet(root));
        return posterior.getValues();
    }
}
