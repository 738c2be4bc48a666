package bricksignal.core.board.run;

/**
 * A value on its way: {@code target + (from - target) exp(-(t - since) / tau)}.
 *
 * @param from value at {@code since}
 * @param target what it approaches
 * @param tau time constant in seconds, above 0
 * @param since time in seconds
 */
record Motion(double from, double target, double tau, double since) {

    private static final double STILL = 1e-12;

    Motion {
        if (!(tau > 0)) {
            throw new IllegalArgumentException("time constant is " + tau + " s; it must be above 0");
        }
    }

    double at(double time) {
        return target + (from - target) * Math.exp(-(time - since) / tau);
    }

    /** Seconds after {@code time} until the value lies {@code past} beyond {@code level}, the way it goes; infinite if it does not. */
    double secondsUntilPast(double level, double past, double time) {
        return secondsUntil(level + (target > level ? past : -past), time);
    }

    /** Seconds after {@code time} until the value passes {@code level}; infinite if it does not. */
    double secondsUntil(double level, double time) {
        double distance = at(time) - target;
        double remaining = level - target;
        boolean ahead = distance * remaining > 0 && Math.abs(remaining) < Math.abs(distance);
        if (Math.abs(distance) < STILL || !ahead) {
            return Double.POSITIVE_INFINITY;
        }
        return tau * Math.log(distance / remaining);
    }
}
