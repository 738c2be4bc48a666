package bricksignal.core.tuning;

import bricksignal.core.air.Changeover;
import bricksignal.core.words.TradeUnit;
import java.util.List;

/** The outdoor temperature above which an economizer no longer cools for nothing, by the climate ({@link Changeover}). */
final class ChangeoverLimit extends Calculator {

    /** Climate zones, a dry one of the mountains first. */
    static final List<String> ZONES = List.of("5B", "1A", "1B", "2A", "2B", "3A", "3B", "3C", "4A", "4B", "4C", "5A", "5C", "6A", "6B", "7", "8");

    ChangeoverLimit() {
        super("changeover-limit", Input.choice("zone", ZONES));
    }

    @Override
    Finding find(Given given) {
        double limit = Changeover.limitF(given.choice("zone"));
        return finding("limit", true, List.of(result("limit", limit, TradeUnit.FAHRENHEIT, 0)), null, told(TradeUnit.FAHRENHEIT, limit, 0));
    }
}
