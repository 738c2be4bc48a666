package bricksignal.core.words;

/**
 * Units in which something is set up or worked out, each with the metric one beside it. All is worked out in those of the trade in North America. Factors by NIST Special
 * Publication 811, appendix B (inch of water at 4 \u00b0C 249.0889 Pa, Btu (IT) 1055.056 J, gallon 3.785412 l, pound 0.45359237 kg, foot 0.3048 m), from memory.
 */
public enum TradeUnit {

    NONE(""), PERCENT("%"), VOLTS("V"), VOLTS_AC("V AC"), AMPS("A"), AMPS_AC("A AC"), VA("VA"), MICROFARADS("\u00b5F"), SECONDS("s"), MINUTES("min"), HOURS("h"), PER_HOUR("1/h"),
    YEARS("years"),
    FAHRENHEIT("\u00b0F", "\u00b0C", 1 / 1.8, 32, 0),
    /** How much warmer or colder one thing is than another. */
    DEGREES_APART("\u00b0F", "\u00b0C", 1 / 1.8, 0, 0),
    BTU_AN_HOUR("Btu/h", "kW", 1055.056 / 3.6e6, 0, 1), CFM("cfm", "L/s", 0.3048 * 0.3048 * 0.3048 * 1000 / 60, 0, 0), INCHES_WC("in. w.c.", "Pa", 249.0889, 0, 0),
    GPM("gpm", "L/min", 3.785412, 0, 1), GALLONS_AN_HOUR("gal/h", "L/h", 3.785412, 0, 1), POUNDS("lb", "kg", 0.45359237, 0, 2), POUNDS_AN_HOUR("lb/h", "kg/h", 0.45359237, 0, 2),
    BTU_A_POUND("Btu/lb", "MJ/kg", 1055.056e-6 / 0.45359237, 0, 1), BTU_A_CUBIC_FOOT("Btu/cu ft", "MJ/m\u00b3", 1055.056e-6 / (0.3048 * 0.3048 * 0.3048), 0, 1),
    CUBIC_FEET("cu ft", "m\u00b3", 0.3048 * 0.3048 * 0.3048, 0, 3), FEET("ft", "m", 0.3048, 0, 0), FEET_A_SECOND("ft/s", "m/s", 0.3048, 0, 1);

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
