package bricksignal.casework.page;

import bricksignal.casework.entry.Refused;
import bricksignal.core.menu.Menu;
import bricksignal.core.tuning.Calculators;
import bricksignal.core.tuning.Finding;
import bricksignal.core.tuning.Misfit;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A setting of a unit and how its positions are reached.
 *
 * @param positions in the order in which they come
 * @param factory the position that it leaves the factory with
 * @param byMenu whether it is reached by keys; else it is a switch, a jumper, a knob
 * @param suggests the calculation that says where it should stand, or null
 * @param ways from each position to each other, by keys; empty where it is no menu
 */
public record SettingPage(String id, @Phrase String label, List<String> positions, @Phrase String factory, boolean byMenu, @Nullable String suggests, List<KeyWay> ways) {

    /** What is pressed between two positions, one after the other. */
    public record KeyWay(String from, String to, List<Menu.Step> steps) {
    }

    /**
     * Where a setting should stand.
     *
     * @param finding what the calculation says
     * @param position the nearest that the setting has; null where nothing is set by what was found
     */
    public record Suggested(FindingPage finding, @Nullable String position) {
    }

    /**
     * Where a setting of a unit should stand, by its calculation; numbers and what comes of them are in the units of the person.
     *
     * @throws Refused if it has no such setting, or none that is calculated
     * @throws Misfit if a number is missing or does not make sense
     */
    public static Suggested suggested(UnitModel model, String id, Map<String, Double> numbers, Map<String, String> choices, Measures measures) {
        UnitModel.Setting setting = model.settings().stream().filter(one -> one.id().equals(id) && one.suggest() != null).findFirst()
                .orElseThrow(() -> new Refused("setting", Message.of("refused.suggest", Message.said(id))));
        UnitModel.Suggest by = Objects.requireNonNull(setting.suggest());
        Finding finding = Calculators.of(by.calculation()).orElseThrow().of(numbers, choices, measures);
        return new Suggested(FindingPage.of(finding, measures), !finding.stops().isEmpty() ? null : setting.nearest(finding.result(by.result()).orElseThrow().value() * by.times()));
    }

    /** The settings of a unit. */
    public static List<SettingPage> of(UnitModel model) {
        return model.settings().stream().map(setting -> of(model, setting)).toList();
    }

    private static SettingPage of(UnitModel model, UnitModel.Setting setting) {
        List<String> positions = List.copyOf(setting.options().keySet());
        List<KeyWay> ways = positions.stream().flatMap(from -> positions.stream().filter(to -> !to.equals(from))
                .flatMap(to -> model.menu().steps(setting.id(), positions, from, to).map(steps -> new KeyWay(from, to, steps)).stream())).toList();
        return new SettingPage(setting.id(), setting.label(), positions, setting.factory(), model.menu().has(setting.id()),
                setting.suggest() == null ? null : setting.suggest().calculation(), ways);
    }
}
