package bricksignal.core.tuning;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** In which thermostat mode a stove should stand: how much of its lowest level the room takes at that weather. */
final class StoveMode extends Calculator {

    /** Where the room takes less than half of the lowest level, each idle is so long that going out is better than smouldering (our own judgement; that spring and autumn suit the automatic mode and deep winter high and low is common practice). */
    private static final double HALF = 0.5;
    private static final double PERCENT = 100;

    StoveMode() {
        super("stove-mode", Input.of("outdoor", "°F", 30, -40, 70), Input.of("need", "Btu/h", 24_000, 1_000, 200_000), Input.of("design", "°F", 5, -50, 50),
                Input.of("no-heat", "°F", 62, 45, 75), Input.of("least", "Btu/h", 8_500, 1_000, 60_000));
    }

    @Override
    Finding find(Given given) {
        double design = given.number("design");
        double none = given.number("no-heat");
        if (!(design < none)) {
            throw new Misfit("design", "it is not below the no-heating temperature");
        }
        double outdoor = given.number("outdoor");
        DoubleUnaryOperator need = at -> Math.max(0, given.number("need") * (none - at) / (none - design));
        double share = need.applyAsDouble(outdoor) / given.number("least");
        String says = share < HALF ? "automatic" : share < 1 ? "high-low" : "always";
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), "°F"), new Curve.Axis(word("need"), "Btu/h"),
                List.of(Curve.Stroke.of(word("is-need"), design, none, need), Curve.Stroke.of(word("least"), design, none, at -> given.number("least"))),
                List.of(new Curve.Spot(word("spot-now"), outdoor, need.applyAsDouble(outdoor))));
        return finding(says, true, List.of(result("need", need.applyAsDouble(outdoor), "Btu/h", 0), result("share", PERCENT * share, "%", 0)), curve, PERCENT * share);
    }
}
