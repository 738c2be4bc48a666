package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;

/** Three voltages of a motor: the largest distance from their mean, in percent of it (NEMA MG 1, 14.36), and what the motor may still be asked for. */
final class PhaseUnbalance extends Calculator {

    /** What a motor may be asked for at 0 to 5 percent (NEMA MG 1, figure of 14.36, from memory). */
    private static final double[] DERATED = {1, 1, 0.95, 0.88, 0.82, 0.75};
    private static final double SOUND = 1;
    private static final double PERCENT = 100;

    PhaseUnbalance() {
        super("phase-unbalance", Input.of("ab", TradeUnit.VOLTS_AC, 228, 50, 700), Input.of("bc", TradeUnit.VOLTS_AC, 231, 50, 700), Input.of("ca", TradeUnit.VOLTS_AC, 229, 50, 700));
    }

    /** A compressor or a motor is not run on more (makers' instructions by custom, from memory; NEMA MG 1 derates from 1 percent on). */
    private static final double NOT_RUN = 2;

    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("unbalance", new Bounds(0, NOT_RUN));
    }

    @Override
    Finding find(Given given) {
        double[] volts = {given.number("ab"), given.number("bc"), given.number("ca")};
        double mean = DoubleStream.of(volts).average().orElseThrow();
        double unbalance = PERCENT * DoubleStream.of(volts).map(v -> Math.abs(v - mean)).max().orElseThrow() / mean;
        String says = unbalance <= SOUND ? "within" : unbalance <= NOT_RUN ? "derate" : "off";
        Curve curve = new Curve(new Curve.Axis(word("is-unbalance"), TradeUnit.PERCENT), new Curve.Axis(word("is-asked"), TradeUnit.PERCENT),
                List.of(Curve.Stroke.of(word("is-asked"), 0, DERATED.length - 1, u -> PERCENT * asked(u))),
                unbalance <= DERATED.length - 1 ? List.of(new Curve.Spot(word("spot-now"), unbalance, PERCENT * asked(unbalance))) : List.of());
        return finding(says, says.equals("within"), List.of(result("unbalance", unbalance, TradeUnit.PERCENT, 1), result("mean", mean, TradeUnit.VOLTS_AC, 0),
                result("asked", unbalance > DERATED.length - 1 ? 0 : PERCENT * asked(unbalance), TradeUnit.PERCENT, 0), result("warmer", 2 * unbalance * unbalance, TradeUnit.PERCENT, 0)),
                curve, plain(unbalance));
    }

    private static double asked(double unbalance) {
        int below = (int) Math.min(DERATED.length - 2, Math.floor(unbalance));
        return DERATED[below] + (DERATED[below + 1] - DERATED[below]) * (unbalance - below);
    }
}
