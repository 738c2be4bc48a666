package bricksignal.packs;

import bricksignal.core.board.Expr;
import bricksignal.core.board.Rule;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Stamp;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashSet;
import java.util.Set;

/** What a gauge is judged against must be what the switch on that value really goes by: else a reading is scaled by a lie. */
final class StampChecks {

    private StampChecks() {
    }

    static void run(Section root, UnitModel model) {
        for (Test.Reading reading : model.readings()) {
            Stamp stamp = reading.place() instanceof Place.Gauge gauge ? gauge.stamp() : null;
            if (stamp != null) {
                String quantity = ((Place.Gauge) reading.place()).quantity();
                Set<Double> thresholds = thresholds(model, quantity);
                if (!thresholds.isEmpty() && !thresholds.contains(stamp.value())) {
                    root.at("readings").at(reading.id()).at("stamp").note("no switch that goes by '" + quantity + "' moves at "
                            + stamp.value(), "Give the value at which it does: one of " + thresholds);
                }
            }
        }
    }

    private static Set<Double> thresholds(UnitModel model, String quantity) {
        Set<Double> thresholds = new LinkedHashSet<>();
        for (Rule rule : model.machine().rules().values()) {
            if (rule instanceof Rule.Latches latches) {
                threshold(latches.opens(), quantity, thresholds);
                if (latches.closes() != null) {
                    threshold(latches.closes(), quantity, thresholds);
                }
            }
        }
        return thresholds;
    }

    private static void threshold(Expr expr, String quantity, Set<Double> into) {
        if (expr instanceof Expr.Binary compared && compared.left() instanceof Expr.Name name && name.name().equals(quantity)
                && compared.right() instanceof Expr.Number number) {
            into.add(number.number());
        }
    }
}
