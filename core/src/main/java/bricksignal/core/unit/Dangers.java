package bricksignal.core.unit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What of a unit decides what may be done to it.
 *
 * @param devices what each load, source, transformer and flame is, by element; what is left out of an own pack from before is measured
 *     from outside only
 * @param parts what parts are that no element stands for, by part
 * @param guards switches that keep people and the unit safe, by element, with what each watches; another switch belongs to the sequence
 * @param taps readings at a tap of the fuel gas, by reading
 * @param stops what a yes to a check finds that ends the diagnosis, by check
 * @param refrigerant what it holds
 * @param fuels what burns in it, of gas, oil, solid; empty where nothing does
 * @param levels what a reading finds that ends the diagnosis, and from which value on, by reading
 */
public record Dangers(Map<String, Device> devices, Map<String, Device> parts, Map<String, Guard> guards, Map<String, Tap> taps,
        Map<String, Stop> stops, Refrigerant refrigerant, Set<Fuel> fuels, Map<String, Level> levels) {

    /** No reading ends the diagnosis. */
    public Dangers(Map<String, Device> devices, Map<String, Device> parts, Map<String, Guard> guards, Map<String, Tap> taps, Map<String, Stop> stops,
            Refrigerant refrigerant, Set<Fuel> fuels) {
        this(devices, parts, guards, taps, stops, refrigerant, fuels, Map.of());
    }

    /**
     * A reading that is a danger.
     *
     * @param stop what it finds
     * @param from this value on, in the unit of its mode
     */
    public record Level(Stop stop, double from) {
    }

    /** Nothing is declared. */
    public static final Dangers NONE = new Dangers(Map.of(), Map.of(), Map.of(), Map.of(), Map.of(), Refrigerant.NONE, Set.of());

    public Dangers {
        devices = Collections.unmodifiableMap(new LinkedHashMap<>(devices));
        parts = Collections.unmodifiableMap(new LinkedHashMap<>(parts));
        guards = Collections.unmodifiableMap(new LinkedHashMap<>(guards));
        taps = Collections.unmodifiableMap(new LinkedHashMap<>(taps));
        stops = Collections.unmodifiableMap(new LinkedHashMap<>(stops));
        levels = Collections.unmodifiableMap(new LinkedHashMap<>(levels));
        fuels = Collections.unmodifiableSet(new java.util.LinkedHashSet<>(fuels));
    }

    /** What a switch watches. */
    public enum Guard { LIMIT, ROLLOUT, PRESSURE, SPILL, SMOKE, LEAK, FLOAT, LOW_WATER, DOOR, LID, OVERHEAT, AIR, FREEZE, OVERLOAD, DISCONNECT }

    /** Where the gas is tapped. */
    public enum Tap { INLET, MANIFOLD }

    /** What it holds, by its class of safety (ASHRAE 34, from memory). */
    public enum Refrigerant {
        NONE, A1, A2L, A3;

        /** True where it burns. */
        public boolean flammable() {
            return this == A2L || this == A3;
        }
    }

    /** What burns. */
    public enum Fuel { GAS, OIL, SOLID }

    /** True where anything burns in it. */
    public boolean burns() {
        return !fuels.isEmpty();
    }

    /** What an element is, where that is declared. */
    public Optional<Device> device(String element) {
        return Optional.ofNullable(devices.get(element));
    }
}
