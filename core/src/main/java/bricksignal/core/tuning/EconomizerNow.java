package bricksignal.core.tuning;

import bricksignal.core.air.Changeover;
import bricksignal.core.air.Degrees;
import bricksignal.core.air.Economizer;
import bricksignal.core.air.MoistAir;
import bricksignal.core.air.OutdoorShare;
import bricksignal.core.words.Measures;
import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** What an economizer should do with the air outdoors, on the chart of moist air; rules and limits by {@link Economizer} and {@link Changeover}. */
final class EconomizerNow extends Calculator {

    private static final double PERCENT = 100;
    /** Grains in a pound: moisture of the trade's charts. */
    private static final double GRAINS = 7000;
    /** The chart ends here, grains a pound: past it no comfort system works. */
    private static final double MOST_GRAINS = 160;
    private static final int TENTHS = 10;
    private static final List<Double> LINES = List.of(0.2, 0.4, 0.6, 0.8, 1.0);

    EconomizerNow() {
        super("economizer", Input.of("outdoor", TradeUnit.FAHRENHEIT, 54, -40, 130), Input.of("outdoor-humidity", TradeUnit.PERCENT, 60, 0, 100),
                Input.of("return", TradeUnit.FAHRENHEIT, 75, 40, 110), Input.of("return-humidity", TradeUnit.PERCENT, 50, 0, 100),
                Input.maybe("mixed", TradeUnit.FAHRENHEIT, -40, 130), Input.of("least", TradeUnit.PERCENT, 20, 0, 100), Input.of("set", TradeUnit.FAHRENHEIT, 53, 35, 75),
                Input.of("altitude", TradeUnit.FEET, 0, -1000, 12_000), Input.choice("zone", ChangeoverLimit.ZONES),
                Input.choice("changeover", "dry-bulb", "differential-dry-bulb", "enthalpy", "differential-enthalpy"));
    }

    @Override
    Finding find(Given given) {
        String zone = given.choice("zone");
        Changeover changeover = Changeover.valueOf(given.choice("changeover").replace('-', '_').toUpperCase(Locale.ROOT));
        double pressure = MoistAir.standardPressurePa(TradeUnit.FEET.shown(Measures.METRIC, given.number("altitude")));
        Economizer economizer = new Economizer(air(given, "outdoor", pressure), air(given, "return", pressure), changeover, zone, given.number("least") / PERCENT,
                Degrees.celsius(given.number("set")));
        Changeover.Judgement judgement = economizer.judgement();
        Finding found = finding(judgement.free() ? "free" : "not-free", true, results(economizer, given), curve(economizer), word("by-" + named(judgement.by())));
        return changeover.allowed(zone) ? found : found.stopped(List.of(word("stop-codes", word("zone." + zone), told(TradeUnit.FAHRENHEIT, Changeover.limitF(zone), 0))));
    }

    private static MoistAir air(Given given, String where, double pressure) {
        return MoistAir.ofRelativeHumidity(Degrees.celsius(given.number(where)), given.number(where + "-humidity") / PERCENT, pressure);
    }

    private static String named(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private List<Finding.Result> results(Economizer economizer, Given given) {
        List<Finding.Result> results = new ArrayList<>(List.of(result("signal", OutdoorShare.volts(economizer.share()), TradeUnit.VOLTS_DC, 1),
                result("share", PERCENT * economizer.share(), TradeUnit.PERCENT, 0)));
        if (given.maybe("mixed").isPresent()) {
            OutdoorShare measured = OutdoorShare.of(given.number("outdoor"), given.number("return"), given.number("mixed"), OutdoorShare.THERMOMETER_F)
                    .orElseThrow(() -> new Misfit("mixed", "no-mixture"));
            results.add(result("measured", PERCENT * measured.share(), TradeUnit.PERCENT, 0));
            results.add(result("error", 2 * PERCENT * measured.sigma(), TradeUnit.PERCENT, 0));
        }
        results.add(degrees("mixed", economizer.mixed(), MoistAir::dryBulbC));
        results.add(degrees("wet-bulb", economizer.outdoor(), MoistAir::wetBulbC));
        results.add(degrees("dew-point", economizer.outdoor(), MoistAir::dewPointC));
        results.add(result("outdoor-heat", Changeover.btu(economizer.outdoor()), TradeUnit.ENTHALPY, 1));
        results.add(result("return-heat", Changeover.btu(economizer.returned()), TradeUnit.ENTHALPY, 1));
        return results;
    }

    private Finding.Result degrees(String name, MoistAir air, ToDoubleFunction<MoistAir> celsius) {
        return result(name, Degrees.fahrenheit(celsius.applyAsDouble(air)), TradeUnit.FAHRENHEIT, 1);
    }

    private Curve curve(Economizer economizer) {
        List<Curve.Stroke> strokes = new ArrayList<>();
        for (double humidity : LINES) {
            strokes.add(new Curve.Stroke(word("line", told(TradeUnit.PERCENT, PERCENT * humidity, 0)), drawn(economizer.line(humidity)), humidity < 1 ? Curve.Look.FAINT : Curve.Look.PLAIN));
        }
        strokes.add(new Curve.Stroke(word("mixing"), mixtures(economizer)));
        List<Economizer.Point> border = economizer.border();
        if (border.size() > 1) {
            strokes.add(new Curve.Stroke(word("region"), drawn(border), Curve.Look.ALL_BELOW));
        }
        return new Curve(new Curve.Axis(word("dry-bulb"), TradeUnit.FAHRENHEIT), new Curve.Axis(word("moisture"), TradeUnit.GRAINS_A_POUND), strokes,
                List.of(spot("outdoor", economizer.outdoor()), spot("return", economizer.returned()), spot("mixed", economizer.mixed())));
    }

    /** The mixtures of both, tenth by tenth; straight on this chart, near enough. */
    private static List<Curve.Point> mixtures(Economizer economizer) {
        Curve.Point from = point(economizer.outdoor());
        Curve.Point to = point(economizer.returned());
        return IntStream.rangeClosed(0, TENTHS).mapToDouble(i -> i / (double) TENTHS).mapToObj(share -> new Curve.Point(from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y())))
                .toList();
    }

    private static List<Curve.Point> drawn(List<Economizer.Point> line) {
        return line.stream().map(point -> point(point.dryBulbC(), point.humidityRatio())).takeWhile(point -> point.y() <= MOST_GRAINS).toList();
    }

    private Curve.Spot spot(String name, MoistAir air) {
        Curve.Point at = point(air);
        return new Curve.Spot(word("spot-" + name), at.x(), at.y());
    }

    private static Curve.Point point(MoistAir air) {
        return point(air.dryBulbC(), air.humidityRatio());
    }

    private static Curve.Point point(double celsius, double humidityRatio) {
        return new Curve.Point(Degrees.fahrenheit(celsius), GRAINS * humidityRatio);
    }
}
