package bricksignal.core.unit;

import bricksignal.core.board.Board;
import bricksignal.core.board.Expr;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Simulation;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One call of a unit placed alone by a jumper at its board, and what starts then in a unit in good order. Beside those that the pack names they are found in
 * the circuit: a contact that somebody's call closes (a thermostat, a building's relay) feeds a terminal.
 *
 * @param from net of the terminal that feeds it
 * @param to net of the terminal that is called
 * @param withUsual true where it does nothing alone and is placed beside the usual call: a second stage
 * @param starts what starts, in the order in which it does; at least one
 */
public record CallAlone(String from, String to, boolean withUsual, List<Start> starts) {

    /** Somebody waits so long for what a call starts, seconds (our own judgement; a compressor's guard and an airing take minutes). */
    private static final double WAITED_SECONDS = 900;

    private static final double OHMS = 0.05;
    private static final String JUMPER = "call-alone";
    private static final Set<Expr.Kind> NOT_BY_HAND = Set.of(Expr.Kind.IN, Expr.Kind.OUT, Expr.Kind.STATE, Expr.Kind.AMPS, Expr.Kind.VOLTS, Expr.Kind.POWERED,
            Expr.Kind.CLOSED);

    public CallAlone {
        starts = List.copyOf(starts);
    }

    /**
     * Something that starts.
     *
     * @param seconds after the call
     */
    public record Start(UnitModel.Channel channel, double seconds) {
    }

    /** A jumper. */
    private record Jumper(String from, String to) {
    }

    /** The calls of a unit: those that its pack names, then those of its circuit; of two that do the same the first. */
    public static List<CallAlone> of(UnitModel model) {
        Map<String, Jumper> jumpers = new LinkedHashMap<>();
        model.calls().stream().filter(call -> !call.from().isEmpty() && !call.to().isEmpty())
                .forEach(call -> jumpers.put(call.to(), new Jumper(call.from(), call.to())));
        for (Element element : model.machine().circuit().elements()) {
            if (element instanceof Element.Conductor contact && model.machine().rules().get(contact.id()) instanceof Rule.Follows follows
                    && byHand(model, follows.closed()) && !besideASwitchOfTheProcess(model, contact)) {
                jumper(model, contact).ifPresent(jumper -> jumpers.putIfAbsent(jumper.to(), jumper));
            }
        }
        Map<List<Start>, CallAlone> calls = new LinkedHashMap<>();
        jumpers.values().forEach(jumper -> placed(model, jumper).ifPresent(call -> calls.putIfAbsent(call.starts(), call)));
        return List.copyOf(calls.values());
    }

    /** What somebody's call closes: no board, no process, and not what is there from the beginning, such as the power. */
    private static boolean byHand(UnitModel model, Expr closed) {
        Set<String> fromTheBeginning = new LinkedHashSet<>();
        model.scenarios().get(0).steps().stream().filter(step -> step.at() == 0).forEach(step -> fromTheBeginning.add(UnitModel.ACTION + step.action()));
        Set<String> names = closed.names();
        return names.stream().anyMatch(name -> name.startsWith(UnitModel.ACTION)) && names.stream().noneMatch(fromTheBeginning::contains)
                && names.stream().map(Expr.Name::of).map(Expr.Name::kind).noneMatch(NOT_BY_HAND::contains);
    }

    /** A jumper for a test across what heat, air or pressure moves: that is no call. */
    private static boolean besideASwitchOfTheProcess(UnitModel model, Element.Conductor contact) {
        return model.liesBeside(contact, model.machine().rules().entrySet().stream().filter(rule -> rule.getValue() instanceof Rule.Latches)
                .map(rule -> model.machine().circuit().element(rule.getKey())));
    }

    private static Optional<Jumper> jumper(UnitModel model, Element.Conductor contact) {
        return feeding(model, contact.a()).flatMap(from -> called(model, contact.b()).map(to -> new Jumper(from, to)))
                .or(() -> feeding(model, contact.b()).flatMap(from -> called(model, contact.a()).map(to -> new Jumper(from, to))));
    }

