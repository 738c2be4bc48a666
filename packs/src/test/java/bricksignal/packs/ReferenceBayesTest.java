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
import bricksignal.core.diagnosis.Prediction;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Posteriors against a general-purpose library for exact inference in Bayesian networks (aima-core 3.0.0, variable elimination,
 * after Russell and Norvig, Artificial Intelligence: A Modern Approach).
 */
class ReferenceBayesTest {

    @ParameterizedTest
    @CsvSource({"f1-furnace, true, false, true", "f1-furnace, false, false, false", "f14-rooftop, true, true, false",
        "f9-airhandler, false, true, true"})
    void posteriorIsThatOfAGeneralBayesianLibrary(String id, boolean one, boolean two, boolean three) {
        var pack = Compiled.of(id).pack();
        List<bricksignal.core.unit.Test.Check> checks = pack.model().checks().subList(0, 3);
        boolean[] answers = {one, two, three};
        List<Observation> observations = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            observations.add(new Observation.Answer(checks.get(i), answers[i]));
        }
        Diagnosis diagnosis = Diagnosis.of(pack, observations);
        double[] reference = reference(pack, checks, answers);
        // pairs of faults are beyond the network: compare among the single hypotheses
        double singles = 0;
        for (int h = 0; h < reference.length; h++) {
            singles += diagnosis.belief(pack.space().considered().get(h).id());
        }
        for (int h = 0; h < reference.length; h++) {
            Hypothesis hypothesis = pack.space().considered().get(h);
            assertThat(diagnosis.belief(hypothesis.id()) / singles).as(hypothesis.id().text()).isCloseTo(reference[h], within(1e-12));
        }
    }

    private static double[] reference(bricksignal.core.diagnosis.CompiledPack pack, List<bricksignal.core.unit.Test.Check> checks,
            boolean[] answers) {
        int n = pack.space().considered().size();
        Integer[] places = new Integer[n];
        double[] prior = new double[n];
        double total = pack.space().considered().stream().mapToDouble(h -> h.prior()).sum();
        for (int h = 0; h < n; h++) {
            places[h] = h;
            prior[h] = pack.space().considered().get(h).prior() / total;
        }
        RandVar cause = new RandVar("CAUSE", new FiniteIntegerDomain(places));
        FiniteNode root = new FullCPTNode(cause, prior);
        AssignmentProposition[] evidence = new AssignmentProposition[checks.size()];
        for (int i = 0; i < checks.size(); i++) {
            RandVar answer = new RandVar("ANSWER" + i, new BooleanDomain());
            double[] table = new double[2 * n];
            for (int h = 0; h < n; h++) {
                double yes = pack.errors().likelihood((Prediction.Chance) pack.predictions().of(checks.get(i), pack.space().considered().get(h).id()), true);
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
