package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class PairSearchTest {

    private static final int MOST = 64;

    private final HypothesisSpace space = new HypothesisSpace(ChainUnit.model(14, 0));

    /** The definition, without any shortcut: every two faults of different parts whose bound is no less than a share of all. */
    private List<Double> byDefinition(List<double[]> columns, double[] posterior) {
        double least = Math.log(4e-3) + Math.log(java.util.Arrays.stream(posterior).map(Math::exp).sum());
        List<Double> bounds = new ArrayList<>();
        List<Hypothesis> faults = space.faults();
        for (int a = 0; a < faults.size(); a++) {
            for (int b = a + 1; b < faults.size(); b++) {
                double bound = Math.log(2 * 0.03 * faults.get(a).prior() * faults.get(b).prior());
                for (double[] column : columns) {
                    bound += Math.max(column[a], column[b]);
                }
                boolean possible = !faults.get(a).part().equals(faults.get(b).part())
                        && !faults.get(a).nothing() && !faults.get(b).nothing();
                if (possible && bound > least) {
                    bounds.add(bound);
                }
            }
        }
        bounds.sort(Comparator.reverseOrder());
        return bounds.subList(0, Math.min(MOST, bounds.size()));
    }

    @Property(tries = 200)
    void shortcutsLoseNoPair(@ForAll @IntRange(min = 2, max = 9) int readings, @ForAll long seed) {
        Random random = new Random(seed);
        List<double[]> columns = new ArrayList<>();
        double[] posterior = space.considered().stream().mapToDouble(h -> Math.log(h.prior())).toArray();
        for (int i = 0; i < readings; i++) {
            double[] column = new double[posterior.length];
            for (int h = 0; h < column.length; h++) {
                column[h] = Math.log(random.nextInt(3) == 0 ? 1.5 * random.nextDouble() : 1e-3);
                posterior[h] += column[h];
            }
            columns.add(column);
        }
        List<PairSearch.Candidate> found = PairSearch.of(space, columns, posterior);
        List<Double> expected = byDefinition(columns, posterior);
        assertThat(found).hasSameSizeAs(expected);
        for (int i = 0; i < expected.size(); i++) {
            assertThat(found.get(i).logBound()).isCloseTo(expected.get(i), within(1e-9));
        }
    }

    @Test
    void oneObservationNeedsNoPair() {
        double[] column = new double[space.considered().size()];
        assertThat(PairSearch.of(space, List.of(column), column)).isEmpty();
    }

    @Test
    void pairThatExplainsWhatNoSingleFaultDoesIsFound() {
        int size = space.considered().size();
        double[] first = new double[size];
        double[] second = new double[size];
        java.util.Arrays.fill(first, Math.log(1e-4));
        java.util.Arrays.fill(second, Math.log(1e-4));
        first[2] = 0;
        second[5] = 0;
        double[] posterior = new double[size];
        for (int h = 0; h < size; h++) {
            posterior[h] = Math.log(space.considered().get(h).prior()) + first[h] + second[h];
        }
        assertThat(PairSearch.of(space, List.of(first, second), posterior).get(0).pair()).isEqualTo(space.pair("open-3", "open-6"));
    }
}
