package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import java.util.Map;

/** How likely each kind of observation is under the hypothesis at a place, up to a factor that is the same for all. */
final class Likelihoods {

    static final double LAMP_MISREAD = 0.04;

    private static final double TWIN_BY_CHANCE = 0.04;
    private static final double TWIN_BY_SHARED_CAUSE = 0.9;

    private final CompiledPack pack;

    Likelihoods(CompiledPack pack) {
        this.pack = pack;
    }

    double of(Observation observation, int place) {
        if (observation instanceof Observation.Reading reading) {
            return pack.errors().likelihood(reading.test(), pack.prediction(reading.test(), place), reading.value());
        }
        if (observation instanceof Observation.Answer answer) {
            return pack.errors().likelihood((Prediction.Chance) pack.prediction(answer.test(), place), answer.yes());
        }
        if (observation instanceof Observation.Lamp lamp) {
            return lamp(lamp, place);
        }
        if (observation instanceof Observation.Twin twin) {
            double same = pack.hypothesis(place).shared() ? TWIN_BY_SHARED_CAUSE : TWIN_BY_CHANCE;
            return twin.sameSymptom() ? same : 1 - same;
        }
        if (observation instanceof Observation.Event event) {
            return SequenceModel.of(pack, event.channel()).likelihood(event, place);
        }
        if (observation instanceof Observation.NotSeen notSeen) {
            return SequenceModel.of(pack, notSeen.channel()).likelihood(notSeen, place);
        }
        return 1;
    }

    /** Where nothing in the model explains what was found: anything that can be observed at all. */
    double unexplained(Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return pack.errors().likelihoodUnexplained(reading.test(), pack.healthyPrediction(reading.test()), reading.value());
        }
        if (observation instanceof Observation.Lamp lamp) {
            return 1.0 / (1 + lamp.weights().size());
        }
        if (observation instanceof Observation.Event event) {
            return SequenceModel.of(pack, event.channel()).unexplained();
        }
        return observation instanceof Observation.Repaired ? 1 : 0.5;
    }

    private double lamp(Observation.Lamp lamp, int place) {
        Map<LampPattern, Double> shares = lamp.afterReset() ? pack.lampSharesAfterReset(place, lamp.board())
                : pack.lampShares(place, lamp.board());
        double seen = pack.model().chart(lamp.board()).likelihood(shares, lamp.weights());
        return (1 - LAMP_MISREAD) * seen + LAMP_MISREAD / (1 + lamp.weights().size());
    }
}
