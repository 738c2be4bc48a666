package bricksignal.core.drawing;

import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A board as it sits: its terminals and its plugs, and where the conductor at each goes. A ladder diagram says how the current goes, this one where the wires are.
 *
 * @param board the part
 * @param terminals those that are on no plug
 * @param plugs its plugs by their connector's id, each with its pins
 */
public record BoardBlock(Part board, List<Terminal> terminals, Map<String, List<Terminal>> plugs) {

    public BoardBlock {
        terminals = List.copyOf(terminals);
    }

    /**
     * A place on a board.
     *
     * @param net its net
     * @param leads the conductors that leave there
     */
    public record Terminal(String net, List<Lead> leads) {
    }

    /**
     * A conductor that leaves a board.
     *
     * @param by what it is
     * @param to net of its other end
     */
    public record Lead(Edge by, String to) {
    }

    /** The boards of a unit from which anything leaves, in the order of its parts. */
    public static List<BoardBlock> of(Ladder ladder) {
        UnitModel model = ladder.model();
        List<Part> boards = model.parts().stream().filter(part -> part.kind() == Part.Kind.BOARD).toList();
        return boards.stream().map(board -> block(ladder, model, board, boards.size() == 1)).filter(block -> !block.terminals().isEmpty() || !block.plugs().isEmpty()).toList();
    }

    private static BoardBlock block(Ladder ladder, UnitModel model, Part board, boolean only) {
        List<Edge> inside = ladder.edges().stream().filter(edge -> only && ladder.onABoard(edge) || board.elements().contains(edge.element())).toList();
        Set<String> nets = new LinkedHashSet<>();
        inside.forEach(edge -> nets.addAll(List.of(edge.a(), edge.b())));
        model.machine().boards().stream().filter(b -> b.id().equals(board.board())).forEach(b -> nets.addAll(List.of(b.supplyPlus(), b.supplyMinus())));
        nets.removeAll(ladder.ground());
        nets.removeIf(net -> !sitsOn(model, board, net));
        Map<String, List<Lead>> terminals = new LinkedHashMap<>();
        Map<String, Map<String, List<Lead>>> plugs = new LinkedHashMap<>();
        for (String net : nets) {
            for (Edge edge : ladder.edges()) {
                if (edge.touches(net) && edge.conducts() && !inside.contains(edge) && !nets.contains(edge.other(net))) {
                    Optional<String> plug = model.connectors().stream().filter(connector -> connector.conductors().contains(edge.element())).map(UnitModel.Connector::id).findFirst();
                    plug.map(id -> plugs.computeIfAbsent(id, none -> new LinkedHashMap<>())).orElse(terminals).computeIfAbsent(net, none -> new ArrayList<>())
                            .add(new Lead(edge, edge.other(net)));
                }
            }
        }
        Map<String, List<Terminal>> pins = new LinkedHashMap<>();
        plugs.forEach((plug, its) -> pins.put(plug, terminals(its)));
        return new BoardBlock(board, terminals(terminals), pins);
    }

    private static List<Terminal> terminals(Map<String, List<Lead>> leads) {
        return leads.entrySet().stream().map(terminal -> new Terminal(terminal.getKey(), List.copyOf(terminal.getValue()))).toList();
    }

    /** A place that is found on the board, by what the pack says of where it is: the place and the board share a word. */
    private static boolean sitsOn(UnitModel model, Part board, String net) {
        List<String> names = List.of(board.label().toLowerCase(Locale.ROOT).split(" "));
        return model.pointAt(net).filter(point -> Stream.of((point.where() + " " + point.label()).toLowerCase(Locale.ROOT).split(" ")).anyMatch(names::contains)).isPresent();
    }
}
