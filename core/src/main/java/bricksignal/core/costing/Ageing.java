package bricksignal.core.costing;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.List;

/**
 * How often a unit of an age fails: after a repair it is as old as before, so that its faults follow a power law (Crow, Reliability
 * analysis for complex, repairable systems, 1974). The time to the first of them has a Weibull law.
 *
 * @param shape above 0; above 1 where an older unit fails more often
 * @param scaleYears the age by which one fault is expected, years, above 0
 */
public record Ageing(double shape, double scaleYears) {

    public Ageing {
        if (!(shape > 0) || !(scaleYears > 0) || Double.isInfinite(shape) || Double.isInfinite(scaleYears)) {
            throw new Unfit("rate.ageing", new Message.Number(shape), new Message.Number(scaleYears));
        }
    }

    /** A stretch of a unit's life that somebody kept a record of, years of age. */
    public record Stretch(double from, double to) {
        public Stretch {
            if (!(from >= 0) || !(to >= from)) {
                throw new IllegalArgumentException("a stretch from the age of " + from + " to " + to + " years; it must not begin before 0 nor end before it begins");
            }
        }
    }

    /** How many faults are expected between two ages, years. */
    public double faults(double from, double to) {
        Stretch stretch = new Stretch(from, to);
        return Math.pow(stretch.to() / scaleYears, shape) - Math.pow(stretch.from() / scaleYears, shape);
    }

    /** Probability of at least one fault within so many years, for a unit of an age: the conditional unreliability of the Weibull law. */
    public double failsWithin(double age, double years) {
        return -Math.expm1(-faults(age, age + years));
    }

    /**
     * The same after what a company has seen: the shape stays; the rate has a gamma law that counts for so many faults before, and is
     * updated by the faults seen over the stretches (conjugate to Poisson counts).
     *
     * @param worth how many faults of its own this one is worth, above 0
     * @param seen faults in the stretches, at least 0
     */
    public Ageing after(double worth, int seen, List<Stretch> stretches) {
        if (!(worth > 0) || seen < 0) {
            throw new IllegalArgumentException("worth is " + worth + " and seen " + seen + "; worth must be above 0 and seen at least 0");
        }
        double exposure = stretches.stream().mapToDouble(s -> Math.pow(s.to(), shape) - Math.pow(s.from(), shape)).sum();
        double rate = (worth + seen) / (worth * Math.pow(scaleYears, shape) + exposure);
        return new Ageing(shape, Math.pow(rate, -1 / shape));
    }
}
