package bricksignal.core.tuning;

/** Heat in Btu an hour, by what carries it. */
public final class Heat {

    /** Btu an hour a cubic foot a minute and a degree Fahrenheit: 0.075 lb a cubic foot x 0.24 Btu a pound x 60 minutes (ASHRAE Fundamentals). */
    private static final double OF_AIR = 1.08;
    /** Btu an hour a gallon a minute and a degree Fahrenheit: 8.33 lb a gallon x 60 minutes (ASHRAE Fundamentals). */
    private static final double OF_WATER = 500;
    private static final double SECONDS_OF_AN_HOUR = 3600;

    /** Methane by its molar masses: 16.04 of fuel make 36.03 of water; 23,875 Btu a pound, higher heating value (handbook value, from memory). */
    private static final double WATER_A_POUND_OF_METHANE = 36.03 / 16.04;
    private static final double BTU_A_POUND_OF_METHANE = 23_875;
    private static final double POUNDS_A_GALLON = 8.33;

    private Heat() {
    }

    /** What air takes along; a rise below 0 is cooling. */
    public static double ofAir(double cfm, double riseF) {
        return OF_AIR * atLeastNothing("cubic feet a minute", cfm) * riseF;
    }

    /** The air that carries so much heat with a rise, cubic feet a minute. */
    public static double cfm(double btuAnHour, double riseF) {
        return btuAnHour / (OF_AIR * above("the rise", riseF));
    }

    /** What water takes along. */
    public static double ofWater(double gpm, double dropF) {
        return OF_WATER * atLeastNothing("gallons a minute", gpm) * dropF;
    }

    /** The water that carries so much heat with a drop, gallons a minute. */
    public static double gpm(double btuAnHour, double dropF) {
        return btuAnHour / (OF_WATER * above("the drop", dropF));
    }

    /**
     * The input of a burner by clocking its meter.
     *
     * @param cubicFeet that a hand of the meter passes in one turn, above 0
     * @param seconds of that turn, above 0
     * @param btuACubicFoot higher heating value, above 0; some 1,000 for natural gas (common practice)
     */
    public static double ofGas(double cubicFeet, double seconds, double btuACubicFoot) {
        return SECONDS_OF_AN_HOUR / above("the seconds of a turn", seconds) * above("the cubic feet of a turn", cubicFeet)
                * above("the heating value", btuACubicFoot);
    }

    /**
     * What solid fuel gives.
     *
     * @param efficiency 0 to 1
     */
    public static double ofPellets(double poundsAnHour, double btuAPound, double efficiency) {
        if (!(efficiency >= 0 && efficiency <= 1)) {
            throw new IllegalArgumentException("the efficiency is " + efficiency + "; it must be from 0 to 1");
        }
        return atLeastNothing("pounds an hour", poundsAnHour) * above("the heating value", btuAPound) * efficiency;
    }

    /**
     * The most condensate that natural gas can make, as methane burnt and all its water condensed; gallons an hour.
     *
     * @param btuAnHour input, higher heating value
     */
    public static double mostCondensate(double btuAnHour) {
        return atLeastNothing("the input", btuAnHour) / BTU_A_POUND_OF_METHANE * WATER_A_POUND_OF_METHANE / POUNDS_A_GALLON;
    }

    private static double above(String what, double value) {
        if (!(value > 0)) {
            throw new IllegalArgumentException(what + " is " + value + "; it must be more than 0");
        }
        return value;
    }

    private static double atLeastNothing(String what, double value) {
        if (!(value >= 0)) {
            throw new IllegalArgumentException(what + " is " + value + "; it must be 0 or more");
        }
        return value;
    }
}
