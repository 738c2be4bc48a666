package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** What the ducts do to the blower: the static pressure outside of the unit against what its plate is rated for, and what of it takes more than its share. */
final class StaticPressure extends Calculator {

    /** Shares of the whole that a filter and a coil may take (common practice, from memory). */
    private static final double OF_FILTER = 0.2;
    private static final double OF_COIL = 0.4;
    private static final double PERCENT = 100;

    StaticPressure() {
        super("static-pressure", Input.of("supply", TradeUnit.INCHES_WC, 0.22, 0, 3), Input.of("return", TradeUnit.INCHES_WC, 0.2, 0, 3), Input.of("rated", TradeUnit.INCHES_WC, 0.5, 0.1, 2),
                Input.maybe("filter", TradeUnit.INCHES_WC, 0, 2), Input.maybe("coil", TradeUnit.INCHES_WC, 0, 2));
    }

    /** No residential blower makes more: a probe that the air blows into, or a blocked duct (common practice). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("total", new Bounds(0.05, 1.5));
    }

    @Override
    Finding find(Given given) {
        double total = given.number("supply") + given.number("return");
        double rated = given.number("rated");
        double filter = given.maybe("filter").orElse(0);
        double coil = given.maybe("coil").orElse(0);
        String says = total <= rated ? "within" : filter > OF_FILTER * rated ? "filter" : coil > OF_COIL * rated ? "coil" : "ducts";
        return finding(says, total <= rated, List.of(result("total", total, TradeUnit.INCHES_WC, 2), result("share", PERCENT * total / rated, TradeUnit.PERCENT, 0)), null, told(TradeUnit.INCHES_WC, total, 2), told(TradeUnit.INCHES_WC, rated, 2));
    }
}
