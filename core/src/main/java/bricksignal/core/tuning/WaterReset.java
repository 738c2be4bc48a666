package bricksignal.core.tuning;

import bricksignal.core.Known;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Water temperature by the weather: the line to set, from the emitter and the design day ({@link ResetLine}). */
final class WaterReset extends Calculator {

    /** Exponents: EN 442 for radiators 1.3, EN 1264 for floors 1.1, fin tube 1.4, air handlers 1 by the exchanger's own straight line (from memory). */
    private static final Map<String, Double> EXPONENTS = Map.of("fin-tube", 1.4, "cast-iron", 1.3, "floor", 1.1, "air-handler", 1.0);

    /**
     * Least return by what a boiler is made of: cast iron some 10 °F above the dew point of its gases, steel more for the stress in its tubes, copper fins less
     * (common practice, from memory); the maker's figure comes first.
     */
    private static final Map<String, Double> LEAST_RETURN_F = Map.of("condensing", 0.0, "cast-iron", 130.0, "steel", 140.0, "copper-fin", 110.0);
    /** Below it, gases of natural gas give their water up (common practice). */
    private static final double CONDENSES_F = 130;
    private static final double NO_LEAST = 0;

    WaterReset() {
        super("water-reset", Input.of("outdoor", TradeUnit.FAHRENHEIT, 35, -40, 90), Input.of("design", TradeUnit.FAHRENHEIT, 5, -50, 50), Input.of("water", TradeUnit.FAHRENHEIT, 170, 80, 210),
                Input.of("no-heat", TradeUnit.FAHRENHEIT, 62, 45, 75), Input.of("room", TradeUnit.FAHRENHEIT, 70, 55, 80), Input.of("drop", TradeUnit.DEGREES_APART, 20, 2, 60).met(5, 40),
                Input.choice("emitter", "fin-tube", "cast-iron", "floor", "air-handler"), Input.choice("boiler", "condensing", "cast-iron", "steel", "copper-fin"));
    }

    /** The warmest supply that an emitter is made for: a floor burns feet and breaks its screed beyond (EN 1264, from memory: 29 °C at its surface), others go up to the boiler's own limit (common practice). */
    private static final double FLOOR_F = 140;
    private static final double AIR_HANDLER_F = 190;
    private static final double LIMIT_F = 210;
    private static final double COOLEST_F = 80;

    @Override
    Map<String, Bounds> customary(Given given) {
        String emitter = given.choice("emitter");
        return Map.of("hottest", new Bounds(COOLEST_F, emitter.equals("floor") ? FLOOR_F : emitter.equals("air-handler") ? AIR_HANDLER_F : LIMIT_F));
    }

    @Override
    List<Message> facts() {
        return Stream.of("cast-iron", "steel", "copper-fin").map(boiler -> told(TradeUnit.FAHRENHEIT, Known.in(LEAST_RETURN_F, boiler), 0)).toList();
    }

    private static void inOrder(Given given) {
        if (!ResetLine.inOrder(given.number("design"), given.number("no-heat"), given.number("room"), given.number("water"))) {
            throw new Misfit("design", "reset-order", told(TradeUnit.FAHRENHEIT, given.number("design"), 0), told(TradeUnit.FAHRENHEIT, given.number("no-heat"), 0),
                    told(TradeUnit.FAHRENHEIT, given.number("room"), 0), told(TradeUnit.FAHRENHEIT, given.number("water"), 0));
        }
    }

    @Override
    Finding find(Given given) {
        inOrder(given);
        double drop = given.number("drop");
        double back = Known.in(LEAST_RETURN_F, given.choice("boiler"));
        boolean dry = back > 0;
        double least = dry ? back + drop / 2 : NO_LEAST;
        ResetLine line = new ResetLine(given.number("design"), given.number("water"), given.number("no-heat"), given.number("room"),
                Known.in(EXPONENTS, given.choice("emitter")), Math.min(least, given.number("water")));
        double outdoor = given.number("outdoor");
        double water = line.water(outdoor);
        boolean condenses = water - drop / 2 < CONDENSES_F;
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("is-supply"), TradeUnit.FAHRENHEIT),
                List.of(Curve.Stroke.of(word("is-supply"), given.number("design"), given.number("no-heat"), at -> line.water(at) + drop / 2),
                        Curve.Stroke.of(word("is-return"), given.number("design"), given.number("no-heat"), at -> line.water(at) - drop / 2)),
                List.of(new Curve.Spot(word("spot-now"), outdoor, water + drop / 2)));
        String says = dry ? "dry" : condenses ? "condenses" : "hot";
        return finding(says, dry || condenses, List.of(result("supply", water + drop / 2, TradeUnit.FAHRENHEIT, 0), result("return", water - drop / 2, TradeUnit.FAHRENHEIT, 0),
                result("hottest", given.number("water") + drop / 2, TradeUnit.FAHRENHEIT, 0), result("load", 100 * line.load(outdoor), TradeUnit.PERCENT, 0)), curve, told(TradeUnit.FAHRENHEIT, water - drop / 2, 0));
    }
}
