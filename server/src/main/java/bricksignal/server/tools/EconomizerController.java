package bricksignal.server.tools;

import bricksignal.core.air.Changeover;
import bricksignal.core.air.Degrees;
import bricksignal.core.air.Economizer;
import bricksignal.core.air.MoistAir;
import bricksignal.core.air.OutdoorShare;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What an economizer should do now, with the chart of moist air; units of the trade. */
@RestController
class EconomizerController {

    private static final double PERCENT = 100;
    private static final double METRES_OF_A_FOOT = 0.3048;
    /** Grains in a pound: moisture of the trade's charts. */
    private static final double GRAINS = 7000;
    private static final List<Double> LINES = List.of(0.2, 0.4, 0.6, 0.8, 1.0);

    /**
     * What is known.
     *
     * @param mixedF what is measured of the mixture, or null
     * @param least percent of outdoor air that people need
     */
    record EconomizerInput(@DecimalMin("-40") @DecimalMax("130") double outdoorF, @DecimalMin("0") @DecimalMax("100") double outdoorHumidity,
            @DecimalMin("40") @DecimalMax("110") double returnF, @DecimalMin("0") @DecimalMax("100") double returnHumidity,
            @DecimalMin("-40") @DecimalMax("130") @Nullable Double mixedF, @DecimalMin("-1000") @DecimalMax("12000") double altitudeFt,
            @NotNull @Pattern(regexp = "[1-8][ABC]?", message = "is no climate zone; they go from 1A to 8") String zone,
            @NotNull Changeover changeover, @DecimalMin("0") @DecimalMax("100") double least, @DecimalMin("35") @DecimalMax("75") double setF) {

        Economizer economizer() {
            double pressure = MoistAir.standardPressurePa(METRES_OF_A_FOOT * altitudeFt);
            return new Economizer(MoistAir.ofRelativeHumidity(Degrees.celsius(outdoorF), outdoorHumidity / PERCENT, pressure),
                    MoistAir.ofRelativeHumidity(Degrees.celsius(returnF), returnHumidity / PERCENT, pressure), changeover, zone, least / PERCENT,
                    Degrees.celsius(setF));
        }
    }

    /** A state of air: temperatures in degrees Fahrenheit, humidity in percent, heat in Btu and moisture in grains a pound of dry air. */
    record AirState(double dryBulb, double humidity, double wetBulb, double dewPoint, double btu, double grains) {

        static AirState of(MoistAir air) {
            return new AirState(Degrees.fahrenheit(air.dryBulbC()), PERCENT * air.relativeHumidity(), Degrees.fahrenheit(air.wetBulbC()),
                    Degrees.fahrenheit(air.dewPointC()), Changeover.btu(air), GRAINS * air.humidityRatio());
        }
    }

    /** A point of the chart: degrees Fahrenheit and grains a pound of dry air. */
    record ChartPoint(double dryBulb, double grains) {

        static List<ChartPoint> of(List<Economizer.Point> line) {
            return line.stream().map(p -> new ChartPoint(Degrees.fahrenheit(p.dryBulbC()), GRAINS * p.humidityRatio())).toList();
        }
    }

    /** A line of the chart. */
    record HumidityLine(double humidity, List<ChartPoint> points) {
    }

    /** A share in percent with one standard deviation. */
    record MeasuredShare(double percent, double sigma) {
    }

    /**
     * What comes of it.
     *
     * @param allowed whether energy codes allow the changeover in that climate
     * @param limitF the limit of temperature of the climate
     * @param share percent of outdoor air that should be let in
     * @param volts at the actuator for it, a damper being as open as the share
     * @param measured the share that three thermometers show; null where they tell nothing
     * @param border above it no air is good enough
     */
    record EconomizerView(AirState outdoor, AirState returned, AirState mixed, boolean free, boolean allowed, Changeover.By by, double limitF, double share, double volts,
            @Nullable MeasuredShare measured, List<HumidityLine> lines, List<ChartPoint> border) {
    }

    @PostMapping("/api/tools/economizer")
    EconomizerView economizer(@Valid @RequestBody EconomizerInput input) {
        Economizer economizer = Tools.computed(input::economizer);
        Changeover.Judgement judgement = economizer.judgement();
        Double mixed = input.mixedF();
        MeasuredShare measured = mixed == null ? null : OutdoorShare.of(input.outdoorF(), input.returnF(), mixed, OutdoorShare.THERMOMETER_F)
                .map(share -> new MeasuredShare(PERCENT * share.share(), PERCENT * share.sigma())).orElse(null);
        return new EconomizerView(AirState.of(economizer.outdoor()), AirState.of(economizer.returned()), AirState.of(economizer.mixed()), judgement.free(),
                input.changeover().allowed(input.zone()), judgement.by(), Changeover.limitF(input.zone()), PERCENT * economizer.share(), OutdoorShare.volts(economizer.share()), measured,
                LINES.stream().map(h -> new HumidityLine(PERCENT * h, ChartPoint.of(economizer.line(h)))).toList(),
                ChartPoint.of(economizer.border()));
    }
}
