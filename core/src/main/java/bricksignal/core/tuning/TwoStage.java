package bricksignal.core.tuning;

import java.util.List;

/** When the second stage is needed: from the outdoor temperature below which the first no longer carries the house. */
final class TwoStage extends Calculator {

    private static final double PERCENT = 100;

    TwoStage() {
        super("two-stage", Input.of("outdoor", "°F", 30, -40, 70), Input.of("design", "°F", 5, -50, 50), Input.of("no-heat", "°F", 62, 45, 75),
                Input.of("load", "Btu/h", 48_000, 3_000, 500_000), Input.of("low", "Btu/h", 40_000, 2_000, 400_000), Input.of("high", "Btu/h", 60_000, 3_000, 600_000));
    }

    @Override
    Finding find(Given given) {
        double design = given.number("design");
        double noHeat = given.number("no-heat");
        double low = given.number("low");
        if (!(design < noHeat)) {
            throw new Misfit("design", "the design day is not colder than the day without heating");
        }
        if (!(low < given.number("high"))) {
            throw new Misfit("low", "the low stage gives no less than the high one");
        }
        double load = given.number("load");
        double until = Math.max(design, noHeat - (noHeat - design) * low / load);
        double now = load * Math.max(0, (noHeat - given.number("outdoor")) / (noHeat - design));
        Curve curve = new Curve(new Curve.Axis(word("outdoor"), "°F"), new Curve.Axis(word("load"), "Btu/h"),
                List.of(Curve.Stroke.of(word("line-house"), design, noHeat, f -> load * (noHeat - f) / (noHeat - design)),
                        Curve.Stroke.of(word("low"), design, noHeat, f -> low), Curve.Stroke.of(word("high"), design, noHeat, f -> given.number("high"))),
                List.of(new Curve.Spot(word("spot-now"), given.number("outdoor"), now)));
        String says = load > given.number("high") ? "short" : load <= low ? "never" : "below";
        return finding(says, !says.equals("short"), List.of(result("until", until, "°F", 0), result("now", now, "Btu/h", 0),
                result("share", PERCENT * now / low, "%", 0)), curve, Math.rint(until));
    }
}
