package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/**
 * Delays of a blower by how fast the exchanger warms and cools: by halves. The fan comes when the air is no draught any more and stays until what is left is not
 * worth its current; ducts outside of the warm house lose that rest.
 */
final class BlowerDelays extends Calculator {

    /** Degrees above the return air at which supply air is felt as a draught, and to which the rest is worth fetching (common practice, from memory). */
    private static final double NO_DRAUGHT_F = 22;
    private static final double REST_INSIDE_F = 15;
    private static final double REST_OUTSIDE_F = 30;
    private static final double CURVE_SECONDS = 300;

    BlowerDelays() {
        super("blower-delays", Input.of("rise", TradeUnit.DEGREES_APART, 55, 32, 130), Input.of("half", TradeUnit.SECONDS, 45, 10, 300).met(15, 150), Input.choice("ducts", "inside", "outside"));
    }

    /** No board runs on for longer: an exchanger that holds so much has no air over it (common practice, from memory). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("off", new Bounds(0, 300), "on", new Bounds(0, 120));
    }

    @Override
    List<Message> facts() {
        return List.of(told(TradeUnit.DEGREES_APART, NO_DRAUGHT_F, 0));
    }

    @Override
    Finding find(Given given) {
        double rise = given.number("rise");
        double half = given.number("half");
        double rest = given.choice("ducts").equals("inside") ? REST_INSIDE_F : REST_OUTSIDE_F;
        double on = half * halves(rise / (rise - NO_DRAUGHT_F));
        double off = half * halves(rise / rest);
        Curve curve = new Curve(new Curve.Axis(word("axis-seconds"), TradeUnit.SECONDS), new Curve.Axis(word("axis-rise"), TradeUnit.DEGREES_APART), List.of(
                Curve.Stroke.of(word("line-warms"), 0, CURVE_SECONDS, s -> rise * (1 - Math.pow(2, -s / half))),
                Curve.Stroke.of(word("line-cools"), 0, CURVE_SECONDS, s -> rise * Math.pow(2, -s / half))),
                List.of(new Curve.Spot(word("is-on"), on, NO_DRAUGHT_F), new Curve.Spot(word("is-off"), off, rest)));
        return finding("delays", true, List.of(result("off", off, TradeUnit.SECONDS, 0), result("on", on, TradeUnit.SECONDS, 0)), curve, plain(Math.rint(on)), plain(Math.rint(off)));
    }

    private static double halves(double times) {
        return Math.log(times) / Math.log(2);
    }
}
