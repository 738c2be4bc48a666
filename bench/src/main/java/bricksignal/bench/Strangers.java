package bricksignal.bench;

import bricksignal.core.board.Board;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.packs.Composition;
import bricksignal.packs.PackReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Units that are not the one the engine has: another legal logic of the board (edits of the pack's text, invented, after what
 * boards of the trade do), and every impedance, threshold, process constant and time drawn anew.
 */
final class Strangers {

    private static final double SUPPLY = 0.04;
    private static final double PART = 0.2;
    private static final double PROCESS = 0.15;
    /** Of a board's input and supply, and of a switch that trips on heat, draft or pressure; both of its marks alike. */
    private static final double THRESHOLD = 0.1;
    private static final double SLOWEST = 1.6;
    private static final double QUICKEST = 0.6;

    /** A board that starts whether or not the draft switch has opened. */
    private static final String[] NOT_EARLY = {"            - {when: in.draft, to: draft-early}\n", "", """
                        draft-early:
                          lamp: 6 flashes
                          next:
                            - {when: not in.W, to: idle}
                            - {when: not in.draft, to: draft-check}
                """, "", " or state.burner.draft-early", ""};

    /** By family: what is written and what a board of another kind has there, in turn. */
    private static final Map<String, String[][]> EDITS = Map.ofEntries(
            Map.entry("f1-furnace", new String[][] {
                {"limit-open:\n          outputs: [inducer]", "limit-open:"},
                NOT_EARLY,
                {"tries >= 2, to: lockout}\n            - {when: elapsed", "tries >= 4, to: lockout}\n            - {when: elapsed"},
                {"draft-missing:\n          outputs: [inducer]", "draft-missing:"},
                {"        lockout:\n          lamp", "        lockout:\n          outputs: [inducer]\n          lamp"}}),
            Map.entry("f3-vehicle", new String[][] {
                {"next: [{when: in.TH, to: blow, sets: {tries: \"0\"}}]", "next: [{when: in.TH and in.air, to: no-air}, "
                        + "{when: in.TH, to: blow, sets: {tries: \"0\"}}]"},
                {"trial-time and tries >= 2", "trial-time and tries >= 1"},
                {"trial-time and tries >= 2", "trial-time and tries >= 4"},
                {"        no-air:\n          outputs: [fan]", "        no-air:"},
                {"        lockout:\n          lamp", "        lockout:\n          outputs: [fan]\n          lamp"}}),
            Map.entry("f9-airhandler", new String[][] {
                {"in.answer and elapsed >= 1", "in.answer and elapsed >= 4"},
                {"{when: not in.answer, to: no-answer}", "{when: not in.answer, to: asking}"},
                {"        no-answer:\n          lamp: 4 flashes", "        no-answer:\n          lamp: steady"},
                {"        wake:\n          lamp: steady", "        wake:\n          lamp: fast"}}),
            Map.entry("f8-airhandler", new String[][] {
                {"        delay:\n          outputs: [fan]", "        delay:"},
                {"          next: [{when: in.G, to: running}]", "          next: [{when: in.G and elapsed >= 3, to: running}]"}}),
            Map.entry("f10-heatpump", new String[][] {
                {"        guard:\n          lamp: fast", "        guard:\n          lamp: slow"},
                {"        pressure:\n          lamp: 3 flashes\n          next: [{when: not in.Y, to: guard}]", "        pressure:\n          lamp: 3 flashes\n"
                        + "          next: [{when: not in.Y, to: guard}, {when: in.pressure and elapsed >= 300, to: ready}]"},
                {"not in.cold and elapsed >= 20", "not in.cold and elapsed >= 60"}}),
            Map.entry("f12-minisplit", new String[][] {
                {"in.outdoor-line and elapsed >= 3", "in.outdoor-line and elapsed >= 8"},
                {"        no-line:\n          outputs: [permit]", "        no-line:"},
                {"        frozen:\n          outputs: [indoor-fan]", "        frozen:\n          outputs: [indoor-fan, permit]"},
                {"        hot:\n          outputs: [outdoor-fan]", "        hot:"}}),
            Map.entry("f14-rooftop", new String[][] {
                NOT_EARLY,
                {"trial-time and tries >= 2", "trial-time and tries >= 1"},
                {"        limit-open:\n          outputs: [reply, inducer]", "        limit-open:\n          outputs: [reply]"},
                {"        draft-missing:\n          outputs: [inducer]", "        draft-missing:"},
                {"        no-reply:\n          outputs: [heat]", "        no-reply:"},
                {"        frozen:\n          outputs: [fan]", "        frozen:"}}),
            Map.entry("f13-multisplit", new String[][] {
                {"        hot:\n          outputs: [fan]", "        hot:"},
                {"{when: elapsed >= 2, to: ready}", "{when: elapsed >= 6, to: ready}"}}),
            Map.entry("f16-humidity", new String[][] {
                {"humidity <= limit - 3 - drift", "humidity <= limit - 6 - drift"},
                {"not in.sensor, to: no-sensor", "not in.sensor and elapsed >= 10, to: no-sensor"}}),
            Map.entry("f15-relayboard", new String[][] {
                {"in.Y and elapsed >= rest-time", "in.Y and elapsed >= rest-time + 15"},
                {"action.call >= 0.5 or action.key >= 0.5, to: called", "elapsed >= 5 and (action.call >= 0.5 or action.key >= 0.5), to: called"}}),
            Map.entry("f17-economizer", new String[][] {
                {"outdoor-shown <= high-limit - 1", "outdoor-shown <= high-limit - 4"},
                {"elapsed >= 3, to: available", "elapsed >= 20, to: available"}}),
            Map.entry("f18-leak", new String[][] {
                {"        clearing:\n          outputs: [high]", "        clearing:"},
                {"in.sensor and elapsed >= 5", "in.sensor and elapsed >= 60"}}),
            Map.entry("f2-furnace", new String[][] {
                {"limit-open:\n          outputs: [inducer]", "limit-open:"},
                {"draft-missing:\n          outputs: [inducer]", "draft-missing:"},
                {"tries >= 2, to: lockout}\n            - {when: elapsed", "tries >= 4, to: lockout}\n            - {when: elapsed"},
                {"high-missing:\n          outputs: [inducer, gas]", "high-missing:\n          outputs: [inducer-high, gas]"}}),
            Map.entry("f4-boiler", new String[][] {
                {"        limit-open:\n          outputs: [circulator]", "        limit-open:"},
                {"trial-time and tries >= 2", "trial-time and tries >= 4"},
                {"        lockout:\n          outputs: [circulator]", "        lockout:"},
                {"damper-missing:\n          outputs: [circulator, damper]", "damper-missing:\n          outputs: [circulator]"}}),
            Map.entry("f5-boiler", new String[][] {
                {"limit-open:\n          outputs: [boiler-pump, fan]", "limit-open:\n          outputs: [boiler-pump]"},
                {"trial-time and tries >= 2", "trial-time and tries >= 4"},
                {"air-missing:\n          outputs: [boiler-pump, fan]", "air-missing:\n          outputs: [boiler-pump]"},
                {"fan-missing:\n          outputs: [boiler-pump, fan]", "fan-missing:\n          outputs: [boiler-pump]"}}),
            Map.entry("f6-stove", new String[][] {
                {"elapsed >= cycle-time - feed-time", "elapsed >= 1.2 * (cycle-time - feed-time)"},
                {"elapsed >= feed-time", "elapsed >= 0.8 * feed-time"}}),
            Map.entry("f7-stove", new String[][] {
                {"shutdown:\n          outputs: [exhaust, room]", "shutdown:\n          outputs: [exhaust]"},
                {"draft-lost:\n          outputs: [exhaust]", "draft-lost:"},
                {"fire-lost:\n          outputs: [exhaust]", "fire-lost:"},
                {"overheat:\n          outputs: [exhaust, room]", "overheat:\n          outputs: [exhaust]"}}),
            Map.entry("f11-module", new String[][] {
                {"trial-time and tries >= 2", "trial-time and tries >= 4"},
                {"trial-time and tries >= 2", "trial-time and tries >= 1"},
                {"in.flame and elapsed >= least-trial", "in.flame and elapsed >= 4"}}));

