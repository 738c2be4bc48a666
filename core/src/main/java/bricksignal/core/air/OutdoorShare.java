package bricksignal.core.air;

import java.util.Optional;

/**
 * The share of outdoor air in the mixture, and what the damper's actuator is told for it. By mass, with the heat of the water left out as three
 * thermometers see it.
 *
 * @param share 0 to 1
 * @param sigma one standard deviation of it, of the three thermometers
 */
public record OutdoorShare(double share, double sigma) {

    /** One standard deviation of a thermometer in a duct, degrees Fahrenheit (from memory). */
    public static final double THERMOMETER_F = 0.7;

    /** The signal of an actuator: shut, and by how much more it is wide open (common practice: 2 to 10 V DC). */
    private static final double SHUT_VOLTS = 2;
    private static final double RANGE_VOLTS = 8;

    /** Nearer to each other than so many standard deviations outdoor and returned air tell nothing of their mixture. */
    private static final double APART = 5;

    /**
     * From three thermometers. Empty where the air outdoors is too near to the air that returns, or where the mixture lies so far outside of the two that
     * a thermometer must be wrong.
     *
     * @param sigma one standard deviation of a thermometer, above 0; degrees as the temperatures
     */
    public static Optional<OutdoorShare> of(double outdoor, double returned, double mixed, double sigma) {
        if (!(sigma > 0)) {
            throw new IllegalArgumentException("a thermometer errs by " + sigma + "; it must be more than 0");
        }
        double apart = returned - outdoor;
        if (Math.abs(apart) < APART * sigma) {
            return Optional.empty();
        }
        double share = (returned - mixed) / apart;
        double error = sigma / Math.abs(apart) * Math.sqrt(1 + share * share + (1 - share) * (1 - share));
        boolean outside = share < -2 * error || share > 1 + 2 * error;
        return outside ? Optional.empty() : Optional.of(new OutdoorShare(Math.min(1, Math.max(0, share)), error));
    }

    /**
     * The share that makes the mixture as cold as wanted, held between the least that people need and all.
     *
     * @param least 0 to 1
     */
    public static double wanted(double outdoor, double returned, double mixed, double least) {
        if (!(least >= 0 && least <= 1)) {
            throw new IllegalArgumentException("the least share is " + least + "; it must be from 0 to 1");
        }
        double share = returned - outdoor <= 0 ? 1 : (returned - mixed) / (returned - outdoor);
        return Math.min(1, Math.max(least, share));
    }

    /** Volts DC at the actuator for a damper that stands so far open, 0 to 1. */
    public static double volts(double open) {
        if (!(open >= 0 && open <= 1)) {
            throw new IllegalArgumentException("the damper stands " + open + " open; it must be from 0 to 1");
        }
        return SHUT_VOLTS + RANGE_VOLTS * open;
    }
}
