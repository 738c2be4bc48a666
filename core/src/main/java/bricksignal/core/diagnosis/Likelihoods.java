package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** How likely each kind of observation is under a hypothesis, up to a factor that is the same for all. */
final class Likelihoods {

    static final double LAMP_MISREAD = 0.04;

    private static final double UNLIKE = 0.15;
    private static final double TWIN_BY_CHANCE = 0.04;
    /** Units that stand together age, soil and suffer together: a second one that fails alike says much less than the first (from memory). */
    private static final double FURTHER_TWIN_BY_CHANCE = 0.4;
    private static final double TWIN_BY_SHARED_CAUSE = 0.9;

    /** A board that lets go of outputs lets go of any of them so often (nothing is known of it). */
    private static final double ONE_OF_THEM = 0.5;

    /**
     * A place that does not read as the model has it goes on doing so, so often: the same wrong terminal again, a board or a process that is not the one of the pack (a
     * fifth of all misreads, from memory). So a second reading there excludes a slip and says little else.
     */
    private static final double STAYS_SO = 0.004;

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

    /** How the unit stops is not known. */
    double of(Observation observation, HypothesisId id) {
        return tells(observation) ? Arrays.stream(Stopping.values()).mapToDouble(stopping -> stopping.share() * of(observation, id, stopping)).sum()
                : of(observation, id, Stopping.AS_DECLARED);
    }

    /** True for what depends on how a unit stops; anything else is as likely in each way. */
    static boolean tells(Observation observation) {
        return observation instanceof Observation.Reading || observation instanceof Observation.Lamp
                || observation instanceof Observation.Earlier earlier && tells(earlier.what());
    }

    /** The likelihood of an observation at a unit that stops so. */
    private double of(Observation observation, HypothesisId id, Stopping stopping) {
        if (observation instanceof Observation.Reading reading) {
            double so = errors.likelihood(reading.test(), pack.predictions().of(reading.test(), id, stopping), reading.value());
            return stopping == Stopping.LETS_GO ? ONE_OF_THEM * so + (1 - ONE_OF_THEM) * of(observation, id, Stopping.AS_DECLARED) : so;
        }
        if (observation instanceof Observation.Answer answer) {
            return errors.likelihood((Prediction.Chance) pack.predictions().of(answer.test(), id), answer.yes());
        }
        if (observation instanceof Observation.Lamp lamp) {
            return lamp(lamp, id, stopping);
        }
        if (observation instanceof Observation.Twin twin) {
            return twin(twin, false, id);
        }
        if (observation instanceof Observation.Earlier earlier) {
            return earlier(earlier, id, stopping);
        }
        if (observation instanceof Observation.Died died) {
            return Dying.likelihood(pack, died, pack.space().get(id));
        }
        if (observation instanceof Observation.Visited visited) {
            return History.factor(visited, pack.space().get(id));
        }
        if (observation instanceof Observation.Experience experience) {
            return experience.factor(pack.space().get(id).parts());
        }
        if (observation.ofTheSequence()) {
            return SequenceModel.likelihood(pack, List.of(observation), id);
        }
        return 1;
    }

    /** Logarithm of the likelihood of the last of some observations that belong together, given the others, at a unit that stops so. */
    double log(List<Observation> together, HypothesisId id, Stopping stopping) {
        Observation last = together.get(together.size() - 1);
        if (last instanceof Observation.Twin twin) {
            boolean further = together.subList(0, together.size() - 1).stream().anyMatch(o -> ((Observation.Twin) o).sameSymptom());
            return Math.log(twin(twin, further, id));
        }
        if (last instanceof Observation.Reading && together.size() > 1) {
            return Math.log(readings(together, id, stopping) / readings(together.subList(0, together.size() - 1), id, stopping));
        }
        return Math.log(last.ofTheSequence() ? SequenceModel.likelihood(pack, together, id) : of(last, id, stopping));
    }

    /** Likelihood of readings of one place between which nothing has changed: each by itself as the hypothesis shows it, or all of them otherwise and alike. */
    private double readings(List<Observation> alike, HypothesisId id, Stopping stopping) {
        Observation.Reading first = (Observation.Reading) alike.get(0);
        double asShown = of(first, id, stopping);
        double otherwise = errors.anywhere(first.test(), first.value());
        for (Observation more : alike.subList(1, alike.size())) {
            asShown *= of(more, id, stopping);
            otherwise *= errors.again(first.test(), first.value(), ((Observation.Reading) more).value());
        }
        return (1 - STAYS_SO) * asShown + STAYS_SO * otherwise;
    }

    /** What comes and goes was as likely there then as it is now; what stays need not have been there yet. */
    private double earlier(Observation.Earlier earlier, HypothesisId id, Stopping stopping) {
        double as = of(earlier.what(), id, stopping);
        double there = earlier.when().there();
        return pack.space().get(id).intermittent() ? as : there * as + (1 - there) * of(earlier.what(), pack.space().nothing(), stopping);
    }

    private double twin(Observation.Twin twin, boolean further, HypothesisId id) {
        double chance = further ? FURTHER_TWIN_BY_CHANCE : TWIN_BY_CHANCE;
        double same = pack.space().get(id).shared() ? TWIN_BY_SHARED_CAUSE : chance;
        return twin.sameSymptom() ? same : 1 - same;
    }

    private double lamp(Observation.Lamp lamp, HypothesisId id, Stopping stopping) {
        Predictions predictions = pack.predictions();
        Chart chart = pack.model().chart(lamp.board());
        String call = lamp.call();
        Map<LampPattern, Double> stopped = lamp.afterReset() ? predictions.lampSharesAfterReset(id, lamp.board())
                : call != null ? predictions.lampSharesIn(call, id, lamp.board()) : predictions.lampShares(id, lamp.board());
        Map<LampPattern, Double> before = stopping == Stopping.NOT_YET && !lamp.afterReset() && call == null ? predictions.lampSharesBefore(id, lamp.board()) : stopped;
        double seen = before.equals(stopped) ? chart.likelihood(stopped, lamp.weights()) : chart.likelihoodOnItsWay(before, lamp.weights());
        return (1 - lampMisread) * seen + lampMisread / (1 + lamp.weights().size());
    }
}
