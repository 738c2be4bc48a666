package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** How often a thermostat lets a system come, and what an old one's anticipator is set to: the current of its W circuit. */
final class ThermostatPace extends Calculator {

    /** Cycles an hour at half load, by how fast the heat comes and goes (common practice, from memory). */
    private static final Map<String, Double> CYCLES = Map.of("warm-air", 5.0, "condensing", 3.0, "water", 3.0, "steam", 1.0, "electric", 9.0, "heat-pump", 3.0);
    private static final double MINUTES_AN_HOUR = 60;

    ThermostatPace() {
        super("thermostat-pace", Input.choice("system", "warm-air", "condensing", "water", "steam", "electric", "heat-pump"),
                Input.of("amps", TradeUnit.AMPS_AC, 4.1, 0.02, 40), Input.of("turns", TradeUnit.NONE, 10, 1, 20));
    }

    /** What anticipators can be set to; beyond, the turns of the clamp were not counted, or something else is on the wire (common practice, from memory). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("anticipator", new Bounds(0.1, 1.2));
    }

    @Override
    Finding find(Given given) {
        double cycles = Known.in(CYCLES, given.choice("system"));
        return finding("pace", true, List.of(result("cycles", cycles, TradeUnit.PER_HOUR, 0), result("on", MINUTES_AN_HOUR / cycles / 2, TradeUnit.MINUTES, 0),
                result("anticipator", given.number("amps") / given.number("turns"), TradeUnit.AMPS, 2)), null, plain(cycles));
    }
}
