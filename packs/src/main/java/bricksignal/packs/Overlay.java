package bricksignal.packs;

import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Map;

/**
 * One real board over its family, as read: what the door and the diagram say of it.
 *
 * @param id its name
 * @param family the pack it lies over
 * @param choices what was chosen of the family, option by choice; the usual options are not in it
 * @param title as people say it
 * @param model the family's model with the overlay's labels, colours, timings, charts, fuses, values and settings
 * @param relabels whether it changes only what things are called and what the lamp's codes mean: nothing that happens in the unit
 * @param notes what was kept but is worth knowing, such as a pattern that stands twice on a chart
 */
public record Overlay(String id, String family, Map<String, String> choices, String title, UnitModel model, boolean relabels, List<PackProblem> notes) {

    public Overlay {
        choices = Map.copyOf(choices);
        notes = List.copyOf(notes);
    }
}
