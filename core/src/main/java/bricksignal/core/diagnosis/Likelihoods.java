package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How likely each kind of observation is under the hypothesis at a place, up to a factor that is the same for all. */
final class Likelihoods {

    static final double LAMP_MISREAD = 0.04;

    private static final double UNLIKE = 0.15;
    private static final double TWIN_BY_CHANCE = 0.04;
    private static final double TWIN_BY_SHARED_CAUSE = 0.9;

    private final CompiledPack pack;
    private final ErrorModel errors;
    private final double lampMisread;

    private Likelihoods(CompiledPack pack, ErrorModel errors, double lampMisread) {
        this.pack = pack;
        this.errors = errors;
        this.lampMisread = lampMisread;
    }

    /** As the pack expects people to misread. */
    static Likelihoods of(CompiledPack pack) {
        return new Likelihoods(pack, pack.errors(), LAMP_MISREAD);
    }

    /** Where something is the matter that the model does not know: any observation may be unlike what a hypothesis shows. */
    static Likelihoods loose(CompiledPack pack) {
        return new Likelihoods(pack, new ErrorModel(UNLIKE), UNLIKE);
    }

    double of(Observation observation, int place) {
        if (observation instanceof Observation.Reading reading) {
            return errors.likelihood(reading.test(), pack.prediction(reading.test(), place), reading.value());
        }
        if (observation instanceof Observation.Answer answer) {
            return errors.likelihood((Prediction.Chance) pack.prediction(answer.test(), place), answer.yes());
        }
        if (observation instanceof Observation.Lamp lamp) {
            return lamp(lamp, place);
        }
        if (observation instanceof Observation.Twin twin) {
            double same = pack.hypothesis(place).shared() ? TWIN_BY_SHARED_CAUSE : TWIN_BY_CHANCE;
            return twin.sameSymptom() ? same : 1 - same;
        }
        if (observation.ofTheSequence()) {
            return SequenceModel.likelihood(pack, List.of(observation), place);
        }
        return 1;
    }

    /** Logarithm of the likelihood of the last of some observations that belong together, given the others. */
    double log(List<Observation> together, int place) {
        Observation last = together.get(together.size() - 1);
        return Math.log(last.ofTheSequence() ? SequenceModel.likelihood(pack, together, place) : of(last, place));
    }

    /**
     * For each observation those up to it that belong together: what was seen of one watched run, or else it alone. Something seen
     * a second time is of another run.
     */
    static List<List<Observation>> together(List<Observation> observations) {
        List<List<Observation>> together = new ArrayList<>();
        Set<String> edges = new HashSet<>();
        int from = 0;
        for (int i = 0; i < observations.size(); i++) {
            boolean seen = observations.get(i).ofTheSequence();
            String edge = seen ? edge(observations.get(i)) : "";
            if (!seen || edges.isEmpty() || edges.contains(edge)) {
                edges.clear();
                from = i;
            }
            if (seen) {
                edges.add(edge);
            }
            together.add(observations.subList(from, i + 1));
        }
        return together;
    }

    private static String edge(Observation seen) {
        return seen instanceof Observation.Event event ? event.channel() + event.begins()
                : ((Observation.NotSeen) seen).channel() + true;
    }

    private double lamp(Observation.Lamp lamp, int place) {
        Map<LampPattern, Double> shares = lamp.afterReset() ? pack.lampSharesAfterReset(place, lamp.board())
                : pack.lampShares(place, lamp.board());
        double seen = pack.model().chart(lamp.board()).likelihood(shares, lamp.weights());
        return (1 - lampMisread) * seen + lampMisread / (1 + lamp.weights().size());
    }
}