    private final List<UnitModel> kinds = new ArrayList<>();

    /** The kinds of board of a composition: as declared, and with each edit that it has a place for; the usual one has one for all. */
    Strangers(Composition composition) {
        String family = composition.family();
        String text = Chosen.text(composition);
        kinds.add(PackReader.read(text));
        for (String[] edit : EDITS.getOrDefault(family, new String[0][])) {
            if (!composition.usual() && !says(text, edit)) {
                continue;
            }
            String other = text;
            for (int i = 0; i < edit.length; i += 2) {
                if (!other.contains(edit[i])) {
                    throw new IllegalStateException("pack " + family + " does not say '" + edit[i]
                            + "' any more; mend the edits of the bench");
                }
                other = other.replace(edit[i], edit[i + 1]);
            }
            kinds.add(PackReader.read(other));
        }
    }

    /** Whether a composition has all that an edit changes: others have other sequences. */
    private static boolean says(String text, String[] edit) {
        return IntStream.range(0, edit.length / 2).allMatch(i -> text.contains(edit[2 * i]));
    }

    /** One of the kinds, most of them not as declared. */
    UnitModel kind(Random random) {
        return kinds.get(random.nextInt(kinds.size()));
    }

    /** The machine of a kind with everything drawn anew, within twice its tolerance: one that runs when nothing is the matter. */
    static Machine drawn(UnitModel kind, Random random) {
        while (true) {
            Machine machine = drawnOnce(kind, random);
            if (runs(kind, VirtualUnit.of(kind, machine))) {
                return machine;
            }
        }
    }

