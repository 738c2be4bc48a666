package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/** How humid a room may be before its panes run wet: the dew point of the room's air against the inner face of the pane. */
final class HumidityLimit extends Calculator {

    /** Btu an hour, square foot and degree through the middle of a pane (ASHRAE Fundamentals, fenestration, from memory). */
    private static final Map<String, Double> GLAZING = Map.of("single", 1.0, "two", 0.48, "two-coated", 0.27, "three", 0.18);
    /** Resistance of still air before an upright pane (ASHRAE Fundamentals). */
    private static final double INNER_FILM = 0.68;
    private static final double COLDEST_F = -30;
    private static final double MILDEST_F = 60;

    HumidityLimit() {
        super("humidity-limit", Input.of("outdoor", TradeUnit.FAHRENHEIT, 25, -60, 70), Input.of("room", TradeUnit.FAHRENHEIT, 70, 50, 90), Input.maybe("humidity", TradeUnit.PERCENT, 1, 100),
                Input.choice("glazing", "two", "single", "two-coated", "three"));
    }

    @Override
    Finding find(Given given) {
        double room = given.number("room");
        double outdoor = given.number("outdoor");
        if (!(outdoor < room)) {
            throw new Misfit("outdoor", "not-colder");
        }
        double through = Known.in(GLAZING, given.choice("glazing"));
        DoubleUnaryOperator pane = out -> room - through * INNER_FILM * (room - out);
        DoubleUnaryOperator limit = out -> Math.min(Dampness.NEVER_ABOVE, Dampness.ofDewPoint(pane.applyAsDouble(out), room));
        double most = limit.applyAsDouble(outdoor);
        double now = given.maybe("humidity").orElse(0);
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("is-limit"), TradeUnit.PERCENT),
                List.of(Curve.Stroke.of(word("is-limit"), COLDEST_F, Math.min(MILDEST_F, room - 1), limit)),
                given.maybe("humidity").isPresent() ? List.of(new Curve.Spot(word("spot-now"), outdoor, now)) : List.of(new Curve.Spot(word("is-limit"), outdoor, most)));
        String says = given.maybe("humidity").isEmpty() ? "limit" : now > most ? "wet" : "dry";
        return finding(says, !says.equals("wet"), List.of(result("limit", most, TradeUnit.PERCENT, 0), result("pane", pane.applyAsDouble(outdoor), TradeUnit.FAHRENHEIT, 0)), curve, plain(Math.floor(most)));
    }
}
