package bricksignal.core.unit.common;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Input;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** What fails on a board: each output, each input, its logic, what dies on it for good, and its joints behind a plug, all together or at one pin. */
final class Boards {

    private static final double JOINT_WEIGHT = 0.05;
    private static final double JOINT_INTERMITTENT = 0.1;
    /** Of all pins of a plug together: a joint cracks at one pin more often than at all. */
    private static final double PIN_JOINTS_WEIGHT = 0.1;
    private static final double PIN_JOINTS_INTERMITTENT = 0.2;
    private static final double FROZEN_WEIGHT = 0.3;
    /** Of all states together. */
    private static final double STUCK_WEIGHT = 0.2;
    private static final double OUTPUT_WEIGHT = 0.05;
    private static final double INPUT_WEIGHT = 0.05;
    /** What a cause kills that is gone by now. */
    private static final double DEAD_WEIGHT = 0.05;
    private static final String OUTPUT = "out.";

    private static final double PRESSING_MOVES = 0.85;
    private static final double SOLDER_SHOWS = 0.75;
    private static final double PRESS_MINUTES = 0.3;
    private static final double SOLDER_MINUTES = 5;

    private final Gathered gathered;
    private final UnitModel model;

    Boards(Gathered gathered) {
        this.gathered = gathered;
        this.model = gathered.declaredModel();
    }

    void gather() {
        for (Part part : model.parts()) {
            if (part.kind() == Part.Kind.BOARD) {
                Board board = model.machine().board(part.board());
                outputs(part);
                inputs(part, board);
                dead(part);
                if (board.regions().stream().anyMatch(region -> region.initial().lamp() != null)) {
                    gathered.add("frozen." + board.id(), Message.of("failure.board-frozen", Message.said(part.label())), part.id(),
                            FROZEN_WEIGHT, 0, new Effect.BoardFrozen(board.id()), "failure.remedy.board");
                    board.regions().stream().filter(region -> region.initial().lamp() != null).findFirst()
                            .ifPresent(region -> stuck(part, board, region));
                }
            }
        }
        model.connectors().forEach(connector -> gathered.wiggled(connector).ifPresent(check -> model.parts().stream()
                .filter(part -> part.kind() == Part.Kind.BOARD && !pinsOn(part, connector).isEmpty())
                .max(Comparator.comparingInt(part -> pinsOn(part, connector).size()))
                .ifPresent(board -> joints(board, connector, check))));
    }

    /** Each contact of a board that its logic closes can fail by itself: it never closes, or it is welded. */
    private void outputs(Part part) {
        for (String id : part.elements()) {
            if (model.machine().rules().get(id) instanceof Rule.Follows follows && model.machine().circuit().element(id) instanceof Element.Conductor c
                    && follows.closed().names().stream().anyMatch(name -> name.startsWith(OUTPUT))) {
                output("failure.output-dead", "never." + id, part, c, new Effect.OnElement(id, Effect.Mode.OPEN, 0));
                output("failure.output-welded", "welded." + id, part, c, new Effect.OnElement(id, Effect.Mode.CLOSED, 0));
            }
        }
    }

    private void output(String says, String id, Part part, Element.Conductor contact, Effect effect) {
        if (!gathered.declared(effect) && gathered.felt(id, () -> gathered.differs(effect))) {
            gathered.fault(id, Message.of(says, Message.said(part.label()), gathered.point(contact.b())), part.id(), OUTPUT_WEIGHT, 0,
                    List.of(effect), "failure.remedy.board");
        }
    }

    /** Each input of a board can be deaf by itself. */
    private void inputs(Part part, Board board) {
        for (Input input : board.inputs()) {
            Effect effect = new Effect.InputDeaf(input.id());
            String id = "deaf." + input.id();
            if (!gathered.declared(effect) && gathered.felt(id, () -> gathered.differs(effect))) {
                gathered.fault(id, Message.of("failure.input-deaf", Message.said(part.label()), Message.said(input.id())), part.id(),
                        INPUT_WEIGHT, 0, List.of(effect), "failure.remedy.board");
            }
        }
    }

    /** What of a board opens for good when something is done to it: it may have been done before, and is over. */
    private void dead(Part part) {
        for (String id : part.elements()) {
            if (model.machine().rules().get(id) instanceof Rule.Latches latches && latches.closes() == null) {
                Effect effect = new Effect.OnElement(id, Effect.Mode.OPEN, 0);
                if (gathered.felt("dead." + id, () -> gathered.differs(effect))) {
                    gathered.add("dead." + id, Message.of("failure.board-part-dead", Message.said(part.label()), gathered.element(id)), part.id(), DEAD_WEIGHT, 0,
                            effect, "failure.remedy.board");
                }
            }
        }
    }

