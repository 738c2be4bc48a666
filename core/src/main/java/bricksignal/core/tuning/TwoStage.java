package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;

/** When the second stage is needed: from the outdoor temperature below which the first no longer carries the house. */
final class TwoStage extends Calculator {

    private static final double PERCENT = 100;

    TwoStage() {
        super("two-stage", Input.of("outdoor", TradeUnit.FAHRENHEIT, 30, -40, 70), Input.of("design", TradeUnit.FAHRENHEIT, 5, -50, 50), Input.of("no-heat", TradeUnit.FAHRENHEIT, 62, 45, 75),
                Input.of("load", TradeUnit.BTU_AN_HOUR, 48_000, 3_000, 500_000), Input.of("low", TradeUnit.BTU_AN_HOUR, 40_000, 2_000, 400_000), Input.of("high", TradeUnit.BTU_AN_HOUR, 60_000, 3_000, 600_000));
    }

    @Override
    Finding find(Given given) {
        double design = given.number("design");
        double noHeat = given.number("no-heat");
        double low = given.number("low");
        if (!(design < noHeat)) {
            throw new Misfit("design", "not-below-no-heat");
        }
        if (!(low < given.number("high"))) {
            throw new Misfit("low", "low-not-less");
        }
        double load = given.number("load");
        double until = Math.max(design, noHeat - (noHeat - design) * low / load);
        double now = load * Math.max(0, (noHeat - given.number("outdoor")) / (noHeat - design));
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("load"), TradeUnit.BTU_AN_HOUR),
                List.of(Curve.Stroke.of(word("line-house"), design, noHeat, f -> load * (noHeat - f) / (noHeat - design)),
                        Curve.Stroke.of(word("low"), design, noHeat, f -> low), Curve.Stroke.of(word("high"), design, noHeat, f -> given.number("high"))),
                List.of(new Curve.Spot(word("spot-now"), given.number("outdoor"), now)));
        String says = load > given.number("high") ? "short" : load <= low ? "never" : "below";
        return finding(says, !says.equals("short"), List.of(result("until", until, TradeUnit.FAHRENHEIT, 0), result("now", now, TradeUnit.BTU_AN_HOUR, 0),
                result("share", PERCENT * now / low, TradeUnit.PERCENT, 0)), curve, told(TradeUnit.FAHRENHEIT, until, 0));
    }
}
