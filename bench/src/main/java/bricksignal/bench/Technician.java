package bricksignal.bench;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Measures a virtual unit with one fault in it: one percent of meter noise and two misreads in a hundred. */
final class Technician {

    private static final double NOISE = 0.01;
    private static final double MISREAD = 0.02;

    private final CompiledPack pack;
    private final Hypothesis truth;
    private final int place;
    private final Random random;

    Technician(CompiledPack pack, int truth, long seed) {
        this.pack = pack;
        this.place = truth;
        this.truth = pack.hypotheses().get(truth);
        this.random = new Random(seed);
    }

    Hypothesis truth() {
        return truth;
    }

    /** Every lamp of the unit as found. */
    List<Observation> lamps() {
        return pack.model().charts().keySet().stream().map(this::lamp).toList();
    }

    private Observation lamp(String board) {
        List<LampPattern> chart = pack.model().chart(board).patterns();
        LampPattern seen = chart.get(random.nextInt(chart.size()));
        if (random.nextDouble() >= MISREAD) {
            double at = random.nextDouble();
            for (Map.Entry<LampPattern, Double> share : pack.lampShares(place, board).entrySet()) {
                at -= share.getValue();
                if (at <= 0) {
                    seen = share.getKey();
                    break;
                }
            }
        }
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        chart.forEach(pattern -> weights.put(pattern, 0.0));
        weights.put(seen, 1.0);
        return new Observation.Lamp(board, weights, false);
    }

    Observation make(Test test) {
        Moment moment = pack.model().moment(test.moment());
        double at = pack.momentSeconds(test.moment());
        boolean misread = random.nextDouble() < MISREAD;
        if (test instanceof Test.Check check) {
            boolean yes = random.nextDouble() < chance(check, moment, at);
            return new Observation.Answer(check, yes != misread);
        }
        Test.Reading reading = (Test.Reading) test;
        double value = truth.unit().read(reading, moment.scenario(), at).value() * (1 + NOISE * random.nextGaussian());
        return new Observation.Reading(reading, misread ? wrong(reading.mode()) : value);
    }

    /** A check of the process goes by the unit itself, what a check tells of a fault by the pack's probability. */
    private double chance(Test.Check check, Moment moment, double at) {
        Double told = check.tells().get(truth.id());
        if (told != null || check.when() == null) {
            return told == null ? check.otherwise() : told;
        }
        double share = truth.unit().share(check.when(), moment.scenario(), at, moment.span());
        return check.otherwise() + share * (1 - 2 * check.otherwise());
    }

    private double wrong(MeterMode mode) {
        double most = switch (mode) {
            case AC_VOLTS, AC_VOLTS_LOW_Z, DC_VOLTS -> 125;
            case OHMS -> 500;
            case INCHES_WC -> 2;
            case FAHRENHEIT -> 250;
            default -> 15;
        };
        return mode == MeterMode.OHMS && random.nextBoolean() ? Double.POSITIVE_INFINITY : random.nextDouble() * most;
    }
}
