package bricksignal.packs;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.menu.Menu;
import bricksignal.core.unit.Acceptance;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Noticed;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Stamp;
import bricksignal.core.unit.Station;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.Thermistor;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Translates the sections of a pack into the declared model. */
final class ModelBuilder {

    /** Room on a van of what says nothing of it: common sizes of boxes, from memory. */
    private static final double PART_LITRES = 1;
    private static final double BOARD_LITRES = 4;

    private final Section root;

    ModelBuilder(Section root) {
        this.root = root;
    }

    UnitModel build() {
        Section found = root.at("found");
        return new UnitModel(root.text("pack"), root.text("title"), root.text("duty").trim(), machine(),
                root.each("connectors", e -> new UnitModel.Connector(e.getKey(), e.getValue().text("label"),
                        e.getValue().texts("pins"))),
                root.each("points", e -> point(e.getKey(), e.getValue())),
                root.each("scenarios", e -> scenario(e.getKey(), e.getValue())),
                root.each("moments", e -> moment(e.getKey(), e.getValue())),
                new UnitModel.Found(found.number("from", 0), found.number("to", 0)),
                root.each("readings", e -> reading(e.getKey(), e.getValue())),
                root.each("checks", e -> check(e.getKey(), e.getValue())),
                root.each("stages", e -> new UnitModel.Stage(e.getKey(), e.getValue().text("label"),
                        e.getValue().condition("when"), e.getValue().text("seen"))),
                root.each("channels", e -> new UnitModel.Channel(e.getKey(), e.getValue().text("label"), e.getValue().condition("when"), e.getValue().has("noticed") ? Noticed.of(e.getValue().text("noticed")) : null)),
                charts(),
                root.each("parts", e -> part(e.getKey(), e.getValue())),
                root.each("faults", e -> fault(e.getKey(), e.getValue())),
                root.each("settings", e -> setting(e.getKey(), e.getValue())), traits(),
                root.items("calls").stream().map(ModelBuilder::call).toList(),
                root.each("acceptance", e -> acceptance(e.getKey(), e.getValue())), menu(), dangers());
    }

    private Dangers dangers() {
        return new Dangers(named("circuit", "device", Device::of), named("parts", "device", Device::of),
                named("circuit", "guards", text -> constant(Dangers.Guard.class, text)), named("readings", "tap", text -> constant(Dangers.Tap.class, text)),
                named("checks", "stops", text -> constant(Stop.class, text)),
                root.has("refrigerant") ? Dangers.Refrigerant.valueOf(root.text("refrigerant")) : Dangers.Refrigerant.NONE, fuels(), levels());
    }

    /** The readings that end the diagnosis, each from its value on. */
    private Map<String, Dangers.Level> levels() {
        Map<String, Dangers.Level> levels = new LinkedHashMap<>();
        root.at("readings").children().forEach((id, s) -> {
            if (s.has("stops")) {
                levels.put(id, new Dangers.Level(constant(Stop.class, s.at("stops").text("finding")), s.at("stops").number("from", 0)));
            }
        });
        return levels;
    }

    /** What things of a section say of themselves under a key, by name. */
    private <T> Map<String, T> named(String section, String key, Function<String, T> of) {
        Map<String, T> named = new LinkedHashMap<>();
        root.at(section).children().forEach((id, s) -> {
            if (s.has(key)) {
                named.put(id, of.apply(s.text(key)));
            }
        });
        return named;
    }

