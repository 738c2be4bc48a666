package bricksignal.core.tuning;

import bricksignal.core.wiring.Cable;
import bricksignal.core.wiring.ControlFuse;
import bricksignal.core.wiring.IsolationPlan;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** What a control transformer and a cable carry: amperes, drop, what is left at the far end, the fuse. */
final class ControlCircuit extends Calculator {

    private static final double PERCENT = 100;

    ControlCircuit() {
        super("control-circuit", Input.of("supply", TradeUnit.VOLTS_AC, 26, 18, 32).met(21, 30), Input.of("rated", TradeUnit.VA, 40, 5, 100), Input.of("load", TradeUnit.VA, 18, 0.1, 100),
                Input.of("far-load", TradeUnit.VA, 10, 0.1, 100), Input.of("feet", TradeUnit.FEET, 60, 0, 1_000), Input.choice("gauge", "18", "20", "22", "16", "14"));
    }

    /** More than a control transformer is made for: it is cooked, and its fuse is not there (common practice). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("share", new Bounds(0, 150), "drop", new Bounds(0, 8));
    }

    @Override
    Finding find(Given given) {
        double load = given.number("load");
        double far = given.number("far-load");
        if (far > load) {
            throw new Misfit("far-load", "more-than-all");
        }
        double amps = load / IsolationPlan.VOLTS;
        double drop = far / IsolationPlan.VOLTS * new Cable(given.number("feet"), Integer.parseInt(given.choice("gauge"))).loopOhms();
        double left = given.number("supply") - drop;
        double fuse = ControlFuse.amps(given.number("rated"), IsolationPlan.VOLTS);
        String says = load > given.number("rated") ? "overloaded" : left < IsolationPlan.PULLS_IN * IsolationPlan.VOLTS ? "drop" : "within";
        return finding(says, says.equals("within"), List.of(result("far", left, TradeUnit.VOLTS_AC, 1), result("amps", amps, TradeUnit.AMPS, 2), result("drop", drop, TradeUnit.VOLTS, 2),
                result("share", PERCENT * load / given.number("rated"), TradeUnit.PERCENT, 0), result("fuse", fuse, TradeUnit.AMPS, 0)), null, plain(left));
    }
}
