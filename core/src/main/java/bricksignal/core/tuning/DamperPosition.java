package bricksignal.core.tuning;

import bricksignal.core.air.OutdoorShare;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** The least position of an outdoor damper: from the share that three thermometers show at a position to the share that people need; as far as the damper is even. */
final class DamperPosition extends Calculator {

    private static final double PERCENT = 100;

    DamperPosition() {
        super("damper-position", Input.of("outdoor", TradeUnit.FAHRENHEIT, 40, -40, 120), Input.of("return", TradeUnit.FAHRENHEIT, 74, 50, 100), Input.of("mixed", TradeUnit.FAHRENHEIT, 66, -40, 120),
                Input.of("position", TradeUnit.PERCENT, 25, 1, 100), Input.of("wanted", TradeUnit.PERCENT, 15, 0, 100).met(5, 60));
    }

    /** More outdoor air than people are given: a damper with a leak, or thermometers of which one is wrong (our own judgement). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("position", new Bounds(0, 60));
    }

    @Override
    Finding find(Given given) {
        OutdoorShare measured = OutdoorShare.of(given.number("outdoor"), given.number("return"), given.number("mixed"), OutdoorShare.THERMOMETER_F)
                .orElseThrow(() -> new Misfit("mixed", "no-mixture"));
        double share = Math.max(measured.share(), measured.sigma());
        double position = Math.min(PERCENT, given.number("position") * given.number("wanted") / (PERCENT * share));
        return finding("set", true, List.of(result("position", position, TradeUnit.PERCENT, 0), result("share", PERCENT * measured.share(), TradeUnit.PERCENT, 0),
                result("error", 2 * PERCENT * measured.sigma(), TradeUnit.PERCENT, 0)), null, plain(Math.rint(position)));
    }
}
