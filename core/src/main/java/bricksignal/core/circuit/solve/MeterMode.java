package bricksignal.core.circuit.solve;

/** What the meter is set to. Limits are those of an ordinary service meter (common practice; from memory). */
public enum MeterMode {
    /** Alternating volts on 10 megohms. */
    AC_VOLTS("V AC", 0, 1000, false),
    /** Alternating volts on a low impedance: a ghost vanishes. */
    AC_VOLTS_LOW_Z("V AC LoZ", 0, 1000, false),
    /** Direct volts on 10 megohms; a minus sign means that the leads are swapped. */
    DC_VOLTS("V DC", -1000, 1000, false),
    /** Resistance, only sensible on a dead circuit. */
    OHMS("Ω", 0, 40e6, true),
    /** Direct microamperes in series. */
    DC_MICROAMPS("µA DC", -2000, 2000, false),
    /** Alternating amperes by clamp. */
    CLAMP_AMPS("A AC", 0, 400, false),
    /** Direct amperes by clamp. */
    CLAMP_DC_AMPS("A DC", -400, 400, false),
    /** Capacitance in microfarads, on a dead and disconnected capacitor. */
    MICROFARADS("µF", 0, 2000, true),
    /** Draft or gas pressure, inches of water column. */
    INCHES_WC("in w.c.", -20, 60, false),
    /** Temperature, degrees Fahrenheit. */
    FAHRENHEIT("°F", -60, 2000, false),
    /** Direct millivolts of a thermocouple. */
    MILLIVOLTS("mV DC", -1000, 1000, false),
    /** Pressure of water or refrigerant, pounds per square inch: the high side's gauge goes to 800 (from memory). */
    PSI("psi", 0, 800, false),
    /** Water flow, gallons per minute. */
    GPM("gpm", 0, 100, false),
    /** Speed, revolutions per minute, as a display tells it or a tachometer. */
    RPM("rpm", 0, 10000, false),
    /** A share in hundredths, as a display tells it. */
    PERCENT("%", 0, 100, false),
    /** Fuel fed, pounds per hour: weighed over some minutes. */
    POUNDS_PER_HOUR("lb/h", 0, 50, false);

    private final String unit;
    private final double least;
    private final double most;
    private final boolean dead;

    MeterMode(String unit, double least, double most, boolean dead) {
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.dead = dead;
    }

    /** The unit as shown beside the number. */
    public String unit() {
        return unit;
    }

    /** The least the display can show, in the mode's unit. */
    public double least() {
        return least;
    }

    /** The most the display can show, in the mode's unit; above it a resistance reads as open. */
    public double most() {
        return most;
    }

    /** True where the unit must be off and proven off. */
    public boolean dead() {
        return dead;
    }

    /** True where the two probes go on two points; otherwise it is a clamp, a series connection or a gauge. */
    public boolean betweenPoints() {
        return this == AC_VOLTS || this == AC_VOLTS_LOW_Z || this == DC_VOLTS || this == OHMS || this == MICROFARADS;
    }

    /** True for a voltage of any kind. */
    public boolean volts() {
        return this == AC_VOLTS || this == AC_VOLTS_LOW_Z || this == DC_VOLTS;
    }

    /** True where "open" (overload) is an answer. */
    public boolean canReadOpen() {
        return this == OHMS;
    }
}
