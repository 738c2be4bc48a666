package bricksignal.packs;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The choices of a family: which there are, which options go together, and the sections of those that are chosen. */
final class Choices {

    private final Section root;

    Choices(Section root) {
        this.root = root;
    }

    /** What there is to choose. */
    List<Composition.Choice> list() {
        return root.at("choices").children().entrySet().stream().map(choice -> {
            Map<String, String> options = new LinkedHashMap<>();
            choice.getValue().at("options").children().forEach((id, option) -> options.put(id, option.text("label")));
            return new Composition.Choice(choice.getKey(), choice.getValue().text("label"), choice.getValue().text("usual"), options);
        }).toList();
    }

    /** What is asked for, and the usual option of every choice that it leaves open. */
    Map<String, String> whole(Map<String, String> asked) {
        Map<String, String> whole = new LinkedHashMap<>();
        root.at("choices").children().forEach((name, choice) -> whole.put(name, choice.text("usual")));
        whole.putAll(asked);
        return whole;
    }

    /** The options chosen, in the order of the choices; what cannot be chosen so is noted. */
    List<Section> chosen(Map<String, String> asked) {
        Map<String, Section> choices = root.at("choices").children();
        List<Section> options = new ArrayList<>();
        asked.keySet().stream().filter(name -> !choices.containsKey(name)).forEach(name -> root.at("choices").note("there is no choice '"
                + name + "'", "Take it out, or correct the name" + ModelChecks.maybe(name, choices.keySet())));
        Map<String, String> taken = new LinkedHashMap<>();
        choices.forEach((name, choice) -> {
            String option = asked.getOrDefault(name, choice.text("usual"));
            Map<String, Section> all = choice.at("options").children();
            Section found = all.get(option);
            if (found == null) {
                choice.note("the choice '" + name + "' has no option '" + option + "'", "Choose one of " + String.join(", ", all.keySet())
                        + ModelChecks.maybe(option, all.keySet()));
            } else {
                options.add(found);
                taken.put(name, option);
            }
        });
        for (Section pair : root.items("not-together")) {
            boolean both = pair.children().entrySet().stream().filter(e -> !e.getKey().equals("because"))
                    .allMatch(e -> pair.text(e.getKey()).equals(taken.get(e.getKey())));
            if (both) {
                pair.note("these do not go together: " + pair.text("because"), "Choose another option of one of them");
            }
        }
        return options;
    }

    /** Every way to choose that goes together, the usual one first. */
    static List<Map<String, String>> all(Section root) {
        List<Map<String, String>> ways = new ArrayList<>(List.of(Map.of()));
        root.at("choices").children().forEach((name, choice) -> {
            List<String> options = new ArrayList<>(List.of(choice.text("usual")));
            choice.at("options").children().keySet().stream().filter(option -> !options.contains(option)).forEach(options::add);
            List<Map<String, String>> more = new ArrayList<>();
            ways.forEach(way -> options.forEach(option -> {
                Map<String, String> longer = new LinkedHashMap<>(way);
                longer.put(name, option);
                more.add(longer);
            }));
            ways.clear();
            ways.addAll(more);
        });
        return ways.stream().filter(way -> {
            Section anew = root.anew();
            new Choices(anew).chosen(way);
            return !anew.hasProblems();
        }).toList();
    }
}
