package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/**
 * From what humidity a unit should dry the air of a room: the dew point that people still bear, and what a cold face in the room (a slab, a duct, a wall) takes
 * before mould grows on it.
 */
final class DampLimit extends Calculator {

    /** Dew point indoors not to be passed while people are there (ASHRAE 62.1-2019 section 5.10, from memory). */
    private static final double DEW_POINT_F = 60;
    /** Humidity at a face from which mould grows, share (ASHRAE 160, from memory). */
    private static final double AT_A_FACE = 0.8;
    /** From here down reheat runs most of the day (common practice). */
    private static final double ALL_DAY = 52;
    private static final double COOLEST_F = 60;
    private static final double WARMEST_F = 85;

    DampLimit() {
        super("damp-limit", Input.of("room", TradeUnit.FAHRENHEIT, 75, 50, 90), Input.maybe("face", TradeUnit.FAHRENHEIT, 35, 90));
    }

    @Override
    List<Message> facts() {
        return List.of(told(TradeUnit.FAHRENHEIT, DEW_POINT_F, 0));
    }

    @Override
    Finding find(Given given) {
        double room = given.number("room");
        OptionalDouble face = given.maybe("face");
        if (face.isPresent() && face.getAsDouble() > room) {
            throw new Misfit("face", "warmer-than-room");
        }
        DoubleUnaryOperator limit = at -> Math.min(Dampness.NEVER_ABOVE, Math.min(Dampness.ofDewPoint(DEW_POINT_F, at),
                face.isPresent() ? AT_A_FACE * Dampness.ofDewPoint(Math.min(face.getAsDouble(), at), at) : Dampness.NEVER_ABOVE));
        double most = limit.applyAsDouble(room);
        Curve curve = new Curve(new Curve.Axis(word("room"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("is-limit"), TradeUnit.PERCENT),
                List.of(Curve.Stroke.of(word("is-limit"), COOLEST_F, WARMEST_F, limit)), List.of(new Curve.Spot(word("is-limit"), room, most)));
        return finding(most < ALL_DAY ? "all-day" : "limit", most >= ALL_DAY, List.of(result("limit", most, TradeUnit.PERCENT, 0)), curve, plain(Math.floor(most)));
    }
}
