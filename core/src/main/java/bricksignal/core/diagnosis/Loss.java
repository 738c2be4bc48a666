package bricksignal.core.diagnosis;

import bricksignal.core.board.Machine;
import bricksignal.core.board.run.Simulation;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What goes in which order when a fault sets in while the unit runs.
 *
 * @param after by point, seconds from the onset until its voltage is gone; nothing of what stays
 */
record Loss(Map<String, Double> after) {

    /** Two meters that are watched at once show no less as one after the other, seconds. From memory. */
    private static final double AT_ONCE_SECONDS = 0.5;
    /** Less than this is no voltage that anybody watches. */
    private static final double LEAST_VOLTS = 1;
    private static final double GONE = 0.5;

    /** The usual run of a unit in good order, and the machine that it becomes while most of it runs. */
    static Loss of(UnitModel model, Timeline nominal, Machine becomes, SolvedStates solved) {
        double onset = busiest(model, nominal);
        Timeline run = Simulation.run(model.machine(), onset, becomes, nominal.scenario(), solved);
        Solution before = nominal.at(onset).unit().solution();
        Map<String, Double> after = new LinkedHashMap<>();
        for (Timeline.Interval interval : run.intervals()) {
            if (interval.start() >= onset) {
                Solution should = nominal.at(interval.start()).unit().solution();
                for (Point point : model.points()) {
                    double volts = volts(before, point);
                    if (volts >= LEAST_VOLTS && volts(interval.unit().solution(), point) < GONE * volts
                            && volts(should, point) >= GONE * volts) {
                        after.putIfAbsent(point.net(), interval.start() - onset);
                    }
                }
            }
        }
        return new Loss(after);
    }

    /** True for a point whose voltage is among the first that go. */
    boolean goesFirst(String point) {
        double first = after.values().stream().mapToDouble(Double::doubleValue).min().orElse(Double.NEGATIVE_INFINITY);
        return after.getOrDefault(point, Double.POSITIVE_INFINITY) <= first + AT_ONCE_SECONDS;
    }

    private static double busiest(UnitModel model, Timeline nominal) {
        Timeline.Interval busy = nominal.intervals().stream().max(Comparator.comparingDouble(interval ->
                model.channels().stream().filter(c -> c.when().holds(interval.middle())).count())).orElseThrow();
        return (busy.start() + busy.end()) / 2;
    }

    private static double volts(Solution solution, Point point) {
        return solution.rms(point.net(), point.against());
    }
}
