package bricksignal.core.air;

import java.util.ArrayList;
import java.util.List;

/**
 * What an economizer should do with the air outdoors, and the picture of it.
 *
 * @param outdoor the air outdoors
 * @param returned the air that comes back from the space; of the same pressure
 * @param changeover how the board judges
 * @param zone climate zone, 1A to 8
 * @param least share of outdoor air that people need, 0 to 1
 * @param setC what the mixture is held at while outdoors cools, degrees Celsius; some 53 °F is common practice
 */
public record Economizer(MoistAir outdoor, MoistAir returned, Changeover changeover, String zone, double least, double setC) {

    /** The chart goes from so many degrees Fahrenheit to so many, by two. */
    private static final int FROM_F = 30;
    private static final int TO_F = 110;
    private static final int STEP_F = 2;

    public Economizer {
        Changeover.limitF(zone);
        OutdoorShare.wanted(outdoor.dryBulbC(), returned.dryBulbC(), setC, least);
        if (outdoor.pressurePa() != returned.pressurePa()) {
            throw new IllegalArgumentException("outdoors stands at " + outdoor.pressurePa() + " Pa and the air that returns at " + returned.pressurePa()
                    + "; both are of one place");
        }
    }

    /** A point of the chart: degrees Celsius and kilogram of water a kilogram of dry air. */
    public record Point(double dryBulbC, double humidityRatio) {
    }

    /** Whether the air outdoors is good enough. */
    public Changeover.Judgement judgement() {
        return changeover.judge(outdoor, returned, zone);
    }

    /** The share of outdoor air that the board should let in now. */
    public double share() {
        return judgement().free() ? OutdoorShare.wanted(outdoor.dryBulbC(), returned.dryBulbC(), setC, least) : least;
    }

    /** What the mixture then is. */
    public MoistAir mixed() {
        return returned.mixedWith(outdoor, share());
    }

    /** The line of a relative humidity over the chart, 0 to 1. */
    public List<Point> line(double humidity) {
        List<Point> line = new ArrayList<>();
        for (int f = FROM_F; f <= TO_F; f += STEP_F) {
            line.add(new Point(Degrees.celsius(f), MoistAir.ofRelativeHumidity(Degrees.celsius(f), humidity, outdoor.pressurePa()).humidityRatio()));
        }
        return line;
    }

    /** The upper border of the air that is good enough: damper open below it; ends where no air is good enough. */
    public List<Point> border() {
        List<Point> border = new ArrayList<>();
        for (int f = FROM_F; f <= TO_F; f++) {
            double celsius = Degrees.celsius(f);
            if (!free(celsius, 0)) {
                break;
            }
            border.add(new Point(celsius, wettest(celsius)));
        }
        return border;
    }

    private boolean free(double celsius, double ratio) {
        return changeover.judge(new MoistAir(celsius, ratio, outdoor.pressurePa()), returned, zone).free();
    }

    private double wettest(double celsius) {
        double saturated = MoistAir.ofRelativeHumidity(celsius, 1, outdoor.pressurePa()).humidityRatio();
        return MoistAir.halved(0, saturated, ratio -> !free(celsius, ratio));
    }
}
