package bricksignal.core.danger;

import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;

/**
 * What can hurt somebody at a step of the work. Each has words for what to do before it, in order, and for how it ends (`hazard.NAME.before`,
 * `hazard.NAME.after`). Common practice; the maker's instructions, the local code and licensed practice come first. Told in this order.
 */
public enum Hazard {
    /** A refrigerant that burns (ASHRAE 15, IEC 60335-2-40, from memory): any electrical act. */
    FLAMMABLE_REFRIGERANT(End.NOTHING, Stop.Licence.NONE),
    /** Hands on conductors that are off (OSHA 1910.147 and .333, NFPA 70E article 120, from memory). */
    DEAD_WORK(End.WITH_THE_STEP, Stop.Licence.NONE),
    /** More than 50 V within reach (NFPA 70E, from memory). */
    LINE(End.NOTHING, Stop.Licence.NONE),
    /** More than 250 V: three-phase panels, 277 and 460 V. */
    OVER_240(End.NOTHING, Stop.Licence.ELECTRICAL),
    /** The low voltage of an inverter's electronics is often at line potential. */
    INVERTER(End.NOTHING, Stop.Licence.NONE),
    /** A meter in series: clips on with the power off. */
    SERIES(End.NOTHING, Stop.Licence.NONE),
    /** Capacitors that hold their charge. */
    CAPACITOR(End.NOTHING, Stop.Licence.NONE),
    /** A battery that can burn a wire away. */
    BATTERY(End.NOTHING, Stop.Licence.NONE),
    /** Something that can start at that moment. */
    MOVING(End.NOTHING, Stop.Licence.NONE),
    /** The gas shut at its shutoff valve while something is done. */
    GAS_SHUT(End.WITH_THE_STEP, Stop.Licence.GAS),
    /** A switch of the sequence bridged for some seconds, in order and never left alone. */
    BRIDGE(End.WITH_THE_STEP, Stop.Licence.NONE),
    /** A spark outside the burner. */
    SPARK_OUTSIDE(End.NOTHING, Stop.Licence.NONE),
    /** A gauge at a tap of the gas (NFPA 54, CSA B149.1, from memory). */
    GAS_TAP(End.WITH_THE_STEP, Stop.Licence.GAS),
    /** A nose near burner, flue or exhaust. */
    SMELL(End.NOTHING, Stop.Licence.NONE),
    /** Anything that lets it burn. */
    FLAME(End.WITH_THE_VISIT, Stop.Licence.NONE),
    /** Heat exchangers, igniters, stoves, compressors' discharge. */
    HOT(End.NOTHING, Stop.Licence.NONE),
    /** Gauges on the refrigerant circuit (40 CFR 82 subpart F, from memory). */
    REFRIGERANT_CIRCUIT(End.WITH_THE_STEP, Stop.Licence.REFRIGERANT),
    /** The cover over the terminals of a compressor. */
    COMPRESSOR(End.NOTHING, Stop.Licence.NONE),
    /** Oil in the chamber. */
    OIL(End.NOTHING, Stop.Licence.NONE),
    /** Ash, hopper, vent of a stove. */
    SOLID_FUEL(End.NOTHING, Stop.Licence.NONE);

    /** When what is left to do is done. */
    private enum End { NOTHING, WITH_THE_STEP, WITH_THE_VISIT }

    private final End end;
    private final Stop.Licence licence;

    Hazard(End end, Stop.Licence licence) {
        this.end = end;
        this.licence = licence;
    }

    /** The licence of whoever meets it; none where anybody may who knows the trade. */
    public Stop.Licence licence() {
        return licence;
    }

    /** Its name in two or three words, for a step that goes on with it. */
    public Message label() {
        return Message.of("hazard." + name() + ".name");
    }

    /** What to do before, in order. */
    public Message before() {
        return Message.of("hazard." + name() + ".before");
    }

    /** How it ends; nothing where nothing is left to do. */
    public Message after() {
        return end == End.NOTHING ? Message.NOTHING : Message.of("hazard." + name() + ".after");
    }

    /** True where that is done before the next step that does not meet it; otherwise before the visit ends. */
    public boolean endsWithTheStep() {
        return end == End.WITH_THE_STEP;
    }
}
