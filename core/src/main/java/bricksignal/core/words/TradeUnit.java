package bricksignal.core.words;

/**
 * Units in which something is set up or worked out, each with the metric one beside it. All is worked out in those of the trade in North America. Factors by NIST Special
 * Publication 811, appendix B, from memory: those of {@link MeterUnits}, a Btu (IT) of 1055.056 J and a foot of 0.3048 m.
 */
public enum TradeUnit {

    NONE(""), PERCENT("%"), VOLTS("V"), VOLTS_AC("V AC"), VOLTS_DC("V DC"), AMPS("A"), AMPS_AC("A AC"), VA("VA"), MICROFARADS("\u00b5F"), SECONDS("s"), MINUTES("min"), HOURS("h"), PER_HOUR("1/h"),
    YEARS("years"),
    FAHRENHEIT("\u00b0F", "\u00b0C", 1 / MeterUnits.FAHRENHEIT_OF_A_CELSIUS, MeterUnits.FREEZING, 0),
    /** How much warmer or colder one thing is than another. */
    DEGREES_APART("\u00b0F", "\u00b0C", 1 / MeterUnits.FAHRENHEIT_OF_A_CELSIUS, 0, 0),
    BTU_AN_HOUR("Btu/h", "kW", Si.BTU / 3.6e6, 0, 1), CFM("cfm", "L/s", Si.CUBIC_FOOT * 1000 / 60, 0, 0), INCHES_WC("in. w.c.", "Pa", MeterUnits.PASCALS_OF_AN_INCH, 0, 0),
    GPM("gpm", "L/min", MeterUnits.LITRES_OF_A_GALLON, 0, 1), GALLONS_AN_HOUR("gal/h", "L/h", MeterUnits.LITRES_OF_A_GALLON, 0, 1), POUNDS("lb", "kg", MeterUnits.KILOGRAMS_OF_A_POUND, 0, 2), POUNDS_AN_HOUR("lb/h", "kg/h", MeterUnits.KILOGRAMS_OF_A_POUND, 0, 2),
    BTU_A_POUND("Btu/lb", "MJ/kg", Si.BTU * 1e-6 / MeterUnits.KILOGRAMS_OF_A_POUND, 0, 1), BTU_A_CUBIC_FOOT("Btu/cu ft", "MJ/m\u00b3", Si.BTU * 1e-6 / Si.CUBIC_FOOT, 0, 1),
    CUBIC_FEET("cu ft", "m\u00b3", Si.CUBIC_FOOT, 0, 3), FEET("ft", "m", Si.FOOT, 0, 0), FEET_A_SECOND("ft/s", "m/s", Si.FOOT, 0, 1),
    /** Water in dry air; a pound has 7,000 grains. */
    GRAINS_A_POUND("gr/lb", "g/kg", 1 / 7.0, 0, 1),
    /** Heat of moist air: of a pound dry air above 0 \u00b0F, or of a kilogram above 0 \u00b0C ({@link bricksignal.core.air.Changeover#btu}). */
    ENTHALPY("Btu/lb", "kJ/kg", Si.BTU * 1e-3 / MeterUnits.KILOGRAMS_OF_A_POUND, Si.DRY_AIR * MeterUnits.FREEZING / MeterUnits.FAHRENHEIT_OF_A_CELSIUS / Si.BTU * MeterUnits.KILOGRAMS_OF_A_POUND, 1);

    /** What no meter mode has. */
    private static final class Si {
        private static final double BTU = 1055.056;
        private static final double FOOT = 0.3048;
        /** Joules that a kilogram of dry air takes up a degree (ASHRAE Fundamentals, psychrometrics). */
        private static final double DRY_AIR = 1006;
        private static final double CUBIC_FOOT = FOOT * FOOT * FOOT;
    }

    private final String us;
    private final String metric;
    private final double factor;
    private final double shift;
    private final int decimals;

    TradeUnit(String same) {
        this(same, same, 1, 0, -1);
    }

    TradeUnit(String us, String metric, double factor, double shift, int decimals) {
        this.us = us;
        this.metric = metric;
        this.factor = factor;
        this.shift = shift;
        this.decimals = decimals;
    }

    /** How it is written for a person with these units. */
    public String sign(Measures measures) {
        return measures == Measures.US ? us : metric;
    }

    /** A value in this unit, in that of these. */
    public double shown(Measures measures, double value) {
        return measures == Measures.US ? value : (value - shift) * factor;
    }

    /** A number that a person with these units typed, in this unit. */
    public double taken(Measures measures, double typed) {
        return measures == Measures.US ? typed : typed / factor + shift;
    }

    /** How many places behind the point are worth showing where so many are in this unit. */
    public int decimals(Measures measures, int ofUs) {
        return measures == Measures.US || decimals < 0 ? ofUs : decimals;
    }
}
