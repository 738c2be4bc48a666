package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What can fail in a unit by its physics alone, beside the faults that the pack lists: every conductor can open or stay
 * closed, every load can open, be shorted or weak, every board can be dead or deaf on an input, everything that the process
 * depends on can be gone or weak. Made from the model; the sizes are common practice, from memory.
 */
final class UnlistedFailures {

    /** The id of the part that such a failure names: nobody listed it. */
    static final String PART = "unlisted";

    private static final double WEAK_SUPPLY = 0.8;
    private static final double WEAK_CAPACITOR = 0.3;
    private static final double WEAK_LOAD = 2;
    private static final double SHORT_OHMS = 0.5;
    private static final double WEAK = 0.4;
    private static final double LEAST_AMPS = 0.05;

    private final UnitModel model;
    private final Machine machine;
    private final List<Solution> nominal;
    private final List<Fault> failures = new ArrayList<>();

    private UnlistedFailures(UnitModel model, List<Timeline> nominal) {
        this.model = model;
        this.machine = model.machine();
        this.nominal = nominal.stream().flatMap(run -> run.intervals().stream()).map(interval -> interval.unit().solution()).distinct().toList();
    }

    /** The failures of a unit that do something in a run that is watched. */
    static List<Fault> of(UnitModel model, VirtualUnit nominal) {
        UnlistedFailures unlisted = new UnlistedFailures(model, model.watchedScenarios().stream().map(run -> nominal.run(run.id())).toList());
        model.machine().circuit().elements().forEach(unlisted::element);
        model.machine().boards().forEach(board -> {
            unlisted.add(Message.of("failure.board-dead", Message.said(model.boardLabel(board.id()))), new Effect.BoardDead(board.id()));
            board.inputs().forEach(input -> unlisted.add(Message.of("failure.input-deaf",
                    Message.said(model.boardLabel(board.id())), Message.said(input.id())),
                    new Effect.InputDeaf(input.id())));
        });
        unlisted.parameters();
        return unlisted.failures;
    }

    /** The part that stands for what no list names. */
    static Part part() {
        return new Part(PART, "", Part.Kind.WIRING, 0, 0, true, List.of(), "", 0);
    }

    private void element(Element e) {
        if (e instanceof Element.Conductor conductor) {
            if (nominal.stream().anyMatch(s -> closed(s, e))) {
                fails(e, Effect.Mode.OPEN, 0, conductor("failure.conductor-open", conductor));
            }
            if (!nominal.stream().allMatch(s -> closed(s, e)) && !model.isTestGear(e.id())) {
                fails(e, Effect.Mode.CLOSED, 0, conductor("failure.conductor-closed", conductor));
            }
        } else if (e instanceof Element.Load) {
            fails(e, Effect.Mode.SHORTED, SHORT_OHMS, named("failure.shorted", e.id()));
            if (nominal.stream().anyMatch(s -> s.amps(e.id()).magnitude() >= LEAST_AMPS)) {
                fails(e, Effect.Mode.OPEN, 0, named("failure.open", e.id()));
                fails(e, Effect.Mode.SCALED, WEAK_LOAD, named("failure.weak-load", e.id()));
            }
        } else if (e instanceof Element.Capacitor c && !c.stray()) {
            fails(e, Effect.Mode.OPEN, 0, named("failure.open", e.id()));
            fails(e, Effect.Mode.SCALED, WEAK_CAPACITOR, named("failure.weak", e.id()));
        } else if (e instanceof Element.Transformer) {
            fails(e, Effect.Mode.OPEN, 0, named("failure.open", e.id()));
        } else if (e instanceof Element.Source || e instanceof Element.DirectSource) {
            fails(e, Effect.Mode.SCALED, WEAK_SUPPLY, named("failure.low", e.id()));
        }
    }

    /** What the process depends on; times of the board are set, they do not fail. */
    private void parameters() {
        Set<String> times = machine.times();
        machine.parameters().forEach((name, value) -> {
            if (times.contains(name)) {
                return;
            }
            for (double share : value == 0 ? new double[] {1} : new double[] {0, WEAK}) {
                double failed = value == 0 ? share : share * value;
                add(Message.of("failure.parameter", Message.said(name.replace('-', ' ')), new Message.Number(failed),
                        new Message.Number(value)),
                        new Effect.OnParameter(name, failed));
            }
        });
    }

    private static boolean closed(Solution solution, Element conductor) {
        return ((Element.Conductor) solution.circuit().element(conductor.id())).closed();
    }

    private void fails(Element element, Effect.Mode mode, double value, Message label) {
        add(label, new Effect.OnElement(element.id(), mode, value));
    }

    private void add(Message label, Effect effect) {
        boolean listed = model.faults().stream().anyMatch(fault -> fault.effects().equals(List.of(effect)) || fault.effects().size() == 1
                && shorts(fault.effects().get(0), effect));
        if (!listed) {
            failures.add(new Fault(PART + "." + failures.size(), label, Fault.Kind.FAULT, PART, 1, List.of(effect), Message.said(""), false, 0, 0));
        }
    }

    /** True for two shorts of one load, whatever is left of it in ohms. */
    private static boolean shorts(Effect listed, Effect effect) {
        return listed instanceof Effect.OnElement one && effect instanceof Effect.OnElement other && one.element().equals(other.element())
                && one.mode() == Effect.Mode.SHORTED && other.mode() == Effect.Mode.SHORTED;
    }

    private Message named(String key, String element) {
        return Message.of(key, Message.said(model.elementLabel(element)));
    }

    private Message conductor(String key, Element.Conductor conductor) {
        return Message.of(key, Message.said(model.elementLabel(conductor.id())), Message.said(model.pointLabel(conductor.a())),
                Message.said(model.pointLabel(conductor.b())));
    }
}
