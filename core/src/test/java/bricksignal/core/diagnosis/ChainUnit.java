package bricksignal.core.diagnosis;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The smallest unit that a diagnosis has work with (invented):
 *
 * <pre>
 *   R --call-- n0 --w1-- n1 --w2-- n2 ... --wK-- nK --coil-- C
 * </pre>
 *
 * 24 V from R to C; each wire can be open, the coil can be open, the board that does nothing can be dead. Every wire is a part of
 * its own. The call is placed after ten seconds.
 */
public final class ChainUnit {

    public static final String FOUND = "calling";

    private ChainUnit() {
    }

    /** A chain of so many wires, compiled; each wire may be intermittent too where that is wanted. */
    public static CompiledPack of(int wires, double intermittent) {
        return CompiledPack.of(model(wires, intermittent), ErrorModel.defaults());
    }

    public static UnitModel model(int wires, double intermittent) {
        List<Element> elements = new ArrayList<>();
        elements.add(new Element.Source("supply", "R", "C", 24, 0, 0.5));
        elements.add(new Element.Conductor("call", "R", "n0", 0.01, false, Double.POSITIVE_INFINITY));
        List<Part> parts = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        List<Point> points = new ArrayList<>();
        points.add(point("C"));
        points.add(point("n0"));
        for (int i = 1; i <= wires; i++) {
            elements.add(new Element.Conductor("w" + i, "n" + (i - 1), "n" + i, 0.01, true, Double.POSITIVE_INFINITY));
            parts.add(new Part("wire-" + i, "wire " + i, Part.Kind.WIRING, 2, 5, true, List.of("w" + i), "", 0));
            faults.add(new Fault("open-" + i, Message.said("wire " + i + " open"), Fault.Kind.FAULT, "wire-" + i, 1,
                    List.of(new Effect.OnElement("w" + i, Effect.Mode.OPEN, 0)), Message.said("mend it"), false, intermittent, 0));
            points.add(point("n" + i));
        }
        elements.add(new Element.Load("coil", "n" + wires, "C", 40, 0));
        parts.add(new Part("coil", "coil", Part.Kind.PART, 30, 10, true, List.of("coil"), "", 1));
        parts.add(new Part("board", "board", Part.Kind.BOARD, 300, 30, true, List.of(), "board", 3));
        faults.add(new Fault("coil-open", Message.said("coil open"), Fault.Kind.FAULT, "coil", 2,
                List.of(new Effect.OnElement("coil", Effect.Mode.OPEN, 0)), Message.said("change it"), false, 0, 0));
        faults.add(new Fault("nothing", Message.said("nothing wrong now"), Fault.Kind.NOTHING_WRONG, "coil", 1, List.of(), Message.said("leave it"),
                false, 0, 0));
        Machine machine = new Machine(new Circuit("C", 60, elements), Map.of("call", new Rule.Follows(ExprParser.parse("action.call"))),
                List.of(new Board("board", "R", "C", 16, List.of(), List.of())), List.of(), Map.of(), Map.of(), Map.of());
        Scenario usual = new Scenario("usual", 60, List.of(new Scenario.Step(10, "call", 1)));
        List<Moment> moments = List.of(new Moment(FOUND, "while it calls", "usual", null, 20, 0, Moment.Role.AS_FOUND));
        List<UnitModel.Channel> channels = List.of(new UnitModel.Channel("coil", "coil", ExprParser.parse("amps.coil > 0.1")));
        return new UnitModel("chain", "Chain", "feeds a coil", machine, List.of(), points, List.of(usual), moments,
                new UnitModel.Found(15, 50), List.of(), List.of(), List.of(), channels, Map.of(), parts, faults, List.of(),
                Map.of(), List.of(), List.of(), bricksignal.core.menu.Menu.NONE,
                new Dangers(Map.of("coil", Device.SOLENOID), Map.of(), Map.of(), Map.of(), Map.of(), Dangers.Refrigerant.NONE, Set.of()));
    }

    /** A voltage at a net against the common, as found. */
    public static Observation.Reading volts(CompiledPack pack, String net, double volts) {
        return new Observation.Reading((bricksignal.core.unit.Test.Reading) pack.catalogue().test("v." + net + "." + FOUND), volts);
    }

    private static Point point(String net) {
        return new Point(net, net, "", "", 5, "C", MeterMode.AC_VOLTS, net.equals("C") ? List.of() : List.of(FOUND), "chain", 0);
    }
}
