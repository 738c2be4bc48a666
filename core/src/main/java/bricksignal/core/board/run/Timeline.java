package bricksignal.core.board.run;

import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.lamp.LampPattern;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A run: intervals between events, exact in time, covering the scenario without gap.
 *
 * @param scenario what was done
 * @param intervals in order of time
 * @param chattering true when somewhere the unit found no rest and changed again and again within one instant
 */
public record Timeline(Scenario scenario, List<Interval> intervals, boolean chattering) {

    public Timeline {
        intervals = List.copyOf(intervals);
    }

    /**
     * A stretch in which nothing changes but process values on their way.
     *
     * @param start seconds, included
     * @param end seconds, excluded
     */
    public record Interval(double start, double end, Snapshot unit) {

        public double seconds() {
            return end - start;
        }

        /** The unit halfway through, to evaluate expressions against. */
        public Env middle() {
            return unit.at((start + end) / 2);
        }
    }

    /**
     * The interval at that time.
     *
     * @throws IllegalArgumentException if the time is outside the run
     */
    public Interval at(double time) {
        for (Interval interval : intervals) {
            if (time >= interval.start() && time < interval.end()) {
                return interval;
            }
        }
        throw new IllegalArgumentException("time " + time + " s is outside the run of " + scenario.seconds() + " s");
    }

    /** The first interval in which a condition holds halfway through. */
    public Optional<Interval> first(Expr condition) {
        return intervals.stream().filter(interval -> condition.holds(interval.middle())).findFirst();
    }

    /** The first unbroken stretch in which a condition holds: its start and end in seconds. */
    public Optional<double[]> firstStretch(Expr condition) {
        double start = Double.NaN;
        double end = Double.NaN;
        for (Interval interval : intervals) {
            boolean holds = condition.holds(interval.middle());
            if (holds) {
                start = Double.isNaN(start) ? interval.start() : start;
                end = interval.end();
            } else if (!Double.isNaN(start)) {
                break;
            }
        }
        return Double.isNaN(start) ? Optional.empty() : Optional.of(new double[] {start, end});
    }

    /** The share of the time between two instants in which a condition holds, 0 to 1. */
    public double share(Expr condition, double from, double to) {
        double held = 0;
        for (Interval interval : intervals) {
            double overlap = Math.min(to, interval.end()) - Math.max(from, interval.start());
            if (overlap > 0 && condition.holds(interval.middle())) {
                held += overlap;
            }
        }
        return held / (to - from);
    }

    /** For each pattern of a board's lamp seen between two times, the share of that time; shares sum to one. */
    public Map<LampPattern, Double> lampShares(String board, double from, double to) {
        Map<LampPattern, Double> shares = new LinkedHashMap<>();
        for (Interval interval : intervals) {
            double overlap = Math.min(to, interval.end()) - Math.max(from, interval.start());
            if (overlap > 0) {
                shares.merge(interval.unit().lamps().get(board), overlap / (to - from), Double::sum);
            }
        }
        return shares;
    }
}