    /** The terminal that a call is fed from, on the side of its contact that leads to it: the one from which the pack's own call is placed. */
    private static Optional<String> feeding(UnitModel model, String net) {
        Set<String> near = model.wired(net);
        return model.calls().stream().map(CallAdvice::from).filter(near::contains).findFirst();
    }

    /** The terminal at which a call is heard: of a board's input, or else the last that a probe reaches on the way. */
    private static Optional<String> called(UnitModel model, String net) {
        List<String> near = model.wired(net).stream().filter(model::isProbed).toList();
        return model.machine().boards().stream().map(Board::inputs).flatMap(List::stream).filter(Input.Voltage.class::isInstance)
                .map(input -> ((Input.Voltage) input).plus()).filter(near::contains).findFirst()
                .or(() -> near.isEmpty() ? Optional.empty() : Optional.of(near.get(near.size() - 1)));
    }

    private static Optional<CallAlone> placed(UnitModel model, Jumper jumper) {
        List<Start> alone = starts(model, jumper, List.of());
        if (!alone.isEmpty()) {
            return Optional.of(new CallAlone(jumper.from(), jumper.to(), false, alone));
        }
        List<Start> beside = starts(model, jumper, List.of(usual(model)));
        return beside.isEmpty() ? Optional.empty() : Optional.of(new CallAlone(jumper.from(), jumper.to(), true, beside));
    }

    private static String usual(UnitModel model) {
        Scenario usual = model.scenarios().get(0);
        return usual.steps().stream().filter(step -> step.at() == usual.firstAfterPower()).map(Scenario.Step::action).findFirst().orElse("");
    }

    /** What a person sees or hears start after some calls with a jumper and not without it, or sooner. */
    private static List<Start> starts(UnitModel model, Jumper jumper, List<String> calls) {
        Timeline with = run(model, jumper, calls, true);
        Timeline without = run(model, jumper, calls, false);
        double at = model.scenarios().get(0).firstAfterPower();
        List<Start> starts = new ArrayList<>();
        for (UnitModel.Channel channel : model.channels()) {
            double begins = begins(with, channel, at);
            if (begins < begins(without, channel, at) && channel.perceived()) {
                starts.add(new Start(channel, begins - at));
            }
        }
        starts.sort((one, other) -> Double.compare(one.seconds(), other.seconds()));
        return starts;
    }

    /** When a channel begins at that time or after it, seconds into the run; infinite where it does not. */
    static double begins(Timeline run, UnitModel.Channel channel, double at) {
        boolean on = false;
        for (Timeline.Interval interval : run.intervals()) {
            boolean now = channel.when().holds(interval.middle());
            if (now && !on && interval.start() >= at) {
                return interval.start();
            }
            on = now;
        }
        return Double.POSITIVE_INFINITY;
    }

    private static Timeline run(UnitModel model, Jumper jumper, List<String> calls, boolean in) {
        Scenario usual = model.scenarios().get(0);
        double at = usual.firstAfterPower();
        List<Scenario.Step> steps = new ArrayList<>(usual.steps().stream().filter(step -> step.at() == 0).toList());
        calls.forEach(call -> steps.add(new Scenario.Step(at, call, 1)));
        if (in) {
            steps.add(new Scenario.Step(at, JUMPER, 1));
        }
        return Simulation.run(with(model.machine(), jumper), new Scenario(JUMPER, at + WAITED_SECONDS, steps));
    }

    private static Machine with(Machine machine, Jumper jumper) {
        Circuit circuit = machine.circuit();
        List<Element> elements = new ArrayList<>(circuit.elements());
        elements.add(new Element.Conductor(JUMPER, jumper.from(), jumper.to(), OHMS, false, Double.POSITIVE_INFINITY));
        Map<String, Rule> rules = new LinkedHashMap<>(machine.rules());
        rules.put(JUMPER, new Rule.Follows(ExprParser.parse(UnitModel.ACTION + JUMPER)));
        return new Machine(new Circuit(circuit.reference(), circuit.hertz(), elements), rules, machine.boards(), machine.process(), machine.parameters(),
                machine.counters(), machine.held());
    }
}
