package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * When a channel of the strip begins and ends after the call, under each hypothesis. What a person sees and taps is late by a
 * second or two, and now and then the wrong thing (common practice; from memory).
 */
public final class SequenceModel {

    private static final double LATE_SECONDS = 0.7;
    private static final double SIGMA_SECONDS = 1.5;
    private static final double SIGMA_SHARE = 0.06;
    private static final double WRONG = 0.05;
    private static final double JUST_BEFORE_SECONDS = 0.05;

    private final CompiledPack pack;
    private final UnitModel.Channel channel;
    private final double call;
    private final double window;
    private final Map<VirtualUnit, List<Double>> begin = new ConcurrentHashMap<>();
    private final Map<VirtualUnit, List<Double>> end = new ConcurrentHashMap<>();

    private SequenceModel(CompiledPack pack, UnitModel.Channel channel) {
        this.pack = pack;
        this.channel = channel;
        this.call = callSeconds(pack.model());
        this.window = pack.model().found().to() - call;
    }

    /**
     * The times of a channel.
     *
     * @throws IllegalArgumentException if the unit has no such channel
     */
    public static SequenceModel of(CompiledPack pack, String channel) {
        return pack.sequence(channel);
    }

    static SequenceModel made(CompiledPack pack, String channel) {
        return new SequenceModel(pack, pack.model().channels().stream().filter(c -> c.id().equals(channel)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("this unit has nothing called '" + channel + "' in its "
                        + "sequence; it has " + pack.model().channels().stream().map(UnitModel.Channel::id).toList())));
    }

    /** The channels that are on at some time of the usual run of the unit in good order. */
    public static List<UnitModel.Channel> usual(CompiledPack pack) {
        return pack.model().channels().stream().filter(c -> pack.healthy().usualRun().firstStretch(c.when()).isPresent()).toList();
    }

    /** When the call comes in the usual run, seconds. */
    public static double callSeconds(UnitModel model) {
        return model.scenarios().get(0).steps().stream().mapToDouble(s -> s.at()).filter(at -> at > 0).findFirst().orElse(0);
    }

    /** True if the channel is on in a unit before the call is placed. */
    boolean runsBefore(VirtualUnit unit) {
        return channel.when().holds(unit.usualRun().at(Math.max(0, call - JUST_BEFORE_SECONDS)).middle());
    }

    /** Seconds after the call at which the channel begins (or ends) in a unit; what runs already begins at 0. */
    public List<Double> edges(VirtualUnit unit, boolean begins) {
        return (begins ? begin : end).computeIfAbsent(unit, run -> List.copyOf(found(run, begins)));
    }

    private List<Double> found(VirtualUnit unit, boolean begins) {
        Expr when = channel.when();
        List<Double> edges = new ArrayList<>();
        if (begins && runsBefore(unit)) {
            edges.add(0.0);
        }
        boolean was = false;
        for (Timeline.Interval interval : unit.usualRun().intervals()) {
            boolean is = when.holds(interval.middle());
            if (is != was && is == begins && interval.start() >= call && interval.start() < call + window) {
                edges.add(interval.start() - call);
            }
            was = is;
        }
        return edges;
    }

    /** When something that is expected at a time is late for sure: two and a half standard deviations of a person's tap. */
    public static double lateAfter(double edge) {
        return edge + LATE_SECONDS + 2.5 * (SIGMA_SECONDS + SIGMA_SHARE * edge);
    }

    /**
     * Likelihood of the last thing seen in one watched run given what was seen of it before, under the hypothesis at a place. A
     * fault that comes and goes was there for the whole of the run or not at all.
     *
     * @param seen events, and what did not come; at least one
     */
    static double likelihood(CompiledPack pack, List<Observation> seen, int place) {
        Hypothesis h = pack.hypothesis(place);
        List<Observation> before = seen.subList(0, seen.size() - 1);
        List<Observation> last = seen.subList(seen.size() - 1, seen.size());
        double lastPresent = likelihood(pack, last, h.unit());
        if (!h.comesAndGoes()) {
            return lastPresent;
        }
        double present = h.duty() * likelihood(pack, before, h.unit());
        double absent = (1 - h.duty()) * likelihood(pack, before, pack.healthy());
        return (present * lastPresent + absent * likelihood(pack, last, pack.healthy())) / (present + absent);
    }

    private static double likelihood(CompiledPack pack, List<Observation> seen, VirtualUnit unit) {
        double product = 1;
        for (Observation one : seen) {
            product *= one instanceof Observation.Event event ? of(pack, event.channel()).likelihood(event, unit)
                    : of(pack, ((Observation.NotSeen) one).channel()).likelihood((Observation.NotSeen) one, unit);
        }
        return product;
    }

    private double likelihood(Observation.Event event, VirtualUnit unit) {
        return (1 - WRONG) * density(edges(unit, event.begins()), event.afterCall()) + WRONG / window;
    }

    /** It was waited for and did not come: right if it would begin later or never. */
    private double likelihood(Observation.NotSeen notSeen, VirtualUnit unit) {
        return (1 - WRONG) * (1 - comes(edges(unit, true), notSeen.until())) + WRONG / 2;
    }

    /** Density of a tap: any of the edges, each as likely; none at all where there is no edge. */
    private static double density(List<Double> edges, double at) {
        double density = 0;
        for (double edge : edges) {
            double sigma = SIGMA_SECONDS + SIGMA_SHARE * edge;
            double z = (at - edge - LATE_SECONDS) / sigma;
            density += Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI)) / edges.size();
        }
        return density;
    }

    private static double comes(List<Double> edges, double until) {
        return edges.stream().anyMatch(edge -> edge + LATE_SECONDS < until) ? 1 : 0;
    }
}
