package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Timeline;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * When a channel is on in the usual run of a unit.
 *
 * @param spans stretches in which it is on, in order, seconds of the run
 * @param runsBefore whether it is on before the call is placed
 * @param begins seconds after the call at which it begins; what runs already begins at 0
 * @param ends seconds after the call at which it ends
 */
record ChannelRun(List<Span> spans, boolean runsBefore, List<Double> begins, List<Double> ends) {

    private static final double JUST_BEFORE_SECONDS = 0.05;
    /** Two ends that nobody tells apart. */
    private static final double SAME_SECONDS = 3;

    /** A stretch of time, seconds of the run. */
    record Span(double from, double to) {
    }

    ChannelRun {
        spans = List.copyOf(spans);
        begins = List.copyOf(begins);
        ends = List.copyOf(ends);
    }

    /**
     * Reads a run.
     *
     * @param call when the call is placed, seconds of the run
     * @param window how long after it counts, seconds
     */
    static ChannelRun of(Timeline run, Expr when, double call, double window) {
        List<Span> spans = new ArrayList<>();
        for (Timeline.Interval interval : run.intervals()) {
            if (when.holds(interval.middle())) {
                int last = spans.size() - 1;
                boolean goesOn = last >= 0 && spans.get(last).to() == interval.start();
                Span span = new Span(goesOn ? spans.get(last).from() : interval.start(), interval.end());
                if (goesOn) {
                    spans.set(last, span);
                } else {
                    spans.add(span);
                }
            }
        }
        double before = Math.max(0, call - JUST_BEFORE_SECONDS);
        boolean runsBefore = spans.stream().anyMatch(span -> span.from() <= before && before < span.to());
        List<Double> begins = new ArrayList<>();
        if (runsBefore) {
            begins.add(0.0);
        }
        List<Double> ends = new ArrayList<>();
        for (Span span : spans) {
            if (span.from() >= call && span.from() < call + window) {
                begins.add(span.from() - call);
            }
            if (span.to() >= call && span.to() < call + window && span.to() < run.scenario().seconds()) {
                ends.add(span.to() - call);
            }
        }
        return new ChannelRun(spans, runsBefore, begins, ends);
    }

    /** When it ends although in the unit in good order it goes on, seconds after the call. */
    DoubleStream endsEarly(ChannelRun good) {
        return ends.stream().mapToDouble(Double::doubleValue).filter(end -> good.begins.stream().filter(begin -> begin <= end).count()
                > good.ends.stream().filter(due -> due <= end + SAME_SECONDS).count());
    }

    List<Double> edges(boolean begin) {
        return begin ? begins : ends;
    }
}