    /** The region that drives the lamp gets as far as a state of the usual run and does not leave it. */
    private void stuck(Part part, Board board, Region region) {
        Set<String> come = new LinkedHashSet<>();
        model.watchedScenarios().forEach(scenario -> gathered.unit().run(scenario.id()).intervals().forEach(interval ->
                come.add(interval.unit().states().getOrDefault(region.id(), ""))));
        List<Region.State> left = region.states().stream().filter(state -> come.contains(state.id()) && !state.equals(region.initial()))
                .toList();
        for (Region.State state : left) {
            String id = "frozen." + board.id() + "." + state.id();
            Effect stays = new Effect.BoardFrozen(board.id(), region.id(), state.id());
            if (gathered.felt(id, () -> gathered.differs(stays))) {
                gathered.add(id, Message.of("failure.board-stuck", Message.said(part.label()), Message.said(state.id().replace('-', ' '))), part.id(),
                        STUCK_WEIGHT / left.size(), 0, stays, "failure.remedy.board");
            }
        }
    }

    /** The pins of a plug that end on a board. */
    private List<Element.Conductor> pinsOn(Part board, UnitModel.Connector connector) {
        Set<String> nets = new TreeSet<>();
        board.elements().forEach(id -> nets.addAll(model.machine().circuit().element(id).nets()));
        return connector.conductors().stream().flatMap(id -> model.plainConductor(id).stream())
                .filter(c -> nets.contains(c.a()) || nets.contains(c.b())).toList();
    }

    /** The joints behind a plug move with the plug, and with the board when that is pressed: all of them, or that of one pin. */
    private void joints(Part board, UnitModel.Connector connector, Test.Check wiggled) {
        List<Element.Conductor> pins = pinsOn(board, connector).stream().filter(pin -> gathered.halving(pin) > 0).toList();
        Message plug = Message.said(connector.label());
        List<String> joints = new ArrayList<>();
        String all = "joint." + connector.id();
        if (pins.size() != 1 && gathered.felt(all, () -> settles(pins))) {
            List<Element.Conductor> of = pins.isEmpty() ? most(pinsOn(board, connector)) : pins;
            gathered.fault(all, Message.of("failure.joint", Message.said(board.label()), plug), board.id(), JOINT_WEIGHT, JOINT_INTERMITTENT, opened(of), "failure.remedy.board");
            joints.add(all);
        }
        for (Element.Conductor pin : pins) {
            String id = pins.size() == 1 ? all : "joint." + pin.id();
            double share = pins.size() == 1 ? 1.5 : 1.0 / pins.size();
            if (gathered.felt(id, () -> settles(List.of(pin)))) {
                gathered.fault(id, Message.of("failure.joint-pin", Message.said(board.label()), plug, gathered.point(pin.a()), gathered.point(pin.b())), board.id(),
                        PIN_JOINTS_WEIGHT * share, PIN_JOINTS_INTERMITTENT * share, opened(List.of(pin)), "failure.remedy.board");
                joints.add(id);
            }
        }
        if (!joints.isEmpty()) {
            touched(connector, wiggled, plug, joints);
        }
    }

    private List<Element.Conductor> most(List<Element.Conductor> pins) {
        return pins.stream().max(Comparator.comparingDouble(c -> gathered.carries(c.id()))).stream().toList();
    }

    private boolean settles(List<Element.Conductor> pins) {
        return pins.size() <= 1 || gathered.settles(opened(pins));
    }

    private static List<Effect> opened(List<Element.Conductor> pins) {
        return pins.stream().<Effect>map(pin -> new Effect.OnElement(pin.id(), Effect.Mode.OPEN, 0)).toList();
    }

    private void touched(UnitModel.Connector connector, Test.Check wiggled, Message plug, List<String> joints) {
        Map<String, Double> pressed = new LinkedHashMap<>();
        Map<String, Double> held = new LinkedHashMap<>();
        Map<String, Double> solder = new LinkedHashMap<>();
        for (String joint : joints) {
            gathered.tells(wiggled.id(), joint, Gathered.TOUCH_MOVES);
            pressed.put(joint, PRESSING_MOVES);
            held.put(joint, Gathered.BY_CHANCE);
            solder.put(joint, SOLDER_SHOWS);
        }
        gathered.faults().stream().filter(f -> connector.conductors().stream().anyMatch(c -> Gathered.touches(f, c)) && !joints.contains(f.id()))
                .map(Fault::id).forEach(f -> held.put(f, Gathered.TOUCH_MOVES));
        gathered.check("press." + connector.id(), Message.of("test.press", plug), Test.Sense.FEEL, wiggled.moment(), pressed, PRESS_MINUTES);
        gathered.check("hold." + connector.id(), Message.of("test.hold", plug), Test.Sense.FEEL, wiggled.moment(), held, PRESS_MINUTES);
        String off = model.powerOff().stream().map(Moment::id).findFirst().orElse(wiggled.moment());
        gathered.check("solder." + connector.id(), Message.of("test.solder", plug), Test.Sense.LOOK, off, solder, SOLDER_MINUTES);
    }
}
