package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;

/** Zones on one boiler: what flows when all call, and whether the smallest alone takes what the boiler cannot go below. */
final class ZonesTogether extends Calculator {

    private static final double PERCENT = 100;

    ZonesTogether() {
        super("zones-together", Input.of("all", TradeUnit.BTU_AN_HOUR, 60_000, 1_000, 2_000_000), Input.of("smallest", TradeUnit.BTU_AN_HOUR, 9_000, 500, 1_000_000),
                Input.of("least", TradeUnit.BTU_AN_HOUR, 16_000, 1_000, 1_000_000), Input.of("drop", TradeUnit.DEGREES_APART, 20, 2, 60), Input.maybe("pump", TradeUnit.GPM, 0.5, 200));
    }

    @Override
    Finding find(Given given) {
        double smallest = given.number("smallest");
        if (smallest > given.number("all")) {
            throw new Misfit("smallest", "more-than-all-zones");
        }
        double together = Heat.gpm(given.number("all"), given.number("drop"));
        double share = smallest / given.number("least");
        boolean cycles = share < 1;
        boolean small = given.maybe("pump").isPresent() && given.maybe("pump").getAsDouble() < together;
        return finding(small ? "pump" : cycles ? "cycles" : "within", !small && !cycles, List.of(result("together", together, TradeUnit.GPM, 1),
                result("alone", Heat.gpm(smallest, given.number("drop")), TradeUnit.GPM, 1), result("share", PERCENT * share, TradeUnit.PERCENT, 0)), null,
                small ? told(TradeUnit.GPM, together, 1) : told(TradeUnit.PERCENT, PERCENT * share, 0));
    }
}
