package bricksignal.core.wiring;

import bricksignal.core.Known;
import bricksignal.core.board.Board;
import bricksignal.core.board.Input;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * From an old board to a new one: each terminal to the one of the same function, each setting to the position of the same meaning.
 *
 * @param moves terminals that both have, in the order of the old board
 * @param unplaced terminals of the old board that the new one has none for
 * @param added terminals of the new board that the old one had none for
 * @param settings every setting of the new board
 */
public record BoardMap(List<Move> moves, List<Terminal> unplaced, List<Terminal> added, List<Carried> settings) {

    /**
     * A terminal of a board.
     *
     * @param net its point
     * @param label what stands beside it
     * @param colour of the conductor that is usually there, or empty
     */
    public record Terminal(String net, String label, String colour) {
    }

    /** A conductor's way. */
    public record Move(Terminal from, Terminal to) {
    }

    /**
     * A setting of the new board.
     *
     * @param id by id
     * @param found where the old board stood, or null where it was not written down or has no such setting
     * @param position where the new one belongs
     * @param factory how it leaves the factory
     * @param exact whether the position means the same as what was found; the nearest else
     */
    public record Carried(String id, String label, @Nullable String found, String position, String factory, boolean exact) {

        /** True where nobody may pass over it: it is not as the factory left it, or does not mean what was found. */
        public boolean differs() {
            return found == null || !exact || !position.equals(factory);
        }
    }

    public BoardMap {
        moves = List.copyOf(moves);
        unplaced = List.copyOf(unplaced);
        added = List.copyOf(added);
        settings = List.copyOf(settings);
    }

    /**
     * The map.
     *
     * @param part the board, by the id of its part in both units
     * @param found positions of the old board's settings as found, by setting; what was not written down is not in it
     * @throws IllegalArgumentException if one of the units has no such board
     */
    public static BoardMap of(UnitModel old, UnitModel fresh, String part, Map<String, String> found) {
        Map<String, Set<String>> from = functions(old, part);
        Map<String, Set<String>> to = functions(fresh, part);
        List<Move> moves = new ArrayList<>();
        List<Terminal> unplaced = new ArrayList<>();
        Set<String> taken = new LinkedHashSet<>();
        from.forEach((net, does) -> {
            Optional<String> same = to.entrySet().stream().filter(other -> !taken.contains(other.getKey()) && other.getValue().stream().anyMatch(does::contains))
                    .max(Comparator.comparingLong(other -> other.getValue().stream().filter(does::contains).count())).map(Map.Entry::getKey);
            same.ifPresentOrElse(other -> {
                taken.add(other);
                moves.add(new Move(terminal(old, net), terminal(fresh, other)));
            }, () -> unplaced.add(terminal(old, net)));
        });
        List<Terminal> added = to.keySet().stream().filter(net -> !taken.contains(net)).map(net -> terminal(fresh, net)).toList();
        return new BoardMap(moves, unplaced, added, fresh.settings().stream().map(setting -> carried(old, setting, found)).toList());
    }

    /** The terminals of a board, each with what it does: what it is fed by, what it hears, what it sends. */
    public static Map<String, Set<String>> functions(UnitModel unit, String partId) {
        Part part = unit.part(partId);
        if (part.kind() != Part.Kind.BOARD) {
            throw new IllegalArgumentException("'" + partId + "' is no board");
        }
        Board board = unit.machine().board(part.board());
        Map<String, Set<String>> does = new LinkedHashMap<>();
        note(unit, does, board.supplyPlus(), "supply");
        note(unit, does, board.supplyMinus(), "common");
        for (Input input : board.inputs()) {
            if (input instanceof Input.Voltage sensed) {
                note(unit, does, sensed.plus(), "hears " + input.id());
            } else if (input instanceof Input.FlameCurrent flame) {
                note(unit, does, unit.machine().circuit().element(flame.element()).nets().get(0), "hears " + input.id());
            }
        }
        for (String element : part.elements()) {
            if (unit.machine().circuit().element(element) instanceof Element.Conductor contact && unit.machine().rules().get(element) instanceof Rule.Follows follows) {
                String what = String.join(" ", follows.closed().names().stream().sorted().toList());
                note(unit, does, contact.b(), "sends " + what);
                note(unit, does, contact.a(), "feeds " + what);
            }
        }
        return does;
    }

    private static void note(UnitModel unit, Map<String, Set<String>> does, String net, String what) {
        if (unit.isProbed(net)) {
            does.computeIfAbsent(net, n -> new LinkedHashSet<>()).add(what);
        }
    }

    private static Terminal terminal(UnitModel unit, String net) {
        Point point = unit.point(net);
        return new Terminal(net, point.label(), point.colour());
    }

    private static Carried carried(UnitModel old, UnitModel.Setting fresh, Map<String, String> found) {
        Optional<UnitModel.Setting> before = old.settings().stream().filter(setting -> setting.parameter().equals(fresh.parameter())).findFirst();
        String stood = before.map(setting -> found.get(setting.id())).orElse(null);
        if (stood == null || before.isEmpty() || !before.get().options().containsKey(stood)) {
            return new Carried(fresh.id(), fresh.label(), null, fresh.factory(), fresh.factory(), false);
        }
        double means = Known.in(before.get().options(), stood);
        String position = fresh.nearest(means);
        return new Carried(fresh.id(), fresh.label(), stood, position, fresh.factory(), Known.in(fresh.options(), position) == means);
    }
}
