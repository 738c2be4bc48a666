package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** The blower's tap by the temperature rise: the plate says the range, heat over 1.08 times the rise says the air (ASHRAE Fundamentals). */
final class TemperatureRise extends Calculator {

    private static final double LEAST_CURVE_F = 15;
    private static final double MOST_CURVE_F = 110;

    TemperatureRise() {
        super("temperature-rise", Input.of("return", TradeUnit.FAHRENHEIT, 68, 40, 100), Input.of("supply", TradeUnit.FAHRENHEIT, 123, 50, 220).met(70, 180),
                Input.of("output", TradeUnit.BTU_AN_HOUR, 60_000, 5_000, 500_000), Input.of("least", TradeUnit.DEGREES_APART, 40, 10, 100), Input.of("most", TradeUnit.DEGREES_APART, 70, 20, 140));
    }

    /** Less or more than any furnace's plate asks for: a thermometer in the glow of the exchanger, a fan that does not turn, the wrong output (common practice). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("rise", new Bounds(15, 110));
    }

    @Override
    Finding find(Given given) {
        double rise = given.number("supply") - given.number("return");
        double least = given.number("least");
        double most = given.number("most");
        double output = given.number("output");
        if (!(rise > 0)) {
            throw new Misfit("supply", "not-warmer");
        }
        if (!(least < most)) {
            throw new Misfit("most", "range-upside-down");
        }
        double middle = (least + most) / 2;
        Curve curve = new Curve(new Curve.Axis(word("is-rise"), TradeUnit.DEGREES_APART), new Curve.Axis(word("is-air"), TradeUnit.CFM),
                List.of(Curve.Stroke.of(word("is-air"), LEAST_CURVE_F, MOST_CURVE_F, f -> Heat.cfm(output, f))),
                List.of(new Curve.Spot(word("spot-now"), rise, Heat.cfm(output, rise)), new Curve.Spot(word("least"), least, Heat.cfm(output, least)),
                        new Curve.Spot(word("most"), most, Heat.cfm(output, most))));
        String says = rise > most ? "faster" : rise < least ? "slower" : "within";
        return finding(says, says.equals("within"), List.of(result("rise", rise, TradeUnit.DEGREES_APART, 0), result("air", Heat.cfm(output, rise), TradeUnit.CFM, 0),
                result("middle", Heat.cfm(output, middle), TradeUnit.CFM, 0)), curve, told(TradeUnit.DEGREES_APART, rise, 0), told(TradeUnit.DEGREES_APART, least, 0), told(TradeUnit.DEGREES_APART, most, 0));
    }
}
