package bricksignal.core.diagnosis;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.menu.Menu;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The smallest unit with a board that does something (invented):
 *
 * <pre>
 *   L --breaker-- R --call-- T --wire-- W (the board hears it)
 *                 R --relay of the board-- OUT --pin of plug P-- hot --coil-- C
 * </pre>
 *
 * 24 V from R to C. Power comes at once, the call after ten seconds, the power goes after ninety.
 */
public final class BoardUnit {

    public static final String STANDBY = "standby";
    public static final String CALLING = "calling";
    public static final String OFF = "off";
    private static final double NEVER = Double.POSITIVE_INFINITY;

    private BoardUnit() {
    }

    /** Compiled, with its points. */
    public static CompiledPack compiled() {
        return CompiledPack.of(model(), ErrorModel.defaults());
    }

    /** Compiled, with probes reaching these nets alone. */
    public static CompiledPack compiled(String... probed) {
        return CompiledPack.of(model(List.of(probed)), ErrorModel.defaults());
    }

    /** The unit as it is declared. */
    public static UnitModel model() {
        return model(List.of("R", "T", "W", "OUT", "hot", "C"));
    }

    private static UnitModel model(List<String> probed) {
        List<Element> elements = List.of(new Element.Source("supply", "L", "C", 24, 0, 0.5), new Element.Conductor("breaker", "L", "R", 0.01, true, NEVER),
                new Element.Load("logic", "R", "C", 400, 0), new Element.Conductor("call", "R", "T", 0.01, false, NEVER), new Element.Conductor("wire", "T", "W", 0.01, true, NEVER),
                new Element.Load("hears", "W", "C", 4000, 0), new Element.Conductor("relay", "R", "OUT", 0.03, false, NEVER),
                new Element.Conductor("pin", "OUT", "hot", 0.02, true, NEVER), new Element.Load("coil", "hot", "C", 40, 0));
        Machine machine = new Machine(new Circuit("C", 60, elements), Map.of("breaker", new Rule.Follows(ExprParser.parse("action.power")), "call", new Rule.Follows(
                ExprParser.parse("action.call")), "relay", new Rule.Follows(ExprParser.parse("out.relay"))), List.of(board()), List.of(), Map.of(), Map.of(), Map.of());
        Scenario usual = new Scenario("usual", 120, List.of(new Scenario.Step(0, "power", 1), new Scenario.Step(10, "call", 1), new Scenario.Step(90, "power", 0)));
        List<Moment> moments = List.of(new Moment(STANDBY, "power on and no call", "usual", null, 5, 0, Moment.Role.OTHER),
                new Moment(CALLING, "while it calls", "usual", null, 30, 0, Moment.Role.AS_FOUND), new Moment(OFF, "power off", "usual", null, 110, 0, Moment.Role.POWER_OFF));
        Dangers dangers = new Dangers(Map.of("supply", Device.SUPPLY, "logic", Device.CONTROL_BOARD, "hears", Device.CONTROL_BOARD, "coil", Device.SOLENOID), Map.of(), Map.of(),
                Map.of(), Map.of(), Dangers.Refrigerant.NONE, Set.of());
        return new UnitModel("small-board", "Small board", "feeds a coil when it is called", machine, List.of(new UnitModel.Connector("P", "plug P", List.of("pin"))),
                probed.stream().map(BoardUnit::point).toList(), List.of(usual), moments, new UnitModel.Found(15, 80), List.of(ohms()), List.of(reseat()), List.of(),
                List.of(new UnitModel.Channel("coil", "coil", ExprParser.parse("amps.coil > 0.1"))), Map.of(), parts(), faults(), List.of(), Map.of(), List.of(), List.of(),
                Menu.NONE, dangers);
    }

    private static Board board() {
        Region.State rest = new Region.State("rest", Set.of(), null, List.of(new Region.Transition(ExprParser.parse("in.w"), "on", Map.of())));
        Region.State on = new Region.State("on", Set.of("relay"), null, List.of(new Region.Transition(ExprParser.parse("not in.w"), "rest", Map.of())));
        return new Board("board", "R", "C", 16, List.of(new Input.Voltage("w", "W", "C", 16, 10)), List.of(new Region("run", List.of(rest, on))));
    }

    private static Test.Reading ohms() {
        return new Test.Reading("ohms-coil", Message.said("coil with its plug off"), MeterMode.OHMS, new Place.Across("C", "hot"), OFF, new Setup(true, List.of("P")), 1, 0.1);
    }

    private static Test.Check reseat() {
        return new Test.Check("reseat-P", Message.said("plug P pushed home - does that change it"), Test.Sense.RESEAT, CALLING, null, Map.of("pin-open", 0.8), 0.02, 0.5, "P",
                Change.NONE);
    }

    private static List<Part> parts() {
        return List.of(new Part("board", "board", Part.Kind.BOARD, 300, 30, true, List.of("relay", "logic", "hears"), "board", 3), new Part("coil", "coil", Part.Kind.PART, 30,
                10, true, List.of("coil"), "", 1), new Part("plug", "plug P", Part.Kind.WIRING, 5, 10, true, List.of("pin"), "", 0), new Part("wire", "wire of the call",
                Part.Kind.WIRING, 2, 15, true, List.of("wire"), "", 0), new Part("watch", "nothing to repair", Part.Kind.OPERATION, 0, 15, true, List.of(), "", 0));
    }

    private static List<Fault> faults() {
        List<Fault> faults = new ArrayList<>();
        faults.add(fault("relay-open", "board", new Effect.OnElement("relay", Effect.Mode.OPEN, 0)));
        faults.add(fault("relay-welded", "board", new Effect.OnElement("relay", Effect.Mode.CLOSED, 0)));
        faults.add(fault("deaf", "board", new Effect.InputDeaf("w")));
        faults.add(fault("board-dead", "board", new Effect.BoardDead("board")));
        faults.add(fault("coil-open", "coil", new Effect.OnElement("coil", Effect.Mode.OPEN, 0)));
        faults.add(fault("coil-shorted", "coil", new Effect.OnElement("coil", Effect.Mode.SHORTED, 1)));
        faults.add(fault("pin-open", "plug", new Effect.OnElement("pin", Effect.Mode.OPEN, 0)));
        faults.add(fault("wire-open", "wire", new Effect.OnElement("wire", Effect.Mode.OPEN, 0)));
        faults.add(new Fault("nothing", Message.said("nothing wrong now"), Fault.Kind.NOTHING_WRONG, "watch", 1, List.of(), Message.said("leave it"), false, 0, 0));
        return faults;
    }

    private static Fault fault(String id, String part, Effect effect) {
        return new Fault(id, Message.said(id), Fault.Kind.FAULT, part, 1, List.of(effect), Message.said("mend it"), false, 0, 0);
    }

    private static Point point(String net) {
        return new Point(net, net, "board", "", 5, "C", MeterMode.AC_VOLTS, net.equals("C") ? List.of() : List.of(STANDBY, CALLING), "low", 0);
    }

    /** A voltage at a net against the common. */
    public static Observation.Reading volts(CompiledPack pack, String net, String moment, double volts) {
        return new Observation.Reading((Test.Reading) pack.catalogue().test("v." + net + "." + moment), volts);
    }

    /** Any reading. */
    public static Observation.Reading read(CompiledPack pack, String test, double value) {
        return new Observation.Reading((Test.Reading) pack.catalogue().test(test), value);
    }

    /** An answer. */
    public static Observation.Answer answer(CompiledPack pack, String test, boolean yes) {
        return new Observation.Answer((Test.Check) pack.catalogue().test(test), yes);
    }
}
