package bricksignal.packs;

import bricksignal.core.board.Expr;
import bricksignal.core.board.Quantity;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Every name in every expression of a pack must be something the unit knows. */
final class ExpressionChecks {

    private final Section root;
    private final Map<String, Set<String>> prefixes;
    private final Set<String> plain = new LinkedHashSet<>();

    ExpressionChecks(Section root, UnitModel model) {
        this.root = root;
        Set<String> elements = model.machine().circuit().elements().stream().map(Element::id).collect(Collectors.toSet());
        this.prefixes = ModelChecks.prefixes(model, elements, new LinkedHashSet<>(model.machine().circuit().nets()));
        plain.addAll(model.machine().parameters().keySet());
        plain.addAll(model.machine().counters().keySet());
        model.machine().process().stream().map(Quantity::id).forEach(plain::add);
    }

    void run() {
        root.at("circuit").children().values().forEach(s -> expressions(s, false, "follows", "opens", "closes"));
        root.at("process").children().values().forEach(s -> s.items("moves").forEach(m -> expressions(m, false, "when",
                "to")));
        regions(root).forEach(region -> region.children().values()
                .forEach(state -> state.items("next").forEach(way -> {
                    expressions(way, true, "when");
                    way.at("sets").children().keySet().forEach(counter -> expressions(way.at("sets"), true, counter));
                })));
        for (String key : new String[] {"checks", "stages", "channels"}) {
            root.at(key).children().values().forEach(s -> expressions(s, false, "when"));
        }
        root.at("moments").children().values().forEach(s -> expressions(s, false, "during"));
        root.at("readings").children().values().forEach(s -> {
            if (s.has("gauge") && !plain.contains(s.text("gauge"))) {
                s.at("gauge").note("there is no process value or parameter '" + s.text("gauge") + "'",
                        "Declare it, or correct the name" + ModelChecks.maybe(s.text("gauge"), plain));
            }
        });
    }

    private static List<Section> regions(Section root) {
        return root.at("boards").children().values().stream().flatMap(b -> b.at("regions").children().values().stream())
                .toList();
    }

    /** The names in every rule of the circuit and every move of the process. */
    static Set<String> allNames(Section root) {
        Set<String> names = new LinkedHashSet<>();
        root.at("circuit").children().values().forEach(s -> collect(s, names, "follows", "opens", "closes"));
        root.at("process").children().values().forEach(s -> s.items("moves").forEach(m -> collect(m, names, "when", "to")));
        return names;
    }

    private static void collect(Section section, Set<String> names, String... keys) {
        for (String key : keys) {
            Expr expr = section.expression(key);
            if (expr != null) {
                names.addAll(expr.names());
            }
        }
    }

    private void expressions(Section section, boolean inRegion, String... keys) {
        for (String key : keys) {
            Expr expr = section.expression(key);
            if (expr != null) {
                expr.names().stream().filter(name -> !known(name, inRegion)).forEach(name -> section.at(key).note(
                        "'" + name + "' is not a name this unit knows",
                        "Use a process value, a parameter, or in. out. state. amps. volts. action. with a declared name"
                                + ModelChecks.maybe(name, plain)));
            }
        }
    }

    private boolean known(String name, boolean inRegion) {
        if (plain.contains(name) || inRegion && name.equals("elapsed")) {
            return true;
        }
        int dot = name.indexOf('.');
        return dot > 0 && prefixes.getOrDefault(name.substring(0, dot), Set.of()).contains(name.substring(dot + 1));
    }
}
