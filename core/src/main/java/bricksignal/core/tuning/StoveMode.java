package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** In which thermostat mode a stove should stand: how much of its lowest level the room takes at that weather. */
final class StoveMode extends Calculator {

    /** Where the room takes less than half of the lowest level, each idle is so long that going out is better than smouldering (our own judgement; that spring and autumn suit the automatic mode and deep winter high and low is common practice). */
    private static final double HALF = 0.5;
    private static final double PERCENT = 100;

    StoveMode() {
        super("stove-mode", Input.of("outdoor", TradeUnit.FAHRENHEIT, 30, -40, 70), Input.of("need", TradeUnit.BTU_AN_HOUR, 24_000, 1_000, 200_000), Input.of("design", TradeUnit.FAHRENHEIT, 5, -50, 50),
                Input.of("no-heat", TradeUnit.FAHRENHEIT, 62, 45, 75), Input.of("least", TradeUnit.BTU_AN_HOUR, 8_500, 1_000, 60_000));
    }

    @Override
    Finding find(Given given) {
        double design = given.number("design");
        double none = given.number("no-heat");
        if (!(design < none)) {
            throw new Misfit("design", "not-below-no-heat");
        }
        double outdoor = given.number("outdoor");
        DoubleUnaryOperator need = at -> Math.max(0, given.number("need") * (none - at) / (none - design));
        double share = need.applyAsDouble(outdoor) / given.number("least");
        String says = share < HALF ? "automatic" : share < 1 ? "high-low" : "always";
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("need"), TradeUnit.BTU_AN_HOUR),
                List.of(Curve.Stroke.of(word("is-need"), design, none, need), Curve.Stroke.of(word("least"), design, none, at -> given.number("least"))),
                List.of(new Curve.Spot(word("spot-now"), outdoor, need.applyAsDouble(outdoor))));
        return finding(says, true, List.of(result("need", need.applyAsDouble(outdoor), TradeUnit.BTU_AN_HOUR, 0), result("share", PERCENT * share, TradeUnit.PERCENT, 0)), curve, plain(PERCENT * share));
    }
}
