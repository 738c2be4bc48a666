package bricksignal.core.tuning;

import bricksignal.core.air.Degrees;
import bricksignal.core.air.MoistAir;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.List;

/**
 * How often a heat pump must defrost: frost gathers by how much more moisture the air outdoors holds than air saturated at the coil. Thirty minutes on the worst day,
 * longer by as much as less gathers.
 */
final class FrostInterval extends Calculator {

    /** A coil is some ten degrees colder than the air (common practice, from memory). */
    private static final double COLDER_F = 10;
    private static final double FREEZES_F = 32;
    /** The worst day: 35 °F and nine tenths humid (our own judgement), for which boards have 30 minutes. */
    private static final double WORST_F = 35;
    private static final double WORST_SHARE = 0.9;
    private static final double SHORTEST = 30;
    private static final double[] SWITCHES = {30, 60, 90};
    private static final double SEA_LEVEL_PA = 101_325;
    private static final double PERCENT = 100;
    private static final double COLDEST_F = -10;
    private static final double MILDEST_F = 45;

    FrostInterval() {
        super("frost-interval", Input.of("outdoor", TradeUnit.FAHRENHEIT, 32, -30, 60), Input.of("humidity", TradeUnit.PERCENT, 80, 5, 100));
    }

    @Override
    List<Message> facts() {
        return List.of(told(TradeUnit.DEGREES_APART, COLDER_F, 0), told(TradeUnit.FAHRENHEIT, WORST_F, 0));
    }

    @Override
    Finding find(Given given) {
        double outdoor = given.number("outdoor");
        double share = given.number("humidity") / PERCENT;
        double frost = frost(outdoor, share) / frost(WORST_F, WORST_SHARE);
        double minutes = frost > 0 ? SHORTEST / frost : Double.POSITIVE_INFINITY;
        double set = SWITCHES[0];
        for (double one : SWITCHES) {
            set = one <= minutes ? one : set;
        }
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("is-frost"), TradeUnit.PERCENT),
                List.of(Curve.Stroke.of(word("is-frost"), COLDEST_F, MILDEST_F, f -> PERCENT * frost(f, share) / frost(WORST_F, WORST_SHARE))),
                List.of(new Curve.Spot(word("spot-now"), outdoor, PERCENT * frost)));
        return finding(frost > 0 ? "set" : "none", true, List.of(result("set", set, TradeUnit.MINUTES, 0), result("frost", PERCENT * frost, TradeUnit.PERCENT, 0)), curve, plain(set));
    }

    /** Moisture that a pound of air leaves on the coil, pounds; nothing where the coil is above freezing. */
    private static double frost(double outdoorF, double share) {
        double coil = outdoorF - COLDER_F;
        double air = MoistAir.ofRelativeHumidity(Degrees.celsius(outdoorF), share, SEA_LEVEL_PA).humidityRatio();
        double saturated = MoistAir.ofRelativeHumidity(Degrees.celsius(coil), 1, SEA_LEVEL_PA).humidityRatio();
        return coil >= FREEZES_F ? 0 : Math.max(0, air - saturated);
    }
}
