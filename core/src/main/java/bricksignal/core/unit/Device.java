package bricksignal.core.unit;

import java.util.Locale;

/**
 * What a load, a source or a sensor is, and what may be done to it: fed directly, measured on ohms with the power off, probed while it is
 * live, changed for a test. Common practice, no published source; the maker's instructions come first. Where in doubt the answer is no.
 */
public enum Device {
    /** Power as it comes to the unit: panel, street. */
    SUPPLY(Feed.NEVER, false, true, Swap.NO),
    /** Never fed backwards. */
    TRANSFORMER(Feed.NEVER, true, true, Swap.SAME),
    /** Electronics on a board and its inputs: its fuse alone is measured on ohms. */
    CONTROL_BOARD(Feed.NEVER, false, true, Swap.SAME),
    /** A relay soldered to a board. */
    RELAY_ON_BOARD(Feed.NEVER, false, true, Swap.NO),
    /** A relay with leads or a socket of its own. */
    RELAY(Feed.WIRES_OFF, true, true, Swap.SAME),
    CONTACTOR_COIL(Feed.WIRES_OFF, true, true, Swap.NO),
    /** Zone valve, reversing valve, solenoid of a refrigerant or water valve. */
    SOLENOID(Feed.WIRES_OFF, true, true, Swap.NO),
    DAMPER_ACTUATOR(Feed.WIRES_OFF, true, true, Swap.NO),
    /** A gas valve's coil, pilot valve and modulator as well: redundant, two-stage, modulating, standing pilot. */
    GAS_VALVE(Feed.GAS_SHUT, true, true, Swap.NO),
    /** On one phase, with shaded poles or a run capacitor, where nothing but it moves. */
    MOTOR(Feed.PLUG_OFF, true, true, Swap.NO),
    /** With brushes, on a battery. */
    BRUSH_MOTOR(Feed.PLUG_OFF, true, true, Swap.NO),
    /** Three windings, or a kit that starts it. */
    THREE_PHASE_MOTOR(Feed.NEVER, true, true, Swap.NO),
    /** Electronically commutated, with its module: taps, data, 0 to 10 V, or electronics of its own. */
    ELECTRONIC_MOTOR(Feed.NEVER, true, true, Swap.SAME),
    /** Hermetic: one phase, three phases or an inverter's. */
    COMPRESSOR(Feed.NEVER, true, false, Swap.NO),
    HEATER(Feed.NEVER, true, true, Swap.NO),
    /** Glows; cold and unplugged alone it is measured. */
    HOT_SURFACE_IGNITER(Feed.NEVER, true, true, Swap.GAS_SHUT),
    /** Thousands of volts; outside the burner with gas on it is never made to spark. */
    SPARK(Feed.NEVER, false, false, Swap.GAS_SHUT),
    FLAME_ROD(Feed.NEVER, true, true, Swap.GAS_SHUT),
    THERMOCOUPLE(Feed.NEVER, true, true, Swap.GAS_SHUT),
    /** With electronics in it: humidity, enthalpy, pressure. */
    ELECTRONIC_SENSOR(Feed.NEVER, true, true, Swap.SAME),
    THERMISTOR(Feed.NEVER, true, true, Swap.SAME),
    /** Smoke, leak of refrigerant, low water: it is replaced, not tried. */
    DETECTOR(Feed.NEVER, false, true, Swap.NO),
    /** Power electronics with a bus: its five volts are often at line potential. */
    INVERTER(Feed.NEVER, false, true, Swap.SAME),
    STEPPER(Feed.NEVER, true, true, Swap.NO),
    /** What circulates in a closed circuit: nobody opens it without a certificate (40 CFR 82 subpart F, from memory). */
    REFRIGERANT(Feed.NEVER, false, false, Swap.NO),
    BATTERY(Feed.NEVER, false, true, Swap.SAME),
    LAMP(Feed.NEVER, true, true, Swap.SAME);

    /** How a device may be fed directly. */
    public enum Feed {
        NEVER,
        /** Line power off and locked, all its wires off; that it pulls in is all that may be asked. */
        WIRES_OFF,
        /** Plug off, and the gas shut at its shutoff valve; that it clicks is all that may be asked. */
        GAS_SHUT,
        /** Plug off, guard on. */
        PLUG_OFF
    }

    /** How a device may be changed for a test. */
    public enum Swap {
        NO,
        /** For the same part with the same settings, power off. */
        SAME,
        /** The same, and the gas is shut while it is fitted. */
        GAS_SHUT
    }

    private final Feed feed;
    private final boolean ohms;
    private final boolean probedLive;
    private final Swap swap;

    Device(Feed feed, boolean ohms, boolean probedLive, Swap swap) {
        this.feed = feed;
        this.ohms = ohms;
        this.probedLive = probedLive;
        this.swap = swap;
    }

    public Feed feed() {
        return feed;
    }

    /** True where ohms with the power off tell something and harm nothing. */
    public boolean ohms() {
        return ohms;
    }

    /** True where a probe may touch its own terminals while it is live. */
    public boolean probedLive() {
        return probedLive;
    }

    public Swap swap() {
        return swap;
    }

    /**
     * The licence of whoever changes it; none where anybody may who knows the trade. Common practice; the law of the place comes first.
     *
     * @param fuelGas whether the unit burns gas: its boards let gas flow
     */
    public Stop.Licence licence(boolean fuelGas) {
        return switch (this) {
            case GAS_VALVE -> Stop.Licence.GAS;
            case CONTROL_BOARD -> fuelGas ? Stop.Licence.GAS : Stop.Licence.NONE;
            case COMPRESSOR, REFRIGERANT -> Stop.Licence.REFRIGERANT;
            case SUPPLY -> Stop.Licence.ELECTRICAL;
            default -> Stop.Licence.NONE;
        };
    }

    /** As packs write it. */
    public String text() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The kind of that name.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Device of(String text) {
        for (Device device : values()) {
            if (device.text().equals(text)) {
                return device;
            }
        }
        throw new IllegalArgumentException("there is no device kind '" + text + "'");
    }

    /** True where something turns that catches fingers. */
    public boolean turns() {
        return this == MOTOR || this == BRUSH_MOTOR || this == THREE_PHASE_MOTOR || this == ELECTRONIC_MOTOR;
    }

    /** True for what makes electricity or changes its voltage: nothing that is tested as a load. */
    public boolean supplies() {
        return this == SUPPLY || this == TRANSFORMER || this == BATTERY;
    }
}
