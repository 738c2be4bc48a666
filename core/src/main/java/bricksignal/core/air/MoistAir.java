package bricksignal.core.air;

import java.util.function.DoublePredicate;

/**
 * A state of moist air, after ASHRAE Handbook Fundamentals (2017), chapter 1: equations 3 (pressure), 5 and 6 (saturation over ice and water), 20 (humidity
 * ratio), 26 (volume), 30 (enthalpy), 33 and 35 (wet bulb). Valid from -100 to 200 degrees Celsius; over ice below the triple point, where both saturation
 * equations meet.
 *
 * @param dryBulbC degrees Celsius
 * @param humidityRatio kilogram of water a kilogram of dry air, at least 0; above that of saturation it is fog
 * @param pressurePa of the air, above 0
 */
public record MoistAir(double dryBulbC, double humidityRatio, double pressurePa) {

    private static final double TRIPLE_POINT_C = 0.01;
    private static final double FREEZING_C = 0;
    private static final double KELVIN = 273.15;
    private static final double LEAST_C = -100;
    private static final double MOST_C = 200;

    /** Molar mass of water over that of dry air. */
    private static final double WATER_OVER_AIR = 0.621945;
    /** The gas constant of dry air, joule a kilogram and kelvin. */
    private static final double AIR_GAS = 287.042;

    private static final double SEA_LEVEL_PA = 101325;

    /** Halvings until a temperature between two that are 300 degrees apart stands to a billionth. */
    private static final int HALVINGS = 60;

    public MoistAir {
        if (!(dryBulbC >= LEAST_C && dryBulbC <= MOST_C)) {
            throw new IllegalArgumentException("the dry bulb is " + dryBulbC + " °C; it must be from -100 to 200");
        }
        if (!(humidityRatio >= 0) || !(pressurePa > 0) || Double.isInfinite(humidityRatio) || Double.isInfinite(pressurePa)) {
            throw new IllegalArgumentException("the humidity ratio is " + humidityRatio + " and the pressure " + pressurePa
                    + " Pa; the first must be 0 or more and the other above 0");
        }
    }

    /**
     * Air of a relative humidity.
     *
     * @param share 0 to 1
     */
    public static MoistAir ofRelativeHumidity(double dryBulbC, double share, double pressurePa) {
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("the relative humidity is " + share + "; it must be from 0 to 1");
        }
        return new MoistAir(dryBulbC, ratio(share * saturationPa(dryBulbC), pressurePa), pressurePa);
    }

    /**
     * Air of a wet bulb.
     *
     * @param wetBulbC at most the dry bulb; so low that nothing could evaporate any more counts as dry air
     */
    public static MoistAir ofWetBulb(double dryBulbC, double wetBulbC, double pressurePa) {
        if (!(wetBulbC <= dryBulbC)) {
            throw new IllegalArgumentException("the wet bulb is " + wetBulbC + " °C and the dry bulb " + dryBulbC
                    + " °C; the wet bulb is never the warmer one: are they swapped");
        }
        return new MoistAir(dryBulbC, Math.max(0, ratioOfWetBulb(dryBulbC, wetBulbC, pressurePa)), pressurePa);
    }

    /** Pressure of the standard atmosphere at a height in metres above the sea, -5,000 to 11,000. */
    public static double standardPressurePa(double altitudeM) {
        if (!(altitudeM >= -5000 && altitudeM <= 11000)) {
            throw new IllegalArgumentException("the height is " + altitudeM + " m; it must be from -5000 to 11000");
        }
        return SEA_LEVEL_PA * Math.pow(1 - 2.25577e-5 * altitudeM, 5.2559);
    }

    /** Pressure of water vapour that saturates air of a temperature. */
    public static double saturationPa(double celsius) {
        double t = celsius + KELVIN;
        return Math.exp(celsius <= TRIPLE_POINT_C
                ? -5.6745359e3 / t + 6.3925247 - 9.677843e-3 * t + 6.2215701e-7 * t * t + 2.0747825e-9 * t * t * t - 9.484024e-13 * t * t * t * t
                        + 4.1635019 * Math.log(t)
                : -5.8002206e3 / t + 1.3914993 - 4.8640239e-2 * t + 4.1764768e-5 * t * t - 1.4452093e-8 * t * t * t + 6.5459673 * Math.log(t));
    }

    /** Partial pressure of the water in it. */
    public double vapourPa() {
        return pressurePa * humidityRatio / (WATER_OVER_AIR + humidityRatio);
    }

    /** 0 for dry air, 1 for saturated, above for fog. */
    public double relativeHumidity() {
        return vapourPa() / saturationPa(dryBulbC);
    }

    /** Joule a kilogram of dry air, 0 for dry air of 0 degrees Celsius. */
    public double enthalpyJ() {
        return 1000 * (1.006 * dryBulbC + humidityRatio * (2501 + 1.86 * dryBulbC));
    }

    /** Cubic metre a kilogram of dry air. */
    public double volumeM3() {
        return AIR_GAS * (dryBulbC + KELVIN) * (1 + 1.607858 * humidityRatio) / pressurePa;
    }

    /** The temperature at which it would be saturated; -100 for dry air. */
    public double dewPointC() {
        double vapour = vapourPa();
        return halved(LEAST_C, MOST_C, celsius -> saturationPa(celsius) > vapour);
    }

    /** The temperature that water evaporating into it comes to; that of the dry bulb for air that is saturated. */
    public double wetBulbC() {
        return halved(LEAST_C, dryBulbC, celsius -> ratioOfWetBulb(dryBulbC, celsius, pressurePa) > humidityRatio);
    }

    /**
     * Mixed with other air of the same pressure, by mass.
     *
     * @param share of the other in the mixture, 0 to 1
     */
    public MoistAir mixedWith(MoistAir other, double share) {
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("the share is " + share + "; it must be from 0 to 1");
        }
        double ratio = (1 - share) * humidityRatio + share * other.humidityRatio;
        double heat = (1 - share) * enthalpyJ() + share * other.enthalpyJ();
        return new MoistAir((heat / 1000 - 2501 * ratio) / (1.006 + 1.86 * ratio), ratio, pressurePa);
    }

    private static double ratio(double vapourPa, double pressurePa) {
        return WATER_OVER_AIR * vapourPa / (pressurePa - vapourPa);
    }

    private static double ratioOfWetBulb(double dryBulbC, double wetBulbC, double pressurePa) {
        double saturated = ratio(saturationPa(wetBulbC), pressurePa);
        return wetBulbC >= FREEZING_C
                ? ((2501 - 2.326 * wetBulbC) * saturated - 1.006 * (dryBulbC - wetBulbC)) / (2501 + 1.86 * dryBulbC - 4.186 * wetBulbC)
                : ((2830 - 0.24 * wetBulbC) * saturated - 1.006 * (dryBulbC - wetBulbC)) / (2830 + 1.86 * dryBulbC - 2.1 * wetBulbC);
    }

    /** Where a condition begins to hold between two numbers, at the upper one if nowhere before. */
    static double halved(double low, double high, DoublePredicate above) {
        double from = low;
        double to = high;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (from + to) / 2;
            if (above.test(middle)) {
                to = middle;
            } else {
                from = middle;
            }
        }
        return (from + to) / 2;
    }
}
