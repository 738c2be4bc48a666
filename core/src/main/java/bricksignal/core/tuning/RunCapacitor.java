package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** A run capacitor measured under load: the current through it by its voltage and the frequency, 2,652 times amperes by volts at 60 Hz. */
final class RunCapacitor extends Calculator {

    private static final double PERCENT = 100;
    private static final double MICRO = 1e6;

    RunCapacitor() {
        super("run-capacitor", Input.of("amps", TradeUnit.AMPS_AC, 4.5, 0.05, 60), Input.of("volts", TradeUnit.VOLTS_AC, 340, 50, 600), Input.of("plate", TradeUnit.MICROFARADS, 35, 1, 150).met(2, 100),
                Input.of("tolerance", TradeUnit.PERCENT, 6, 1, 20), Input.choice("hertz", "60", "50"));
    }

    /** Farther off than a capacitor drifts: the clamp was on another lead, or a start winding is open or shorted (our own judgement). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("off", new Bounds(-60, 30));
    }

    @Override
    Finding find(Given given) {
        double microfarads = MICRO / (2 * Math.PI * Double.parseDouble(given.choice("hertz"))) * given.number("amps") / given.number("volts");
        double off = PERCENT * (microfarads / given.number("plate") - 1);
        String says = Math.abs(off) <= given.number("tolerance") ? "within" : off < 0 ? "weak" : "over";
        return finding(says, says.equals("within"), List.of(result("microfarads", microfarads, TradeUnit.MICROFARADS, 1), result("off", off, TradeUnit.PERCENT, 0)), null, plain(Math.abs(off)));
    }
}
