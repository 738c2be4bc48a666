package bricksignal.core.danger;

import bricksignal.core.board.Board;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.menu.Menu;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A unit made for the rules of safety: line through a breaker and a door switch to a board that feeds a motor by a plug, and 24 V that
 * feed a coil through a limit.
 *
 * <pre>
 * S --breaker-- LX --door-- L --relay-- OUT --p1-- hot (motor) back --p2-- N   (earth)
 * R --limit-- OK --relay-24-- Y (coil) C       R (logic of the board) C
 * </pre>
 */
final class SmallUnit {

    final List<Element> elements = new ArrayList<>();
    final List<UnitModel.Connector> plugs = new ArrayList<>(List.of(new UnitModel.Connector("P", "plug of the motor", List.of("p1", "p2"))));
    final List<Part> parts = new ArrayList<>();
    final Map<String, Device> devices = new LinkedHashMap<>();
    final Map<String, Dangers.Guard> guards = new LinkedHashMap<>(Map.of("limit", Dangers.Guard.LIMIT, "door", Dangers.Guard.DOOR));
    Dangers.Refrigerant refrigerant = Dangers.Refrigerant.NONE;

    SmallUnit(Device motor, Device coil) {
        elements.add(new Element.Source("line", "S", "N", 120, 0, 0.2));
        wire("breaker", "S", "LX");
        wire("door", "LX", "L");
        wire("relay", "L", "OUT");
        wire("p1", "OUT", "hot");
        elements.add(new Element.Load("motor", "hot", "back", 25, 60));
        wire("p2", "back", "N");
        elements.add(new Element.Transformer("transformer", "L", "N", "R", "C", 4.4, 0.8, 9, false));
        wire("bond", "C", "N");
        elements.add(new Element.Load("logic", "R", "C", 200, 0));
        wire("limit", "R", "OK");
        elements.add(new Element.Load("input", "OK", "C", 2000, 0));
        wire("relay-24", "OK", "Y");
        elements.add(new Element.Load("coil", "Y", "C", 15, 60));
        devices.putAll(Map.of("line", Device.SUPPLY, "transformer", Device.TRANSFORMER, "logic", Device.CONTROL_BOARD, "input", Device.CONTROL_BOARD, "motor", motor, "coil", coil));
        part("motor", "motor");
        part("coil", "coil");
        part("limit", "limit");
        parts.add(new Part("board", "board", Part.Kind.BOARD, 300, 30, true, List.of("relay", "relay-24", "logic"), "board", 3));
    }

    SmallUnit wire(String id, String a, String b) {
        elements.add(new Element.Conductor(id, a, b, 0.02, true, Double.POSITIVE_INFINITY));
        return this;
    }

    void part(String id, String... of) {
        parts.add(new Part(id, id, Part.Kind.PART, 50, 20, true, List.of(of), "", 1));
    }

    UnitModel model() {
        Map<String, Rule> rules = Map.of("breaker", new Rule.Follows(ExprParser.parse("action.power")), "door", new Rule.Follows(ExprParser.parse("action.power")),
                "relay", new Rule.Follows(ExprParser.parse("action.call")), "relay-24", new Rule.Follows(ExprParser.parse("action.call")));
        Machine machine = new Machine(new Circuit("N", 60, elements), rules, List.of(new Board("board", "R", "C", 16, List.of(), List.of())), List.of(),
                Map.of(), Map.of(), Map.of());
        Scenario run = new Scenario("run", 100, List.of(new Scenario.Step(0, "power", 1), new Scenario.Step(10, "call", 1), new Scenario.Step(90, "power", 0)));
        return new UnitModel("small", "Small", "feeds a motor", machine, List.copyOf(plugs), points(), List.of(run),
                List.of(new Moment("running", "while it runs", "run", null, 20, 0, Moment.Role.AS_FOUND), new Moment("off", "power off", "run", null, 95, 0, Moment.Role.POWER_OFF)),
                new UnitModel.Found(15, 50), List.of(), List.of(), List.of(), List.of(), Map.of(), List.copyOf(parts), List.of(), List.of(), Map.of(), List.of(),
                List.of(), Menu.NONE, new Dangers(devices, Map.of(), guards, Map.of(), Map.of(), refrigerant, Set.of()));
    }

    private static List<Point> points() {
        return List.of(point("OUT", "board"), point("L", "board"), point("N", "board"), point("hot", "motor"), point("back", "motor"), point("R", "thermostat"),
                point("OK", "thermostat"), point("Y", "coil"), point("C", "coil"));
    }

    private static Point point(String net, String where) {
        return new Point(net, net, where, "", 5, "N", MeterMode.AC_VOLTS, List.of("running"), "line", 0);
    }

    /** The circuit with the power off. */
    static Circuit off(UnitModel model) {
        return VirtualUnit.of(model, model.machine()).run("run").at(95).unit().solution().circuit();
    }

    static Part part(UnitModel model, String id) {
        return model.part(id);
    }

    static Element.Load load(UnitModel model, String id) {
        return (Element.Load) model.machine().circuit().element(id);
    }
}