    private static <E extends Enum<E>> E constant(Class<E> type, String text) {
        return Enum.valueOf(type, text.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** What burns, by the answers to the question for the fuel. */
    private Set<Dangers.Fuel> fuels() {
        Set<Dangers.Fuel> fuels = new LinkedHashSet<>();
        for (String answer : root.at("traits").texts("fuel")) {
            for (Dangers.Fuel fuel : Dangers.Fuel.values()) {
                if (answer.startsWith(fuel.name().toLowerCase(Locale.ROOT))) {
                    fuels.add(fuel);
                }
            }
        }
        return fuels;
    }

    private Map<String, Chart> charts() {
        Map<String, Chart> charts = new LinkedHashMap<>();
        root.at("charts").children().keySet().forEach(board -> charts.put(board, new Chart(root.at("charts").each(board,
                e -> new Chart.Code(LampPattern.parse(e.getKey()), e.getValue().text("condition"),
                        e.getValue().text("text"), e.getValue().texts("names"))))));
        return charts;
    }

    private Machine machine() {
        Section line = root.at("line");
        List<Element> elements = root.each("circuit", e -> element(e.getKey(), e.getValue()));
        Circuit circuit = new Circuit(line.text("reference"), line.number("hertz", 0), elements);
        Map<String, Rule> rules = new LinkedHashMap<>();
        root.at("circuit").children().forEach((id, section) -> rule(id, section, rules));
        Map<String, Double> parameters = new LinkedHashMap<>();
        root.at("parameters").children().forEach((id, section) -> parameters.put(id, section.number("value", 0)));
        return new Machine(circuit, rules, root.each("boards", e -> board(e.getKey(), e.getValue())), root.each("process", e -> quantity(e.getKey(), e.getValue())),
                parameters, counters(), Map.of());
    }

    private static Element element(String id, Section s) {
        double ohms = s.number("ohms", 0);
        return switch (s.text("is")) {
            case "source" -> new Element.Source(id, s.text("plus"), s.text("minus"), s.number("volts", 0), s.number("degrees", 0),
                    ohms);
            case "dc-source" -> new Element.DirectSource(id, s.text("plus"), s.text("minus"), s.number("volts", 0), ohms);
            case "transformer" -> new Element.Transformer(id, s.text("p1"), s.text("p2"), s.text("s1"), s.text("s2"),
                    s.number("ratio", 0), ohms, s.number("primaryOhms", 0), false);
            case "load" -> new Element.Load(id, s.text("a"), s.text("b"), ohms, s.number("reactance", 0));
            case "capacitor" -> new Element.Capacitor(id, s.text("a"), s.text("b"), s.number("microfarads", 0) * 1e-6);
            case "flame" -> new Element.FlamePath(id, s.text("rod"), s.text("burner"), ohms, false);
            default -> new Element.Conductor(id, s.text("a"), s.text("b"), ohms,
                    s.flag("closed", !s.has("follows")), s.number("amps", Double.POSITIVE_INFINITY));
        };
    }

    private static void rule(String id, Section s, Map<String, Rule> rules) {
        if (s.has("follows")) {
            rules.put(id, new Rule.Follows(s.condition("follows")));
        } else if (s.has("opens")) {
            rules.put(id, new Rule.Latches(s.condition("opens"), s.expression("closes")));
        }
    }

    private static Board board(String id, Section s) {
        Section supply = s.at("supply");
        List<Input> inputs = s.each("inputs", e -> input(e.getKey(), e.getValue()));
        List<Region> regions = s.each("regions", e -> new Region(e.getKey(),
                e.getValue().children().entrySet().stream().map(state -> state(state.getKey(), state.getValue())).toList()));
        return new Board(id, supply.text("plus"), supply.text("minus"), supply.number("volts", 0), inputs, regions);
    }

    private static Input input(String id, Section s) {
        return s.has("through") ? new Input.FlameCurrent(id, s.text("through"), s.number("on", 0), s.number("off", 0))
                : new Input.Voltage(id, s.text("plus"), s.text("minus"), s.number("on", 0), s.number("off", 0));
    }

    private static Region.State state(String id, Section s) {
        LampPattern lamp = s.has("lamp") ? s.at("lamp").attempt(() -> LampPattern.parse(s.text("lamp"))) : null;
        return new Region.State(id, new LinkedHashSet<>(s.texts("outputs")), lamp,
                s.items("next").stream().map(ModelBuilder::transition).toList());
    }

    private static Region.Transition transition(Section s) {
        Map<String, Expr> sets = new LinkedHashMap<>();
        s.at("sets").children().keySet().forEach(counter -> sets.put(counter, s.at("sets").condition(counter)));
        return new Region.Transition(s.condition("when"), s.text("to"), sets);
    }

    private Map<String, Double> counters() {
        Map<String, Double> counters = new LinkedHashMap<>();
        root.at("boards").children().values().forEach(board -> board.at("counters").children()
                .forEach((id, s) -> counters.put(id, s.asNumber())));
        return counters;
    }

    private static Quantity quantity(String id, Section s) {
        return new Quantity(id, s.text("unit"), s.number("start", 0), s.items("moves").stream()
                .map(m -> new Quantity.Move(m.condition("when"), m.condition("to"), m.condition("tau"))).toList());
    }

    private static Scenario scenario(String id, Section s) {
        List<Scenario.Step> steps = s.items("steps").stream().flatMap(step -> step.children().entrySet().stream()
                .filter(e -> !e.getKey().equals("at"))
                .map(e -> new Scenario.Step(step.number("at", 0), e.getKey(), e.getValue().asNumber()))).toList();
        return new Scenario(id, s.number("seconds", 0), steps, s.textOrNull("called"));
    }

    private Menu menu() {
        List<Menu.Screen> screens = root.each("menu", e -> screen(e.getKey(), e.getValue()));
        Menu menu = root.at("menu").attempt(() -> new Menu(screens));
        return menu == null ? Menu.NONE : menu;
    }

    private static Menu.Screen screen(String id, Section s) {
        List<Menu.Way> ways = s.items("ways").stream().map(way -> new Menu.Way(way.text("press"), way.text("to"), way.flag("saves", false))).toList();
        return new Menu.Screen(id, s.text("shows"), ways, s.textOrNull("sets"), s.textOrNull("up"), s.textOrNull("down"), s.flag("round", false));
    }

    private static Moment moment(String id, Section s) {
        return new Moment(id, s.text("label"), s.text("scenario"), s.expression("during"), s.number("at", 0),
                s.number("span", 0), role(s, Moment.Role.class, Moment.Role.OTHER));
    }

    private static Point point(String net, Section s) {
        return new Point(net, s.text("label"), s.text("where"), s.text("colour"), s.number("seconds", 0),
                s.text("against"), MeterMode.valueOf(s.has("mode") ? s.text("mode") : "AC_VOLTS"), s.texts("moments"),
                s.text("side"), s.number("tolerance", 0));
    }

    private static Map<String, Double> numbers(Section s) {
        Map<String, Double> numbers = new LinkedHashMap<>();
        s.children().forEach((name, number) -> numbers.put(name, number.asNumber()));
        return numbers;
    }

    private static Test.Reading reading(String id, Section s) {
        Place place = s.has("through") ? new Place.Through(s.text("through"))
                : s.has("gauge") ? new Place.Gauge(s.text("gauge"), stamp(s), thermistor(s)) : new Place.Across(s.text("black"), s.text("red"));
        return new Test.Reading(id, Message.said(s.text("label")), MeterMode.valueOf(s.text("mode")), place, s.text("moment"),
                new Setup(s.flag("powerOff", false), s.texts("unplug"), numbers(s.at("given"))), s.number("minutes", 0), s.number("tolerance", 0));
    }

    private static @Nullable Thermistor thermistor(Section s) {
        Section t = s.at("thermistor");
        return s.has("thermistor") ? new Thermistor(t.number("ohms", 0), t.number("beta", 0), t.text("factor"),
                t.flag("shown", false)) : null;
    }

    private static @Nullable Stamp stamp(Section s) {
        return s.has("stamp") ? new Stamp(s.at("stamp").number("value", 0), s.at("stamp").text("says")) : null;
    }

    private static Test.Check check(String id, Section s) {
        return new Test.Check(id, Message.said(s.text("label")), Test.Sense.valueOf(s.text("sense")), s.text("moment"),
                s.expression("when"), numbers(s.at("tells")), s.number("otherwise", 0.01), s.number("minutes", 0), s.text("connector"),
                s.has("change") ? change(s.at("change")) : Change.NONE,
                s.has("noticed") ? Optional.of(Noticed.of(s.text("noticed"))) : Optional.empty(),
                s.has("place") ? constant(Station.class, s.text("place")) : Station.UNIT);
    }

    private static Change change(Section s) {
        return new Change(constant(Change.Kind.class, s.text("is")), s.text("at"), Message.said(s.text("says")));
    }

    private static Part part(String id, Section s) {
        Part.Kind kind = Part.Kind.valueOf(s.has("kind") ? s.text("kind") : "PART");
        return new Part(id, s.text("label"), kind, s.number("price", 0), s.number("minutes", 0), s.flag("stocked", true), s.texts("elements"),
                s.text("board"), s.number("litres", kind == Part.Kind.BOARD ? BOARD_LITRES : kind == Part.Kind.PART ? PART_LITRES : 0), s.flag("field", false), s.texts("handling"));
    }

    private static Fault fault(String id, Section s) {
        return new Fault(id, Message.said(s.text("label")), Fault.Kind.valueOf(s.has("kind") ? s.text("kind") : "FAULT"), s.text("part"),
                s.number("weight", 0), s.items("does").stream().map(ModelBuilder::effect).toList(), Message.said(s.text("remedy")),
                s.flag("shared", false), s.number("intermittent", 0), s.number("onset", 0), s.text("commission"));
    }

    private static Effect effect(Section s) {
        if (s.has("element")) {
            return new Effect.OnElement(s.text("element"), Effect.Mode.valueOf(s.text("mode")), s.number("value", 0));
        } else if (s.has("parameter")) {
            return new Effect.OnParameter(s.text("parameter"), s.number("value", 0));
        } else if (s.has("action")) {
            return new Effect.OnAction(s.text("action"), s.number("value", 0));
        }
        return s.has("deaf") ? new Effect.InputDeaf(s.text("deaf")) : new Effect.BoardDead(s.text("dead"));
    }

    private static UnitModel.Setting setting(String id, Section s) {
        Map<String, Double> options = new LinkedHashMap<>();
        UnitModel.Range range = s.has("range") ? s.at("range").attempt(() -> new UnitModel.Range(s.at("range").number("least", 0), s.at("range").number("most", 0),
                s.at("range").number("step", 1))) : null;
        s.at("options").children().forEach((position, value) -> options.put(position, value.asNumber()));
        if (range != null) {
            options.putAll(range.positions());
        }
        return new UnitModel.Setting(id, s.text("label"), s.text("parameter"), s.text("unit"), options, s.text("factory"),
                s.has("suggest") ? suggest(s.at("suggest")) : null, range);
    }

    private static UnitModel.Suggest suggest(Section s) {
        return new UnitModel.Suggest(s.text("calculation"), s.text("result"), s.number("times", 1));
    }

    private static CallAdvice call(Section s) {
        return new CallAdvice(s.text("label"), s.text("from"), s.text("to"), CallAdvice.Order.valueOf(s.text("order")),
                s.text("why"), s.text("hold"));
    }

    private static Acceptance acceptance(String id, Section s) {
        return new Acceptance(id, s.text("label"), s.text("test"), s.number("least", Double.NEGATIVE_INFINITY),
                s.number("most", Double.POSITIVE_INFINITY), s.has("around") ? s.text("around") : null,
                s.has("answer") ? (Boolean) s.text("answer").equals("yes") : null);
    }

    private Map<String, List<String>> traits() {
        Map<String, List<String>> traits = new LinkedHashMap<>();
        root.at("traits").children().keySet().forEach(question -> traits.put(question, root.at("traits").texts(question)));
        return traits;
    }

    private static <R extends Enum<R>> R role(Section s, Class<R> roles, R otherwise) {
        return s.has("role") ? Enum.valueOf(roles, s.text("role")) : otherwise;
    }
}
