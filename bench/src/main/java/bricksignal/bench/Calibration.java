package bricksignal.bench;

import bricksignal.core.diagnosis.proof.ProofGate;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Whether verdicts are right as often as they say: among those given about p, the share that was right. Below {@link
 * ProofGate#ENOUGH} no verdict is given; what was likeliest then is shown beside it.
 */
final class Calibration {

    private static final double[] FROM = {0, 0.8, ProofGate.ENOUGH, 0.99};
    private static final double[] TO = {0.8, ProofGate.ENOUGH, 0.99, 1.0000001};

    private final double[] weight = new double[FROM.length];
    private final double[] said = new double[FROM.length];
    private final double[] right = new double[FROM.length];
    private final int[] runs = new int[FROM.length];

    void add(Outcome outcome, double prior) {
        for (int i = 0; i < FROM.length; i++) {
            if (outcome.probability() >= FROM[i] && outcome.probability() < TO[i]) {
                runs[i]++;
                weight[i] += prior;
                said[i] += prior * outcome.probability();
                right[i] += outcome.right() ? prior : 0;
            }
        }
    }

    Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        for (int i = 0; i < FROM.length; i++) {
            if (runs[i] > 0) {
                figures.put(FROM[i] + " to " + Math.min(1, TO[i]), Map.of("runs", runs[i], "said", said[i] / weight[i], "right",
                        right[i] / weight[i], "share", weight[i] / total()));
            }
        }
        return figures;
    }

    void print() {
        for (int i = 0; i < FROM.length; i++) {
            if (runs[i] > 0) {
                System.out.printf("calibration %.2f to %.2f: %5d %s (%.1f %% by weight), said %.3f, right %.3f%n", FROM[i],
                        Math.min(1, TO[i]), runs[i], FROM[i] < ProofGate.ENOUGH ? "left undecided" : "verdicts",
                        100 * weight[i] / total(), said[i] / weight[i], right[i] / weight[i]);
            }
        }
    }

    private double total() {
        double total = 0;
        for (double w : weight) {
            total += w;
        }
        return total;
    }
}
