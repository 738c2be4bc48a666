package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * The picture of a calculation: lines over one axis, and where this unit stands on them.
 *
 * @param across the axis of what is given
 * @param up the axis of what comes of it
 */
public record Curve(Axis across, Axis up, List<Stroke> lines, List<Spot> spots) {

    private static final int STEPS = 48;

    public Curve {
        lines = List.copyOf(lines);
        spots = List.copyOf(spots);
    }

    /** An axis. */
    public record Axis(Message label, TradeUnit unit) {
    }

    /** How a line is drawn. */
    public enum Look {
        /** As one of those that are asked for. */
        PLAIN,
        /** As a line of the paper below them. */
        FAINT,
        /** As the upper border of all that is meant. */
        ALL_BELOW
    }

    /** A line through points in order. */
    public record Stroke(Message label, List<Point> points, Look look) {
        public Stroke {
            points = List.copyOf(points);
        }

        /** One that is asked for. */
        Stroke(Message label, List<Point> points) {
            this(label, points, Look.PLAIN);
        }

        /** A function between two places. */
        static Stroke of(Message label, double from, double to, DoubleUnaryOperator function) {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i <= STEPS; i++) {
                double x = from + (to - from) * i / STEPS;
                points.add(new Point(x, function.applyAsDouble(x)));
            }
            return new Stroke(label, points);
        }
    }

    /** A place on the sheet. */
    public record Point(double x, double y) {
    }

    /** A place that means something. */
    public record Spot(Message label, double x, double y) {
    }
}
