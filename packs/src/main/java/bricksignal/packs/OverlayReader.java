package bricksignal.packs;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads an overlay and lays it over its family: the pack's document is changed where the overlay says so and then read as any
 * pack is, so that an overlay cannot make a unit that a pack could not. All problems of a step are told at once.
 */
public final class OverlayReader {

    private final Section overlay;
    private final UnitModel family;
    private final Document pack;
    private final ObjectNode changed;
    private final List<PackProblem> problems;
    private final List<PackProblem> notes = new ArrayList<>();

    private OverlayReader(Section overlay, Document pack) {
        this.overlay = overlay;
        this.pack = pack;
        this.family = PackReader.read(pack);
        this.changed = (ObjectNode) pack.root().deepCopy();
        this.problems = overlay.problems();
    }

    /**
     * The overlay of a text over its family as it ships.
     *
     * @throws PackException as {@link #read(String, String)}
     */
    public static Overlay read(String yaml) {
        return read(yaml, PackLibrary.families());
    }

    /**
     * The overlay of a text over one of these families.
     *
     * @param families by name
     * @throws PackException if the text is not YAML, does not fit the schema, names a family that is not there, or something
     *     that its family does not have
     */
    public static Overlay read(String yaml, Map<String, Family> families) {
        Section root = root(yaml);
        String id = root.text("family");
        Family family = families.get(id);
        if (family == null) {
            root.at("family").note("there is no family '" + id + "'", "Choose one of " + String.join(", ", families.keySet())
                    + ModelChecks.maybe(id, families.keySet()));
            throw new PackException(root.problems());
        }
        return new OverlayReader(root, composed(root, family)).laid();
    }

    /**
     * The overlay of a text.
     *
     * @param familyText the text of its family as it was at some time
     * @throws PackException as {@link #read(String, Map)}
     */
    public static Overlay read(String yaml, String familyText) {
        return new OverlayReader(root(yaml), Document.read(familyText, Document.Shape.PACK)).laid();
    }

    private static Section root(String yaml) {
        Document document = Document.read(yaml, Document.Shape.OVERLAY);
        return new Section(document, document.root(), "", new ArrayList<>());
    }

    /**
     * What an overlay's text says was chosen of its family, option by choice.
     *
     * @throws PackException if the text is not YAML or does not fit the schema
     */
    public static Map<String, String> choices(String yaml) {
        return chosen(root(yaml));
    }

    private static Map<String, String> chosen(Section overlay) {
        Map<String, String> chosen = new LinkedHashMap<>();
        overlay.at("choices").children().keySet().forEach(choice -> chosen.put(choice, overlay.at("choices").text(choice)));
        return chosen;
    }

    /** The family with the overlay's choices made; what cannot be chosen is the overlay's problem. */
    private static Document composed(Section overlay, Family family) {
        try {
            return Document.read(family.text(chosen(overlay)), Document.Shape.PACK);
        } catch (PackException refused) {
            throw new PackException(refused.problems().stream().map(p -> overlay.at("choices").problem(p.reason(), p.remedy())).toList());
        }
    }

    private Overlay laid() {
        values("timings", "parameters", "value");
        values("labels", "points", "label");
        values("colours", "points", "colour");
        values("fuses", "circuit", "amps");
        values("handling", "parts", "handling");
        nominals();
        call();
        settings();
        limits();
        if (overlay.has("menu")) {
            changed.set("menu", overlay.at("menu").node());
        }
        Map<String, List<Chart.Generation>> generations = charts();
        if (!problems.isEmpty()) {
            throw new PackException(problems);
        }
        UnitModel model = merged();
        Map<String, Chart> charts = new LinkedHashMap<>();
        model.charts().forEach((board, chart) -> charts.put(board, generations.containsKey(board)
                ? new Chart(chart.codes(), generations.get(board)) : chart));
        return new Overlay(overlay.text("overlay"), family.id(), chosen(overlay), overlay.text("title"), model.with(charts),
                List.of("timings", "fuses", "nominals", "settings").stream().noneMatch(overlay::has), notes);
    }

    /** The family with the overlay's values; what then does not make a unit is the overlay's problem. */
    private UnitModel merged() {
        try {
            return PackReader.read(pack.with(changed));
        } catch (PackException refused) {
            refused.problems().forEach(p -> overlay.note("with these values the unit does not work: " + p.reason() + " ("
                    + p.path() + ")", "Check the values against the door: " + p.remedy()));
            throw new PackException(problems);
        }
    }

    /** Entries of the overlay that each change one value of an entry of the pack. */
    private void values(String from, String into, String key) {
        Collection<String> known = known(into, key);
        overlay.at(from).children().forEach((id, section) -> {
            if (known.contains(id)) {
                ((ObjectNode) changed.path(into).path(id)).set(key, section.node());
            } else {
                section.note("this family has no " + from.replaceAll("s$", "") + " '" + id + "' to change",
                        "Take it out, or correct the name" + ModelChecks.maybe(id, known));
            }
        });
    }

    /** Fuses are those elements that have amperes, timings those parameters that are seconds. */
    private Collection<String> known(String into, String key) {
        Set<String> known = new LinkedHashSet<>();
        changed.path(into).properties().forEach(entry -> {
            boolean fits = switch (key) {
                case "amps" -> entry.getValue().has("amps");
                case "value" -> entry.getValue().path("unit").asString("").equals("s");
                default -> true;
            };
            if (fits) {
                known.add(entry.getKey());
            }
        });
        return known;
    }

