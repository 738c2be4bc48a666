package bricksignal.core.air;

import java.util.Locale;

/**
 * When air outdoors no longer cools for nothing. Limits by climate zone after ASHRAE Standard 90.1, table 6.5.1.1.3, from memory: the code in force and the
 * maker come first.
 */
public enum Changeover {
    /** By its temperature against a limit. */
    DRY_BULB,
    /** By its temperature against that of the air that returns. */
    DIFFERENTIAL_DRY_BULB,
    /** By its heat against a limit, and never above 75 °F. */
    ENTHALPY,
    /** By its heat against that of the air that returns, and never above 75 °F. */
    DIFFERENTIAL_ENTHALPY;

    private static final double MOST_F = 75;
    private static final double MOIST_MIDDLE_F = 70;
    private static final double MOIST_WARM_F = 65;
    /** 28 Btu a pound of dry air above 0 °F. */
    private static final double MOST_BTU = 28;

    /** Btu a pound in joule a kilogram, and the joules of dry air between 0 °F, where that scale begins, and 0 °C. */
    private static final double JOULES_OF_BTU = 2326;
    private static final double FROM_ZERO_F = 1006 * 160.0 / 9;

    /**
     * Whether the air outdoors is good enough, and if not what speaks against it.
     *
     * @param free true if it is
     * @param by the limit that it was held against
     */
    public record Judgement(boolean free, By by) {
    }

    /** What the air was held against. */
    public enum By {
        /** The limit of temperature. */
        TEMPERATURE,
        /** The limit of heat. */
        HEAT,
        /** The temperature of the air that returns. */
        RETURN_TEMPERATURE,
        /** The heat of the air that returns. */
        RETURN_HEAT
    }

    /**
     * The limit of temperature of a fixed changeover, degrees Fahrenheit.
     *
     * @param zone 1A to 8
     * @throws IllegalArgumentException if it is no climate zone
     */
    public static double limitF(String zone) {
        switch (zone.trim().toUpperCase(Locale.ROOT)) {
            case "1A", "2A", "3A", "4A":
                return MOIST_WARM_F;
            case "5A", "6A":
                return MOIST_MIDDLE_F;
            case "1B", "2B", "3B", "3C", "4B", "4C", "5B", "5C", "6B", "7", "8":
                return MOST_F;
            default:
                throw new IllegalArgumentException("'" + zone + "' is no climate zone; they go from 1A to 8");
        }
    }

    /**
     * Whether energy codes allow this changeover in a climate: a comparison of temperatures alone lets damp air in where it is damp (ASHRAE 90.1 table 6.5.1.1.3,
     * from memory).
     *
     * @param zone as {@link #limitF} takes it
     */
    public boolean allowed(String zone) {
        return this != DIFFERENTIAL_DRY_BULB || limitF(zone) > MOIST_WARM_F;
    }

    /** Enthalpy in Btu a pound of dry air above 0 °F. */
    public static double btu(MoistAir air) {
        return (air.enthalpyJ() + FROM_ZERO_F) / JOULES_OF_BTU;
    }

    /**
     * Holds the air outdoors against this changeover.
     *
     * @param zone as {@link #limitF} takes it
     */
    public Judgement judge(MoistAir outdoor, MoistAir returned, String zone) {
        double outdoorF = Degrees.fahrenheit(outdoor.dryBulbC());
        switch (this) {
            case DRY_BULB:
                return new Judgement(outdoorF <= limitF(zone), By.TEMPERATURE);
            case DIFFERENTIAL_DRY_BULB:
                return new Judgement(outdoor.dryBulbC() <= returned.dryBulbC(), By.RETURN_TEMPERATURE);
            case ENTHALPY:
                return outdoorF > MOST_F ? new Judgement(false, By.TEMPERATURE) : new Judgement(btu(outdoor) <= MOST_BTU, By.HEAT);
            default:
                return outdoorF > MOST_F ? new Judgement(false, By.TEMPERATURE)
                        : new Judgement(outdoor.enthalpyJ() <= returned.enthalpyJ(), By.RETURN_HEAT);
        }
    }
}
