package bricksignal.packs;

import bricksignal.core.board.Machine;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;

/**
 * No unit has exactly the parts that its pack declares. One whose loads all lead a fifth less, or a fifth more, must still do in its
 * usual run what the unit of the pack does: a threshold that lies closer than that to what it watches is a mistake of the pack.
 */
final class ToleranceChecks {

    /** Windings and heaters of the trade differ by so much from their figure (common practice, from memory). */
    private static final double OFF = 0.2;

    private ToleranceChecks() {
    }

    /** Runs the unit with its loads off; what does not come then is noted at its channel. */
    static void run(Section root, UnitModel model) {
        Timeline usual = VirtualUnit.of(model, model.machine()).usualRun();
        compare(root, model, usual, 1 + OFF, "more");
        compare(root, model, usual, 1 - OFF, "less");
    }

    private static void compare(Section root, UnitModel model, Timeline usual, double factor, String way) {
        Timeline run = VirtualUnit.of(model, scaled(model.machine(), factor)).usualRun();
        for (UnitModel.Channel channel : model.channels()) {
            boolean comes = run.first(channel.when()).isPresent();
            if (comes != usual.first(channel.when()).isPresent()) {
                root.at("channels").at(channel.id()).note("with loads of " + Math.round(100 * OFF) + " % " + way + " impedance '"
                        + channel.id() + "' " + (comes ? "comes" : "does not come") + " in the usual run, other than with the declared ones",
                        "Move the threshold away from what the unit in good order has there");
            }
        }
    }

    private static Machine scaled(Machine machine, double factor) {
        Machine scaled = machine;
        for (Element element : machine.circuit().elements()) {
            if (element instanceof Element.Load load && Double.isFinite(load.ohms())) {
                scaled = scaled.withElement(load.scaled(factor));
            }
        }
        return scaled;
    }
}
