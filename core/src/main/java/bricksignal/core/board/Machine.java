package bricksignal.core.board;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A unit that can run: circuit, what moves its contacts, board, process, parameters. A unit with a fault is another
 * machine, made by {@link Effect#apply}.
 *
 * @param circuit the wiring, every contact in its resting position
 * @param rules what moves which element, by element id
 * @param boards the controls, the one that people call "the board" first; at least one
 * @param process the physics
 * @param parameters fixed values by name: openness of the vent, gas pressure, settings of switches
 * @param counters start values of the board's counters
 * @param held actions that are stuck at a value whatever a person does: nobody calls, the breaker is off
 */
public record Machine(Circuit circuit, Map<String, Rule> rules, List<Board> boards, List<Quantity> process,
        Map<String, Double> parameters, Map<String, Double> counters, Map<String, Double> held) {

    public Machine {
        rules = ordered(rules);
        boards = List.copyOf(boards);
        if (boards.isEmpty()) {
            throw new IllegalArgumentException("a unit has at least one board");
        }
        process = List.copyOf(process);
        parameters = ordered(parameters);
        counters = ordered(counters);
        held = ordered(held);
        for (String id : rules.keySet()) {
            Element element = circuit.element(id);
            if (!(element instanceof Element.Conductor) && !(element instanceof Element.FlamePath)) {
                throw new IllegalArgumentException("element '" + id + "' cannot follow a rule; only conductors and flames can");
            }
        }
    }

    /** The same machine with one element exchanged and the rule that moved it taken away. */
    public Machine withStuck(Element element) {
        Map<String, Rule> remaining = new LinkedHashMap<>(rules);
        remaining.remove(element.id());
        return new Machine(circuit.with(element), remaining, boards, process, parameters, counters, held);
    }

    /** The same machine with one element exchanged; what moves it stays. */
    public Machine withElement(Element element) {
        return new Machine(circuit.with(element), rules, boards, process, parameters, counters, held);
    }

    /** The same machine with one element more, which nothing moves. */
    public Machine withMore(Element element) {
        return new Machine(circuit.plus(element), rules, boards, process, parameters, counters, held);
    }

    /** The same machine with an element moved by another rule. */
    public Machine withRule(String element, Rule rule) {
        Map<String, Rule> changed = new LinkedHashMap<>(rules);
        changed.put(element, rule);
        return new Machine(circuit, changed, boards, process, parameters, counters, held);
    }

    /** The same machine with the board of that name exchanged. */
    public Machine withBoard(Board other) {
        board(other.id());
        return new Machine(circuit, rules, boards.stream().map(b -> b.id().equals(other.id()) ? other : b).toList(), process,
                parameters, counters, held);
    }

    /** The board of that name. */
    public Board board(String id) {
        return boards.stream().filter(board -> board.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the unit has no board '" + id + "'"));
    }

    /** The parameters that are times: what a board waits for, and how slowly the process follows. */
    public Set<String> times() {
        Set<String> times = new LinkedHashSet<>();
        boards.stream().flatMap(board -> board.regions().stream()).flatMap(region -> region.states().stream())
                .flatMap(state -> state.transitions().stream()).map(Region.Transition::when).map(Expr::names)
                .filter(names -> names.contains("elapsed")).forEach(times::addAll);
        process.stream().flatMap(quantity -> quantity.moves().stream()).map(Quantity.Move::tau).map(Expr::names).forEach(times::addAll);
        return times;
    }

    public Machine withParameter(String name, double value) {
        if (!parameters.containsKey(name)) {
            throw new IllegalArgumentException("no parameter '" + name + "'; declared are " + parameters.keySet());
        }
        Map<String, Double> changed = new LinkedHashMap<>(parameters);
        changed.put(name, value);
        return new Machine(circuit, rules, boards, process, changed, counters, held);
    }

    public Machine withHeld(String action, double value) {
        Map<String, Double> changed = new LinkedHashMap<>(held);
        changed.put(action, value);
        return new Machine(circuit, rules, boards, process, parameters, counters, changed);
    }

    private static <V> Map<String, V> ordered(Map<String, V> map) {
        return java.util.Collections.unmodifiableMap(new LinkedHashMap<>(map));
    }
}
