package bricksignal.core.danger;

import bricksignal.core.words.Message;

/**
 * What can hurt somebody at a step of the work. Each has words for what to do before it, in order, and for how it ends (`hazard.NAME.before`,
 * `hazard.NAME.after`). Common practice; the maker's instructions, the local code and licensed practice come first. Told in this order.
 */
public enum Hazard {
    /** A refrigerant that burns (ASHRAE 15, IEC 60335-2-40, from memory): any electrical act. */
    FLAMMABLE_REFRIGERANT(false),
    /** Hands on conductors that are off (OSHA 1910.147 and .333, NFPA 70E article 120, from memory). */
    DEAD_WORK(true),
    /** More than 50 V within reach (NFPA 70E, from memory). */
    LINE(false),
    /** More than 250 V: three-phase panels, 277 and 460 V. */
    OVER_240(false),
    /** The low voltage of an inverter's electronics is often at line potential. */
    INVERTER(false),
    /** A meter in series: clips on with the power off. */
    SERIES(false),
    /** Capacitors that hold their charge. */
    CAPACITOR(false),
    /** A battery that can burn a wire away. */
    BATTERY(false),
    /** Something that can start at that moment. */
    MOVING(false),
    /** The gas shut at its shutoff valve while something is done. */
    GAS_SHUT(true),
    /** A spark outside the burner. */
    SPARK_OUTSIDE(false),
    /** A gauge at a tap of the gas (NFPA 54, CSA B149.1, from memory). */
    GAS_TAP(true),
    /** A nose near burner, flue or exhaust. */
    SMELL(false),
    /** Anything that lets it burn. */
    FLAME(true),
    /** Heat exchangers, igniters, stoves, compressors' discharge. */
    HOT(false),
    /** Gauges on the refrigerant circuit (40 CFR 82 subpart F, from memory). */
    REFRIGERANT_CIRCUIT(true),
    /** The cover over the terminals of a compressor. */
    COMPRESSOR(false),
    /** Oil in the chamber. */
    OIL(false),
    /** Ash, hopper, vent of a stove. */
    SOLID_FUEL(false);

    private final boolean ends;

    Hazard(boolean ends) {
        this.ends = ends;
    }

    /** What to do before, in order. */
    public Message before() {
        return Message.of("hazard." + name() + ".before");
    }

    /** How it ends; nothing where nothing is left to do. */
    public Message after() {
        return ends ? Message.of("hazard." + name() + ".after") : Message.NOTHING;
    }
}
