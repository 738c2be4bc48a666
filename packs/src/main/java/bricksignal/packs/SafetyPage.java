package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What may be done to each family, as a page that a person of the trade reads in one sitting: each test with what it is done to, what can
 * hurt there and how it is prepared, and what was withdrawn and why. Made of the models; nothing of it is written by hand.
 */
public final class SafetyPage {

    private SafetyPage() {
    }

    /**
     * The page.
     *
     * @param words makes words of a message
     */
    public static String of(Function<Message, String> words) {
        StringBuilder page = new StringBuilder("# What may be done, to what, prepared how\n\nMade by `bin/pack safety` from the models of the families as they usually are; a test "
                + "holds it current. Common practice, reviewed by no licensed person: the maker's instructions, the local code and licensed practice come first.\n\n");
        devices(page, words);
        stops(page, words);
        PackLibrary.ids().forEach(id -> family(page, PackLibrary.ready(id), words));
        return page.toString();
    }

    private static void devices(StringBuilder page, Function<Message, String> words) {
        page.append("## Device kinds\n\n| device | in packs | fed directly | ohms with the power off | probed live at its terminals | swapped for a test |\n|---|---|---|---|---|---|\n");
        for (Device d : Device.values()) {
            row(page, words.apply(Message.of("device." + d)), "`" + d.text() + "`", plain(d.feed()), d.ohms() ? "yes" : "no", d.probedLive() ? "yes" : "no", plain(d.swap()));
        }
    }

    private static void stops(StringBuilder page, Function<Message, String> words) {
        page.append("\n## What ends a diagnosis\n\n| found | still allowed | lifted by | a lead may let it go on | goes on when |\n|---|---|---|---|---|\n");
        for (Stop stop : Stop.values()) {
            row(page, words.apply(stop.says("what")), plain(stop.left()), stop.licence(bricksignal.core.unit.Dangers.NONE) == Stop.Licence.NONE ? "anybody, by name"
                    : plain(stop.licence(GAS)), stop.leadMay() ? "yes, with a reason" : "no", words.apply(stop.says("until")));
        }
    }

    private static final bricksignal.core.unit.Dangers GAS = new bricksignal.core.unit.Dangers(Map.of(), Map.of(), Map.of(), Map.of(), Map.of(),
            bricksignal.core.unit.Dangers.Refrigerant.NONE, Set.of(bricksignal.core.unit.Dangers.Fuel.GAS));

    private static void family(StringBuilder page, CompiledPack pack, Function<Message, String> words) {
        UnitModel model = pack.model();
        page.append("\n## ").append(model.title()).append("\n\n| test | when | hazards | license | put in or taken off |\n|---|---|---|---|---|\n");
        Map<String, List<String>> alike = new LinkedHashMap<>();
        for (Test test : pack.catalogue().tests()) {
            String hazards = pack.catalogue().safety().hazards(test).stream().map(SafetyPage::plain).collect(Collectors.joining(", "));
            Change change = test instanceof Test.Check check ? check.change() : Change.NONE;
            boolean look = test instanceof Test.Check check && check.sense().onlyPerceives();
            if (!look || !hazards.isEmpty()) {
                String key = " | " + model.moment(test.moment()).label() + " | " + hazards + " | " + licences(pack.catalogue().safety().licences(test)) + " | " + words.apply(change.says()) + " |";
                alike.computeIfAbsent(key, k -> new ArrayList<>()).add(words.apply(test.label()));
            }
        }
        alike.forEach((key, labels) -> page.append("| ").append(String.join("; ", labels)).append(key).append('\n'));
        Map<String, Set<String>> why = new LinkedHashMap<>();
        pack.catalogue().withdrawn().forEach((test, reason) -> why.computeIfAbsent(words.apply(reason), k -> new TreeSet<>()).add(words.apply(test.label())));
        page.append("\nWithdrawn:\n\n");
        why.forEach((reason, tests) -> page.append("- ").append(reason).append(": ").append(String.join("; ", tests)).append('\n'));
    }

    private static void row(StringBuilder page, String... cells) {
        page.append("| ").append(String.join(" | ", Arrays.asList(cells))).append(" |\n");
    }

    private static String licences(Set<Stop.Licence> needed) {
        return needed.stream().map(SafetyPage::plain).collect(Collectors.joining(", "));
    }

    private static String plain(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