    /** True if it comes to every moment that somebody waits for. */
    private static boolean runs(UnitModel kind, VirtualUnit unit) {
        return kind.moments().stream().allMatch(moment -> unit.comesTo(moment).isPresent());
    }

    private static Machine drawnOnce(UnitModel kind, Random random) {
        Machine machine = kind.machine();
        for (Element element : kind.machine().circuit().elements()) {
            machine = element(machine, element, random);
        }
        for (Map.Entry<String, Rule> rule : kind.machine().rules().entrySet()) {
            machine = rule.getValue() instanceof Rule.Latches switched
                    ? machine.withRule(rule.getKey(), switched(switched, off(THRESHOLD, random))) : machine;
        }
        for (Board board : kind.machine().boards()) {
            machine = machine.withBoard(new Board(board.id(), board.supplyPlus(), board.supplyMinus(),
                    board.supplyVolts() * off(THRESHOLD, random),
                    board.inputs().stream().map(input -> input(input, off(THRESHOLD, random))).toList(), board.regions()));
        }
        double pace = QUICKEST * Math.pow(SLOWEST / QUICKEST, random.nextDouble());
        Set<String> times = kind.machine().times();
        Set<String> touched = faultParameters(kind);
        for (Map.Entry<String, Double> parameter : new LinkedHashMap<>(kind.machine().parameters()).entrySet()) {
            if (times.contains(parameter.getKey())) {
                machine = machine.withParameter(parameter.getKey(), parameter.getValue() * pace);
            } else if (!touched.contains(parameter.getKey()) || !yesOrNo(parameter.getValue())) {
                machine = machine.withParameter(parameter.getKey(), parameter.getValue() * off(PROCESS, random));
            }
        }
        return machine;
    }

    private static Rule switched(Rule.Latches rule, double factor) {
        return new Rule.Latches(scaled(rule.opens(), factor), rule.closes() == null ? null : scaled(rule.closes(), factor));
    }

    /** A comparison with a number, the number scaled; anything else as it is. */
    private static Expr scaled(Expr expression, double factor) {
        return expression instanceof Expr.Binary binary && binary.right() instanceof Expr.Number mark
                ? new Expr.Binary(binary.operator(), binary.left(), new Expr.Number(mark.number() * factor)) : expression;
    }

    private static Input input(Input input, double factor) {
        return input instanceof Input.Voltage v ? new Input.Voltage(v.id(), v.plus(), v.minus(), v.on() * factor, v.off() * factor)
                : new Input.FlameCurrent(input.id(), ((Input.FlameCurrent) input).element(), input.on() * factor, input.off() * factor);
    }

    private static boolean yesOrNo(double value) {
        return value == 0 || value == 1;
    }

    private static Set<String> faultParameters(UnitModel kind) {
        Set<String> touched = new LinkedHashSet<>();
        kind.faults().forEach(fault -> fault.effects().forEach(effect -> {
            if (effect instanceof bricksignal.core.board.Effect.OnParameter on) {
                touched.add(on.parameter());
            }
        }));
        return touched;
    }

    private static Machine element(Machine machine, Element element, Random random) {
        if (element instanceof Element.Source s && s.ohms() < 1000) {
            return machine.withElement(new Element.Source(s.id(), s.plus(), s.minus(), s.volts() * off(SUPPLY, random), s.degrees(),
                    s.ohms()));
        } else if (element instanceof Element.DirectSource s) {
            return machine.withElement(new Element.DirectSource(s.id(), s.plus(), s.minus(), s.volts() * off(SUPPLY, random), s.ohms()));
        } else if (element instanceof Element.Load l && Double.isFinite(l.ohms())) {
            return machine.withElement(l.scaled(off(PART, random)));
        } else if (element instanceof Element.Capacitor c) {
            return machine.withElement(new Element.Capacitor(c.id(), c.a(), c.b(), c.farads() * off(c.farads() > 1e-7 ? 0.06 : 0.6, random)));
        }
        return machine;
    }

    private static double off(double tolerance, Random random) {
        return 1 + tolerance * (2 * random.nextDouble() - 1);
    }
}
