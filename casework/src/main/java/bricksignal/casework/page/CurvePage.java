package bricksignal.casework.page;

import bricksignal.core.tuning.Curve;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import java.util.List;

/** The picture of a calculation in the units of a person: lines over one axis, and where this unit stands on them. */
public record CurvePage(Axis across, Axis up, List<Stroke> lines, List<Spot> spots) {

    /** An axis; a bare number has no unit. */
    public record Axis(Message label, String unit) {
    }

    /** A line through points in order. */
    public record Stroke(Message label, List<Point> points, Curve.Look look) {
    }

    /** A place on the sheet. */
    public record Point(double x, double y) {
    }

    /** A place that means something. */
    public record Spot(Message label, double x, double y) {
    }

    /** The same in these units. */
    public static CurvePage of(Curve curve, Measures measures) {
        return new CurvePage(axis(curve.across(), measures), axis(curve.up(), measures), curve.lines().stream().map(line -> new Stroke(line.label(), line.points().stream()
                .map(point -> new Point(curve.across().unit().shown(measures, point.x()), curve.up().unit().shown(measures, point.y()))).toList(), line.look())).toList(),
                curve.spots().stream().map(spot -> new Spot(spot.label(), curve.across().unit().shown(measures, spot.x()), curve.up().unit().shown(measures, spot.y()))).toList());
    }

    private static Axis axis(Curve.Axis axis, Measures measures) {
        return new Axis(axis.label(), axis.unit().sign(measures));
    }
}
