package bricksignal.packs;

import bricksignal.core.Known;
import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Region;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Meter;
import bricksignal.core.tuning.Calculator;
import bricksignal.core.tuning.Calculators;
import bricksignal.core.tuning.Finding;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Does the model make sense: do its names exist, is every net joined, can every state be reached, is every output driven. */
final class ModelChecks {

    private final Section root;
    private final UnitModel model;
    private final Machine machine;
    private final Set<String> elements;
    private final Set<String> nets;

    ModelChecks(Section root, UnitModel model) {
        this.root = root;
        this.model = model;
        this.machine = model.machine();
        this.elements = machine.circuit().elements().stream().map(Element::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        this.nets = new LinkedHashSet<>(machine.circuit().nets());
    }

    void run() {
        danglingNets();
        boards();
        names();
        new ExpressionChecks(root, model).run();
        menu();
        faults();
        marks();
        StampChecks.run(root, model);
        roles();
        if (!root.hasProblems()) {
            moments();
        }
    }

    /** The unit in good order must run: it comes to each moment, and it does not chatter. */
    private void moments() {
        VirtualUnit nominal = VirtualUnit.of(model, machine);
        model.scenarios().stream().filter(s -> nominal.run(s.id()).chattering()).forEach(s -> root.at("scenarios").at(s.id())
                .note("the unit in good order chatters: contacts and board find no rest", "Look for a contact that opens "
                        + "what closes it"));
        model.moments().forEach(moment -> root.at("moments").at(moment.id()).attempt(() -> nominal.secondsOf(moment)));
        if (!root.hasProblems()) {
            hazards(nominal);
        }
    }

    private void danglingNets() {
        machine.circuit().terminals().forEach((net, count) -> {
            if (count == 1 && !net.equals(machine.circuit().reference())) {
                Element only = machine.circuit().elements().stream().filter(e -> e.nets().contains(net)).findFirst()
                        .orElseThrow();
                root.at("circuit").at(only.id()).note("net '" + net + "' dangles: only element '" + only.id()
                        + "' touches it", "Join it to another element, or correct its name" + maybe(net, nets));
            }
        });
    }

    private void boards() {
        Set<String> regions = new LinkedHashSet<>();
        root.at("boards").children().forEach((id, section) -> {
            oneOf(section.at("supply"), "plus", section.at("supply").text("plus"), nets, "net");
            oneOf(section.at("supply"), "minus", section.at("supply").text("minus"), nets, "net");
            section.at("inputs").children().forEach(this::input);
            Board board = machine.board(id);
            board.regions().forEach(region -> {
                if (!regions.add(region.id())) {
                    section.at("regions").at(region.id()).note("region '" + region.id() + "' is declared by two boards",
                            "Rename one of them");
                }
                region(region, section.at("regions").at(region.id()));
            });
            outputs(board, section);
        });
    }

    private void input(String id, Section s) {
        if (s.has("through")) {
            oneOf(s, "through", s.text("through"), elements, "element");
        } else if (s.has("plus") && s.has("minus")) {
            oneOf(s, "plus", s.text("plus"), nets, "net");
            oneOf(s, "minus", s.text("minus"), nets, "net");
        } else {
            s.note("input '" + id + "' senses nothing", "Give 'plus' and 'minus', or 'through'");
        }
    }

    private static void region(Region region, Section section) {
        Set<String> known = region.states().stream().map(Region.State::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> reached = new LinkedHashSet<>(List.of(region.initial().id()));
        Deque<String> open = new ArrayDeque<>(reached);
        while (!open.isEmpty()) {
            String from = open.pop();
            List<Region.Transition> ways = region.state(from).transitions();
            for (int i = 0; i < ways.size(); i++) {
                String to = ways.get(i).to();
                if (!known.contains(to)) {
                    section.at(from).items("next").get(i).note("state '" + from + "' leads to '" + to
                            + "', which does not exist", "Declare it, or correct the name" + maybe(to, known));
                } else if (reached.add(to)) {
                    open.push(to);
                }
            }
        }
        known.stream().filter(state -> !reached.contains(state)).forEach(state -> section.at(state).note("state '" + state
                + "' cannot be reached from '" + region.initial().id() + "'", "Lead a transition to it, or take it out"));
    }

    /** An output must move a contact, or at least be asked for somewhere: a spark has no contact. */
    private void outputs(Board board, Section section) {
        Set<String> used = ExpressionChecks.allNames(root).stream().filter(name -> name.startsWith("out."))
                .map(name -> name.substring(4)).collect(Collectors.toCollection(LinkedHashSet::new));
        for (Region region : board.regions()) {
            for (Region.State state : region.states()) {
                state.outputs().stream().filter(output -> !used.contains(output)).forEach(output ->
                        section.at("regions").at(region.id()).at(state.id()).note("output '" + output + "' drives nothing",
                                "Let a contact follow 'out." + output + "'" + maybe(output, used)));
            }
        }
    }

    private void names() {
        Set<String> points = model.points().stream().map(p -> p.net()).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> moments = model.moments().stream().map(m -> m.id()).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> connectors = model.connectors().stream().map(c -> c.id()).collect(Collectors.toSet());
        Set<String> parts = model.parts().stream().map(p -> p.id()).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> scenarios = model.scenarios().stream().map(s -> s.id()).collect(Collectors.toSet());
        each("connectors", (id, s) -> all(s, "pins", elements, "element"));
        each("points", (id, s) -> {
            oneOf(s, "", id, nets, "net");
            oneOf(s, "against", s.text("against"), points, "point");
            all(s, "moments", moments, "moment");
        });
        each("moments", (id, s) -> oneOf(s, "scenario", s.text("scenario"), scenarios, "scenario"));
        each("readings", (id, s) -> {
            oneOf(s, "moment", s.text("moment"), moments, "moment");
            all(s, "unplug", connectors, "connector");
            if (s.has("thermistor")) {
                oneOf(s.at("thermistor"), "factor", s.at("thermistor").text("factor"), machine.parameters().keySet(), "parameter");
            }
            if (s.has("through")) {
                oneOf(s, "through", s.text("through"), elements, "element");
            } else if (!s.has("gauge")) {
                oneOf(s, "black", s.text("black"), points, "point");
                oneOf(s, "red", s.text("red"), points, "point");
            }
        });
        Set<String> faults = model.faults().stream().map(f -> f.id()).collect(Collectors.toCollection(LinkedHashSet::new));
        each("checks", (id, s) -> {
            oneOf(s, "moment", s.text("moment"), moments, "moment");
            s.at("tells").children().keySet().forEach(fault -> oneOf(s.at("tells"), fault, fault, faults, "fault"));
            if (s.has("connector")) {
                oneOf(s, "connector", s.text("connector"), connectors, "connector");
            }
        });
        Set<String> boards = root.at("boards").children().keySet();
        each("charts", (id, s) -> {
            oneOf(s, "", id, boards, "board");
            s.children().values().forEach(code -> {
                all(code, "names", parts, "part");
                if (code.has("condition")) {
                    oneOf(code, "condition", code.text("condition"), Vocabulary.conditions(), "condition in the vocabulary");
                } else if (!code.has("text")) {
                    code.note("this code says nothing", "Give a condition, or the words of the chart as 'text'");
                }
            });
        });
        each("parts", (id, s) -> {
            all(s, "elements", elements, "element");
            if (s.has("board")) {
                oneOf(s, "board", s.text("board"), boards, "board");
            }
        });
        each("faults", (id, s) -> oneOf(s, "part", s.text("part"), parts, "part"));
        root.at("traits").children().forEach((question, s) -> {
            oneOf(s, "", question, Vocabulary.questions().keySet(), "question");
            root.at("traits").texts(question).stream().filter(answer -> Vocabulary.questions().containsKey(question))
                    .forEach(answer -> oneOf(s, "", answer, Known.in(Vocabulary.questions(), question).answers().keySet(), "answer"));
        });
        Set<String> tests = new LinkedHashSet<>(model.readings().stream().map(r -> r.id()).toList());
        model.points().forEach(p -> p.moments().forEach(moment -> tests.add("v." + p.net() + "." + moment)));
        Set<String> questions = new LinkedHashSet<>(model.checks().stream().map(check -> check.id()).toList());
        Set<String> settings = root.at("settings").children().keySet();
        each("acceptance", (id, s) -> {
            boolean asks = s.has("answer");
            oneOf(s, "test", s.text("test"), asks ? questions : tests, asks ? "check" : "reading");
            if (asks && (s.has("least") || s.has("most") || s.has("around"))) {
                s.note("a question has an answer and no limits", "Take out least, most and around, or the answer");
            }
            if (s.has("around")) {
                oneOf(s, "around", s.text("around"), settings, "setting");
            }
        });
        root.items("calls").forEach(s -> {
            if (s.has("from")) {
                oneOf(s, "from", s.text("from"), points, "point");
                oneOf(s, "to", s.text("to"), points, "point");
            }
        });
        each("settings", (id, s) -> {
            oneOf(s, "parameter", s.text("parameter"), machine.parameters().keySet(), "parameter");
            oneOf(s, "factory", s.text("factory"), model.setting(id).options().keySet(), "position");
            if (s.has("suggest")) {
                suggested(s.at("suggest"));
            }
        });
    }

    /** What suggests a position is a calculation that there is, by a number that comes of it. */
    private static void suggested(Section s) {
        String name = s.text("calculation");
        oneOf(s, "calculation", name, Calculators.all().stream().map(Calculator::id).toList(), "calculation");
        Calculators.of(name).ifPresent(calculator -> oneOf(s, "result", s.text("result"), calculator.usual().results().stream().map(Finding.Result::id).toList(),
                "number of the calculation"));
    }

    /** A screen that sets something sets what is there, and each position of it can be reached from each other and kept. */
    private void menu() {
        each("menu", (id, s) -> {
            if (s.has("sets")) {
                oneOf(s, "sets", s.text("sets"), model.settings().stream().map(UnitModel.Setting::id).collect(Collectors.toSet()), "setting");
            }
        });
        model.settings().stream().filter(setting -> model.menu().has(setting.id())).forEach(setting -> {
            List<String> all = List.copyOf(setting.options().keySet());
            List<String> positions = setting.range() == null || all.size() < 2 ? all : List.of(all.get(0), all.get(all.size() - 1));
            positions.stream().flatMap(from -> positions.stream().filter(to -> model.menu().steps(setting.id(), all, from, to).isEmpty())
                    .map(to -> "from '" + from + "' to '" + to + "'")).findFirst().ifPresent(pair -> root.at("menu").note("no way leads " + pair
                            + " of the setting '" + setting.id() + "' and keeps it", "Declare what is pressed, and which way saves"));
        });
    }

    private void faults() {
        model.faults().forEach(fault -> {
            Section section = root.at("faults").at(fault.id());
            for (Effect effect : fault.effects()) {
                section.attempt(() -> effect.apply(machine));
            }
        });
    }

    /** What the program adds by itself needs to be told: a moment as found and one with the power off. */
    private void roles() {
        if (model.asFound().isEmpty()) {
            root.at("moments").note("no moment has the role AS_FOUND", "Give that role to the moment at which somebody finds the unit");
        }
        String usual = model.scenarios().get(0).id();
        model.moments().stream().filter(moment -> (moment.role() == Moment.Role.AS_FOUND || moment.role() == Moment.Role.AFTER_CALL)
                && !moment.scenario().equals(usual)).forEach(moment -> root.at("moments").at(moment.id()).note("it is found in scenario '"
                + moment.scenario() + "', and the usual run is the first one, '" + usual + "'", "Write '" + moment.scenario() + ": {}' before it"));
        if (model.powerOff().isEmpty() && model.readings().stream().anyMatch(r -> r.setup().powerOff())) {
            root.at("moments").note("no moment has the role POWER_OFF although readings want the power off",
                    "Give that role to a moment with the power off and proven off");
        }
        Set<String> moved = model.machine().process().stream().map(Quantity::id).collect(Collectors.toSet());
        model.readings().forEach(r -> r.setup().given().keySet().stream().filter(name -> !moved.contains(name)).forEach(name -> root.at("readings").at(r.id()).at("given")
                .note("'" + name + "' is no process value", "Name one of " + moved)));
        model.readings().stream().filter(r -> r.mode().dead() && !r.setup().powerOff()).forEach(r -> root.at("readings").at(r.id())
                .note("a meter on " + r.mode().unit() + " would stand on a unit that is not off", "Give 'powerOff: true'"));
    }

    /** With the power off no reading on ohms or capacitance stands on a live circuit: a meter there is a hazard and reads nothing. */
    private void hazards(VirtualUnit nominal) {
        for (Test.Reading reading : model.readings()) {
            if (reading.place() instanceof Place.Across across && reading.mode().dead()) {
                Moment moment = model.moment(reading.moment());
                Snapshot unit = nominal.run(moment.scenario()).at(nominal.secondsOf(moment)).unit();
                if (Meter.hazard(unit.solution(), reading.mode(), across.black(), across.red())) {
                    root.at("readings").at(reading.id()).note("at the moment '" + moment.id() + "' there is voltage between '"
                            + across.black() + "' and '" + across.red() + "': a meter on " + reading.mode().unit()
                            + " is a hazard there", "Choose a moment with the power off");
                }
            }
        }
    }

    private void marks() {
        Set<String> marks = root.at("marks").children().keySet();
        for (String part : List.of("circuit", "parameters", "process", "readings", "settings", "acceptance")) {
            each(part, (id, s) -> oneOf(s, "mark", s.text("mark"), marks, "mark"));
        }
    }

    private void each(String key, java.util.function.BiConsumer<String, Section> check) {
        root.at(key).children().forEach(check);
    }

    private static void all(Section s, String key, Collection<String> known, String what) {
        s.texts(key).forEach(name -> oneOf(s, key, name, known, what));
    }

    private static void oneOf(Section s, String key, String name, Collection<String> known, String what) {
        if (!known.contains(name)) {
            (key.isEmpty() ? s : s.at(key)).note("there is no " + what + " '" + name + "'",
                    "Declare it, or correct the name" + maybe(name, known));
        }
    }

    /** The known name that is nearest to the wrong one, if it is near at all. */
    static String maybe(String wrong, Collection<String> known) {
        LevenshteinDistance distance = new LevenshteinDistance(Math.max(2, wrong.length() / 3));
        return known.stream().filter(name -> !name.equals(wrong) && distance.apply(wrong, name) >= 0)
                .min(Comparator.comparingInt(name -> distance.apply(wrong, name)))
                .map(name -> ". Maybe '" + name + "'").orElse("");
    }

    /** What a name in an expression may be. */
    static Map<String, Set<String>> prefixes(UnitModel model, Set<String> elements, Set<String> nets) {
        Set<String> outputs = model.machine().boards().stream().flatMap(b -> b.regions().stream()).flatMap(r -> r.states().stream())
                .flatMap(s -> s.outputs().stream()).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> states = model.machine().boards().stream().flatMap(b -> b.regions().stream()).flatMap(r -> r.states().stream()
                .map(s -> r.id() + "." + s.id())).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> actions = model.scenarios().stream().flatMap(s -> s.steps().stream()).map(s -> s.action())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> inputs = model.machine().boards().stream().flatMap(b -> b.inputs().stream()).map(i -> i.id())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> boards = model.machine().boards().stream().map(b -> b.id()).collect(Collectors.toSet());
        return Map.of("in", inputs, "out", outputs, "state", states, "amps", elements, "volts", nets, "action", actions,
                "powered", boards, "closed", elements);
    }
}