    /** In which order this board takes power and call, whatever is called. */
    private void call() {
        if (overlay.has("call")) {
            changed.path("calls").forEach(call -> List.of("order", "why").forEach(key -> ((ObjectNode) call).put(key, overlay.at("call").text(key))));
        }
    }

    private void nominals() {
        overlay.at("nominals").children().forEach((id, section) -> {
            if (!(changed.path("circuit").path(id) instanceof ObjectNode element)) {
                section.note("this family has no element '" + id + "'", "Take it out, or correct the name"
                        + ModelChecks.maybe(id, new ArrayList<>(changed.path("circuit").propertyNames())));
                return;
            }
            String key = element.has("microfarads") ? "microfarads" : element.has("volts") ? "volts" : "ohms";
            element.put(key, section.number("value", 0));
            if (section.has("tolerance")) {
                changed.path("readings").forEach(reading -> {
                    Set<String> probes = Set.of(reading.path("black").asString("-"), reading.path("red").asString("+"));
                    if (probes.equals(Set.of(element.path("a").asString("a"), element.path("b").asString("b")))) {
                        ((ObjectNode) reading).put("tolerance", section.number("tolerance", 0));
                    }
                });
            }
        });
    }

    private void settings() {
        overlay.at("settings").children().forEach((id, section) -> {
            if (!(changed.path("settings").path(id) instanceof ObjectNode setting)) {
                section.note("this family has no setting '" + id + "'", "Take it out, or correct the name"
                        + ModelChecks.maybe(id, new ArrayList<>(changed.path("settings").propertyNames())));
                return;
            }
            if (section.has("options") && !section.at("options").children().containsKey(section.text("factory"))) {
                section.at("factory").note("the factory position '" + section.text("factory") + "' is not among the options",
                        "Add it, or name one of " + section.at("options").children().keySet());
            }
            setting.remove(List.of("options", "range"));
            String positions = section.has("range") ? "range" : "options";
            setting.set(positions, section.at(positions).node());
            setting.put("factory", section.text("factory"));
            if (section.has("label")) {
                setting.put("label", section.text("label"));
            }
        });
    }

    private void limits() {
        overlay.at("limits").children().forEach((id, section) -> {
            if (!(changed.path("acceptance").path(id) instanceof ObjectNode limit)) {
                section.note("this family has no limit '" + id + "'", "Take it out, or correct the name"
                        + ModelChecks.maybe(id, new ArrayList<>(changed.path("acceptance").propertyNames())));
                return;
            }
            if (limit.has("answer")) {
                section.note("'" + id + "' is a question and has no limits", "Take it out");
                return;
            }
            List.of("least", "most").stream().filter(section::has).forEach(key -> limit.put(key, section.number(key, 0)));
        });
    }

    private Map<String, List<Chart.Generation>> charts() {
        Map<String, List<Chart.Generation>> charts = new LinkedHashMap<>();
        overlay.at("charts").children().forEach((board, section) -> {
            if (!family.charts().containsKey(board)) {
                section.note("this family has no lamp on a board '" + board + "'", "Name one of "
                        + String.join(", ", family.charts().keySet()) + ModelChecks.maybe(board, family.charts().keySet()));
                return;
            }
            List<Chart.Generation> generations = new ArrayList<>();
            overlay.at("charts").items(board).forEach(generation -> generations.add(new Chart.Generation(
                    generation.text("generation"), generation.number("weight", 1), codes(family.chart(board), generation))));
            charts.put(board, generations);
        });
        return charts;
    }

    private List<Chart.Code> codes(Chart own, Section generation) {
        Set<String> possible = new LinkedHashSet<>(own.codes().stream().map(Chart.Code::condition).toList());
        Map<LampPattern, Section> seen = new LinkedHashMap<>();
        List<Chart.Code> codes = new ArrayList<>();
        generation.items("codes").forEach(code -> {
            LampPattern pattern = code.at("pattern").attempt(() -> LampPattern.parse(code.text("pattern")));
            if (pattern == null) {
                return;
            }
            if (seen.putIfAbsent(pattern, code) != null) {
                notes.add(code.at("pattern").problem("'" + pattern.text() + "' stands twice on this chart", "Both meanings are "
                        + "kept, with equal weight"));
            }
            String condition = code.text("condition");
            if (!code.has("condition") && !code.has("text")) {
                code.note("this code says nothing", "Give a condition, or the words of the chart as 'text'");
            } else if (!condition.isEmpty() && !Vocabulary.conditions().contains(condition)) {
                code.at("condition").note("'" + condition + "' is not in the vocabulary", "Choose a condition, or keep the "
                        + "words as 'text'" + ModelChecks.maybe(condition, Vocabulary.conditions()));
            } else if (!condition.isEmpty() && !possible.contains(condition)) {
                code.at("condition").note("a unit of this family cannot have the condition '" + condition + "'",
                        "Choose one of " + String.join(", ", possible) + ", or keep the words as 'text'");
            }
            List<String> names = own.codes().stream().filter(c -> c.condition().equals(condition)).findFirst()
                    .map(Chart.Code::names).orElse(List.of());
            codes.add(new Chart.Code(pattern, condition, code.text("text"), names));
        });
        return codes;
    }
}
