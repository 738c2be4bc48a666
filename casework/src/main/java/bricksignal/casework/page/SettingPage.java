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
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A setting of a unit and how its positions are reached.
 *
 * @param positions in the order in which they come; none where it is a number
 * @param range the numbers that it takes; null where its positions have names
 * @param unit of the number
 * @param factory the position that it leaves the factory with
 * @param byMenu whether it is reached by keys; else it is a switch, a jumper, a knob
 * @param suggests the calculation that says where it should stand, or null
 * @param ways from each position to each other, by keys; empty where it is no menu, or a number: those are asked for
 */
public record SettingPage(String id, @Phrase String label, List<String> positions, UnitModel.@Nullable Range range, String unit, @Phrase String factory, boolean byMenu, @Nullable String suggests, List<KeyWay> ways) {

    /** What is pressed between two positions, one after the other. */
    public record KeyWay(String from, String to, List<Menu.Step> steps) {
    }

    /**
     * A screen of the board's menu.
     *
     * @param sets the label of the setting whose value it changes; null for none
     * @param keys what changes it, up first
     */
    public record MenuScreen(String id, String shows, List<MenuWay> ways, @Nullable @Phrase String sets, List<String> keys) {
    }

    /** What is pressed on a screen, and where it leads. */
    public record MenuWay(String press, String to, boolean saves) {
    }

    /** The screens of a unit's menu, the first is where it stands. */
    public static List<MenuScreen> menu(UnitModel model) {
        return model.menu().screens().stream().map(screen -> new MenuScreen(screen.id(), screen.shows(), screen.ways().stream().map(way -> new MenuWay(way.press(), way.to(), way.saves()))
                .toList(), screen.sets() == null ? null : model.setting(screen.sets()).label(), Stream.of(screen.up(), screen.down()).flatMap(Stream::ofNullable).toList())).toList();
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

    /**
     * What is pressed between two positions of a setting; nothing where it is reached by no keys.
     *
     * @throws Refused if it has no such setting or position
     */
    public static List<Menu.Step> steps(UnitModel model, String id, String from, String to) {
        UnitModel.Setting setting = Refused.beside("setting", () -> model.setting(id));
        return Refused.beside("to", () -> model.menu().steps(id, List.copyOf(setting.options().keySet()), from, to)).orElse(List.of());
    }

    private static SettingPage of(UnitModel model, UnitModel.Setting setting) {
        List<String> positions = setting.range() != null ? List.of() : List.copyOf(setting.options().keySet());
        List<KeyWay> ways = positions.stream().flatMap(from -> positions.stream().filter(to -> !to.equals(from))
                .flatMap(to -> model.menu().steps(setting.id(), positions, from, to).map(steps -> new KeyWay(from, to, steps)).stream())).toList();
        return new SettingPage(setting.id(), setting.label(), positions, setting.range(), setting.unit(), setting.factory(), model.menu().has(setting.id()),
                setting.suggest() == null ? null : setting.suggest().calculation(), ways);
    }
}
