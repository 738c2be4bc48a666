package bricksignal.casework.page;

import bricksignal.core.menu.Menu;
import bricksignal.core.unit.UnitModel;
import java.util.List;

/**
 * A setting of a unit and how its positions are reached.
 *
 * @param positions in the order in which they come
 * @param factory the position that it leaves the factory with
 * @param byMenu whether it is reached by keys; else it is a switch, a jumper, a knob
 * @param ways from each position to each other, by keys; empty where it is no menu
 */
public record SettingPage(String id, String label, List<String> positions, String factory, boolean byMenu, List<KeyWay> ways) {

    /** What is pressed between two positions, one after the other. */
    public record KeyWay(String from, String to, List<Menu.Step> steps) {
    }

    /** The settings of a unit. */
    public static List<SettingPage> of(UnitModel model) {
        return model.settings().stream().map(setting -> of(model, setting)).toList();
    }

    private static SettingPage of(UnitModel model, UnitModel.Setting setting) {
        List<String> positions = List.copyOf(setting.options().keySet());
        List<KeyWay> ways = positions.stream().flatMap(from -> positions.stream().filter(to -> !to.equals(from))
                .flatMap(to -> model.menu().steps(setting.id(), positions, from, to).map(steps -> new KeyWay(from, to, steps)).stream())).toList();
        return new SettingPage(setting.id(), setting.label(), positions, setting.factory(), model.menu().has(setting.id()), ways);
    }
}
