package bricksignal.core.diagnosis.chain;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Judgement;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * A walk along a chain: what was read at which point, between which points the voltage stops, and the point to go to next.
 * The voltage stops at one place at most, so this is a search in a row; the next point is that of the cheapest search tree
 * for the seconds that the points take to reach and the probability of each place (Knuth, Optimum binary search trees, 1971,
 * with the weights on the gaps and a cost for each point).
 */
public final class ChainWalk {

    private static final double NEGLIGIBLE = 1e-6;
    private static final double STAND_SECONDS = 4;

    private final Chain chain;
    private final CompiledPack pack;
    private final Diagnosis diagnosis;
    private final double[] gap;
    private final List<Mark> marks = new ArrayList<>();
    private int lastLive = -1;
    private int firstDead;

    private ChainWalk(Chain chain, Diagnosis diagnosis) {
        this.chain = chain;
        this.pack = diagnosis.pack();
        this.diagnosis = diagnosis;
        this.firstDead = chain.readings().size();
        this.gap = gaps();
        read();
    }

    /** What a reading at a point of the chain says. */
    public enum Mark {
        /** Nobody was there yet. */
        UNKNOWN,
        /** The voltage is here. */
        LIVE,
        /** It is gone. */
        DEAD,
        /** Between: an open conductor beside a live one may show it on high impedance. Repeat on low impedance. */
        GHOST
    }

    public static ChainWalk of(Chain chain, Diagnosis diagnosis) {
        return new ChainWalk(chain, diagnosis);
    }

    public Chain chain() {
        return chain;
    }

    /** What was read at each point, in the order of the chain. */
    public List<Mark> marks() {
        return List.copyOf(marks);
    }

    /** Probability that the chain is interrupted somewhere, by what is known. */
    public double interrupted() {
        double sum = 0;
        for (int i = 0; i < gap.length - 1; i++) {
            sum += gap[i];
        }
        return sum;
    }

    /** The last point known to be live, as a place in the chain; empty where none is. */
    public OptionalInt lastLive() {
        return lastLive < 0 ? OptionalInt.empty() : OptionalInt.of(lastLive);
    }

    /** The first point known to be dead; empty where none is. */
    public OptionalInt firstDead() {
        return firstDead == chain.readings().size() ? OptionalInt.empty() : OptionalInt.of(firstDead);
    }

    /** True when the voltage stops between two neighbours, or the whole chain is live. */
    public boolean done() {
        return firstDead - lastLive <= 1;
    }

    /** The point to go to next; empty when the walk is done. */
    public OptionalInt next() {
        if (done()) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(search());
    }

    /** What lies between the last live point and the first dead one: the elements that can be open. */
    public List<String> bracketed() {
        if (firstDead == chain.readings().size() || lastLive < 0) {
            return List.of();
        }
        return chain.between(pack.model(), lastLive, firstDead);
    }

    /** For each gap the probability that the voltage stops before that point; the last is "it does not stop". */
    private double[] gaps() {
        int n = chain.readings().size();
        double[] probability = new double[n + 1];
        for (HypothesisId id : diagnosis.hypotheses()) {
            double duty = pack.space().get(id).duty();
            if (diagnosis.belief(id) > NEGLIGIBLE) {
                probability[stops(id)] += duty * diagnosis.belief(id);
                probability[n] += (1 - duty) * diagnosis.belief(id);
            }
        }
        return probability;
    }

    /** The first point at which a unit with this hypothesis has no voltage, while the fault is there. */
    private int stops(HypothesisId id) {
        int stops = chain.readings().size();
        for (int i = stops - 1; i >= 0; i--) {
            Prediction read = pack.predictions().of(chain.readings().get(i), id);
            double mean = (read instanceof Prediction.Sometimes s ? s.present() : (Prediction.Number) read).mean();
            stops = chain.live(pack, i, mean) ? stops : i;
        }
        return stops;
    }

    private void read() {
        for (int i = 0; i < chain.readings().size(); i++) {
            Mark mark = mark(i);
            marks.add(mark);
            if (mark == Mark.LIVE) {
                lastLive = i;
            }
        }
        for (int i = chain.readings().size() - 1; i > lastLive; i--) {
            if (marks.get(i) == Mark.DEAD) {
                firstDead = i;
            }
        }
    }

    /** By the last reading there with the fixed probe on common; low impedance is believed before high. */
    private Mark mark(int place) {
        Mark mark = Mark.UNKNOWN;
        boolean lowImpedance = false;
        for (Observation observation : diagnosis.observations()) {
            if (observation instanceof Observation.Reading r && at(r, place) && (!lowImpedance
                    || r.test().mode() == MeterMode.AC_VOLTS_LOW_Z)) {
                lowImpedance = r.test().mode() == MeterMode.AC_VOLTS_LOW_Z;
                boolean between = Judgement.mayBeGhost(r.test(), r.value(), pack.predictions().nominalValue(r.test()));
                mark = chain.live(pack, place, r.value()) ? Mark.LIVE : between ? Mark.GHOST : Mark.DEAD;
            }
        }
        return mark;
    }

    private boolean at(Observation.Reading reading, int place) {
        return reading.test().place() instanceof Place.Across across && !reading.test().mode().dead()
                && across.red().equals(chain.net(place)) && across.black().equals(chain.common())
                && reading.test().moment().equals(chain.moment());
    }

    private int search() {
        int n = firstDead - lastLive;
        double[][] cost = new double[n + 1][n + 1];
        int[][] root = new int[n + 1][n + 1];
        for (int length = 2; length <= n; length++) {
            for (int from = 0; from + length <= n; from++) {
                int to = from + length;
                cost[from][to] = Double.POSITIVE_INFINITY;
                double weight = NEGLIGIBLE;
                for (int g = from; g < to; g++) {
                    weight += gap[lastLive + 1 + g];
                }
                for (int split = from + 1; split < to; split++) {
                    double here = weight * seconds(lastLive + split) + cost[from][split] + cost[split][to];
                    if (here < cost[from][to]) {
                        cost[from][to] = here;
                        root[from][to] = split;
                    }
                }
            }
        }
        return lastLive + root[0][n];
    }

    private double seconds(int place) {
        return STAND_SECONDS + pack.model().point(chain.net(place)).seconds();
    }
}
