package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** The flow that carries a zone's heat, and whether the pipe takes it without noise. */
final class WaterFlow extends Calculator {

    /** Inner diameters of copper pipe, type M, inches (ASTM B88, from memory). */
    private static final Map<String, Double> INCHES = Map.of("half", 0.569, "three-quarters", 0.811, "one", 1.055, "one-and-a-quarter", 1.291);
    /** Feet a second of a gallon a minute through a square inch of diameter: 231 cu in, 60 s, 12 in. */
    private static final double FEET_A_SECOND = 231 / (60 * 12 * Math.PI / 4);
    /** Faster is heard, slower leaves air behind (common practice; ASHRAE gives 4 for pipes of 2 in and below). */
    private static final double FASTEST = 4;
    private static final double SLOWEST = 1.5;

    WaterFlow() {
        super("water-flow", Input.of("heat", TradeUnit.BTU_AN_HOUR, 30_000, 500, 1_000_000), Input.of("drop", TradeUnit.DEGREES_APART, 20, 2, 60),
                Input.choice("pipe", "three-quarters", "half", "one", "one-and-a-quarter"));
    }

    /** From here on copper is eaten at its bends (common practice; Copper Development Association gives 5 to 8 ft/s, from memory). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("speed", new Bounds(0, 8));
    }

    @Override
    Finding find(Given given) {
        double gpm = Heat.gpm(given.number("heat"), given.number("drop"));
        double inches = Known.in(INCHES, given.choice("pipe"));
        double speed = FEET_A_SECOND * gpm / (inches * inches);
        String says = speed > FASTEST ? "fast" : speed < SLOWEST ? "slow" : "within";
        return finding(says, says.equals("within"), List.of(result("flow", gpm, TradeUnit.GPM, 1), result("speed", speed, TradeUnit.FEET_A_SECOND, 1)), null, told(TradeUnit.FEET_A_SECOND, speed, 1));
    }
}
