package bricksignal.core.diagnosis;

import bricksignal.core.board.run.Timeline;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * How a unit with a hypothesis in it looks to somebody who only watches.
 *
 * @param found by board, the lamp's patterns with their shares of the time in which somebody arrives
 * @param afterReset by board, the same over the whole run
 * @param fails whether a run is not as it should be
 */
record Behaviour(Map<String, Map<LampPattern, Double>> found, Map<String, Map<LampPattern, Double>> afterReset, boolean fails) {

    private static final double DIFFERS = 0.05;

    static Behaviour of(UnitModel model, Hypothesis h, VirtualUnit healthy) {
        double from = model.found().from();
        double to = model.found().to();
        return new Behaviour(shares(model, h, healthy, from, to), shares(model, h, healthy, 0, to),
                fails(model, h.unit(), healthy));
    }

    /** True if in a run that is watched some channel is on for another share of the time than in the sound unit. */
    static boolean fails(UnitModel model, VirtualUnit unit, VirtualUnit healthy) {
        return model.watchedScenarios().stream().anyMatch(scenario ->
                fails(model, unit.run(scenario.id()), healthy.run(scenario.id())));
    }

    /** The same of any run. */
    static boolean fails(UnitModel model, Timeline run, Timeline sound) {
        double to = Math.min(model.found().to(), run.scenario().seconds());
        return run != sound && model.channels().stream().anyMatch(channel ->
                Math.abs(run.share(channel.when(), 0, to) - sound.share(channel.when(), 0, to)) > DIFFERS);
    }

    private static Map<String, Map<LampPattern, Double>> shares(UnitModel model, Hypothesis h, VirtualUnit healthy, double from,
            double to) {
        Map<String, Map<LampPattern, Double>> byBoard = new LinkedHashMap<>();
        for (String board : model.charts().keySet()) {
            Map<LampPattern, Double> shares = new LinkedHashMap<>();
            h.unit().usualRun().lampShares(board, from, to).forEach((p, share) -> shares.merge(p, h.duty() * share, Double::sum));
            if (h.comesAndGoes()) {
                healthy.usualRun().lampShares(board, from, to)
                        .forEach((p, share) -> shares.merge(p, (1 - h.duty()) * share, Double::sum));
            }
            byBoard.put(board, shares);
        }
        return byBoard;
    }
}
