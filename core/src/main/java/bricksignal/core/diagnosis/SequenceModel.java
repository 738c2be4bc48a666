package bricksignal.core.diagnosis;

import bricksignal.core.unit.UnitModel;
import java.util.List;

/**
 * When a channel of the timing diagram begins and ends after the call, under each hypothesis. What a person sees and taps is late
 * by a second or two, and now and then the wrong thing (common practice; from memory). A board of another generation keeps other
 * times than the pack has: a whole run may go at another pace. What comes within seconds of one another is one happening, and where
 * it comes as foretold by nothing, as when a limit opens at another time, all of it does.
 */
public final class SequenceModel {

    private static final double LATE_SECONDS = 0.7;
    private static final double SIGMA_SECONDS = 1.5;
    private static final double SIGMA_SHARE = 0.06;
    /** A miss that is simply wrong. */
    private static final double WRONG = 0.05;
    /** A tap that is, and a happening that comes otherwise than foretold: together as often. */
    private static final double MISTAPPED = WRONG / 2;
    private static final double UNFORETOLD = WRONG / 2;
    /** What is seen so near to one another is one happening: gas that closes, the flame that goes with it. */
    private static final double TOGETHER_SECONDS = 3;
    /** How much slower than the times of the pack a run may go, and how often: half of the boards keep them (from memory). */
    private static final double[] PACES = {1, 0.6, 0.7, 0.8, 0.9, 1.1, 1.25, 1.4, 1.6};
    private static final double AS_LISTED = 0.5;
    /** Who watches from the call on tells of the first time that something comes, so often (from memory); otherwise of any of the times. */
    private static final double FIRST = 0.95;

    private final CompiledPack pack;
    private final UnitModel.Channel channel;

    private SequenceModel(CompiledPack pack, UnitModel.Channel channel) {
        this.pack = pack;
        this.channel = channel;
    }

    /**
     * The times of a channel.
     *
     * @throws IllegalArgumentException if the unit has no such channel
     */
    public static SequenceModel of(CompiledPack pack, String channel) {
        return new SequenceModel(pack, pack.model().channel(channel));
    }

    /** The channels that are on at some time of the usual run of the unit in good order. */
    public static List<UnitModel.Channel> usual(CompiledPack pack) {
        return pack.model().channels().stream().filter(c -> !pack.runs().channel(pack.space().nothing(), c.id()).spans()
                .isEmpty()).toList();
    }

    /** When the call comes in the usual run, seconds. */
    public static double callSeconds(UnitModel model) {
        return model.scenarios().get(0).firstAfterPower();
    }

    /** Seconds after the call at which the channel begins (or ends) under a hypothesis; what runs already begins at 0. */
    public List<Double> edges(HypothesisId hypothesis, boolean begins) {
        return pack.runs().channel(hypothesis, channel.id()).edges(begins);
    }

    /** When something that is expected at a time is late for sure: two and a half standard deviations of a person's tap. */
    public static double lateAfter(double edge) {
        return edge + LATE_SECONDS + 2.5 * (SIGMA_SECONDS + SIGMA_SHARE * edge);
    }

    /**
     * Likelihood of the last thing seen in one watched run given what was seen of it before, under a hypothesis. An intermittent
     * fault was there for the whole of the run or not at all, and a run goes at one pace.
     *
     * @param seen events, and what did not come; at least one
     */
    static double likelihood(CompiledPack pack, List<Observation> seen, HypothesisId id) {
        Hypothesis h = pack.space().get(id);
        Whole present = whole(pack, seen, h.run());
        if (!h.intermittent()) {
            return present.all() / present.before();
        }
        Whole absent = whole(pack, seen, pack.space().nothing());
        return (h.duty() * present.all() + (1 - h.duty()) * absent.all()) / (h.duty() * present.before() + (1 - h.duty()) * absent.before());
    }

    /** Likelihood of what was seen of one run, whatever its pace: all of it, and all but the last. */
    private record Whole(double before, double all) {
    }

    private static Whole whole(CompiledPack pack, List<Observation> seen, HypothesisId run) {
        List<List<Double>> edges = seen.stream().map(one -> one instanceof Observation.Event event
                ? pack.runs().channel(run, event.channel()).edges(event.begins())
                : pack.runs().channel(run, ((Observation.NotSeen) one).channel()).edges(true)).toList();
        double window = pack.model().found().to() - callSeconds(pack.model());
        double all = 0;
        double before = 0;
        for (double pace : PACES) {
            double share = pace == 1 ? AS_LISTED : (1 - AS_LISTED) / (PACES.length - 1);
            double[] each = new double[seen.size()];
            for (int i = 0; i < each.length; i++) {
                each[i] = seen.get(i) instanceof Observation.Event event
                        ? (1 - MISTAPPED) * density(edges.get(i), event.afterCall(), pace) + MISTAPPED / window
                        : notSeen((Observation.NotSeen) seen.get(i), edges.get(i), pace);
            }
            all += share * product(seen, each, each.length, window);
            before += share * product(seen, each, each.length - 1, window);
        }
        return new Whole(before, all);
    }

    /** Likelihood of the first of what was seen at one pace: what was missed one by one, what came happening by happening. */
    private static double product(List<Observation> seen, double[] each, int first, double window) {
        double product = 1;
        boolean[] done = new boolean[first];
        for (int i = 0; i < first; i++) {
            if (done[i]) {
                continue;
            }
            double foretold = each[i];
            double otherwise = 1 / window;
            for (int j = i + 1; j < first; j++) {
                if (!done[j] && together(seen.get(i), seen.get(j))) {
                    done[j] = true;
                    foretold *= each[j];
                    otherwise /= 2 * TOGETHER_SECONDS;
                }
            }
            product *= seen.get(i) instanceof Observation.Event ? (1 - UNFORETOLD) * foretold + UNFORETOLD * otherwise : foretold;
        }
        return product;
    }

    private static boolean together(Observation one, Observation other) {
        return one instanceof Observation.Event a && other instanceof Observation.Event b && Math.abs(a.afterCall() - b.afterCall()) <= TOGETHER_SECONDS;
    }

    /** It was waited for and did not come: right if it would begin later or never. */
    private static double notSeen(Observation.NotSeen notSeen, List<Double> edges, double pace) {
        return (1 - WRONG) * (1 - comes(edges, notSeen.until(), pace)) + WRONG / 2;
    }

    /** Density of a tap: mostly the first of the edges, else any of them; none at all where there is no edge. */
    private static double density(List<Double> edges, double at, double pace) {
        double density = 0;
        for (int i = 0; i < edges.size(); i++) {
            double edge = edges.get(i);
            double share = (1 - FIRST) / edges.size() + (i == 0 ? FIRST : 0);
            double sigma = SIGMA_SECONDS + SIGMA_SHARE * edge * pace;
            double z = (at - edge * pace - LATE_SECONDS) / sigma;
            density += Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI)) * share;
        }
        return density;
    }

    private static double comes(List<Double> edges, double until, double pace) {
        return edges.stream().anyMatch(edge -> edge * pace + LATE_SECONDS < until) ? 1 : 0;
    }
}
