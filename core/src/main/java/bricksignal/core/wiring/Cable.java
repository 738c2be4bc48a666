package bricksignal.core.wiring;

import bricksignal.core.Known;
import java.util.Map;
import java.util.TreeMap;

/**
 * A run of copper.
 *
 * @param feet one way, at least 0
 * @param gauge American wire gauge: 14, 16, 18, 20 or 22
 */
public record Cable(double feet, int gauge) {

    /**
     * Ohms of 1,000 ft of solid copper at 75 °C: 14, 16, 18 after NFPA 70 chapter 9 table 8 (from memory), 20 and 22 by the ratio of the gauge's areas, 1.59
     * for two numbers (ASTM B258).
     */
    private static final Map<Integer, Double> OHMS = new TreeMap<>(Map.of(14, 3.07, 16, 4.89, 18, 7.77, 20, 12.36, 22, 19.65));

    public Cable {
        if (!(feet >= 0) || !OHMS.containsKey(gauge)) {
            throw new IllegalArgumentException("a cable of " + feet + " ft and " + gauge + " AWG; it must be 0 ft or longer and one of " + OHMS.keySet());
        }
    }

    /** There and back, ohms. */
    public double loopOhms() {
        return 2 * feet / 1000 * Known.in(OHMS, gauge);
    }
}
