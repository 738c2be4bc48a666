package bricksignal.core.drawing;

import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The ladder diagram of a unit: each part of its circuit that has a supply of its own on rungs between two rails. Safe for use by several threads. */
public final class Ladder {

    private final UnitModel model;
    private final Wiring wiring;
    private final List<Rungs> sections;
    /** Every way from a rail to where it goes back; asked for at each reading. */
    private final List<List<Step>> ways;

    private Ladder(UnitModel model, Wiring wiring) {
        this.model = model;
        this.wiring = wiring;
        this.sections = wiring.sections().stream().map(section -> Rungs.of(section, wiring)).filter(rungs -> !rungs.rows().isEmpty()).toList();
        this.ways = sections.stream().flatMap(section -> ways(section).stream()).toList();
    }

    /**
     * The diagram of a unit.
     *
     * @param nominal the unit in good order: what conducts in none of its runs is not drawn
     */
    public static Ladder of(UnitModel model, VirtualUnit nominal) {
        return new Ladder(model, Wiring.of(model, nominal));
    }

    public UnitModel model() {
        return model;
    }

    List<Edge> edges() {
        return wiring.edges();
    }

    boolean onABoard(Edge edge) {
        return new Labels(model).onABoard(edge);
    }

    List<Rungs> sections() {
        return sections;
    }

    /** The nets that are drawn as ground wherever they come. */
    public Set<String> ground() {
        return wiring.ground();
    }

    /** How many rungs there are. */
    public int rungs() {
        return sections.stream().mapToInt(section -> section.rows().size()).sum();
    }

    /**
     * One place on a way, and what leads to it from the one before.
     *
     * @param by empty for the first
     */
    public record Step(Optional<Edge> by, String net) {
    }

    /**
     * The rung around two probes: from the rail that feeds it through switches and a load to where the current goes back, the one of all such ways that has both
     * places on it, or else the red one. Empty where the red one is not drawn.
     *
     * @param red net of the place that is looked for
     * @param black net of the other
     */
    public List<Step> way(String red, String black) {
        return ways.stream().filter(way -> has(way, red))
                .min(Comparator.<List<Step>, Boolean>comparing(way -> !has(way, black)).thenComparing(List::size)).orElse(List.of());
    }

    private static boolean has(List<Step> way, String net) {
        return way.stream().anyMatch(step -> step.net().equals(net));
    }

    /** Every way from a rail to where it goes back: by what closes a circuit, and those that lead nowhere. */
    private static List<List<Step>> ways(Rungs section) {
        Trees trees = section.trees();
        List<List<Step>> ways = new ArrayList<>();
        for (String net : trees.nets()) {
            List<Step> out = fromRail(trees, net);
            if (trees.onTheRight(net)) {
                ways.add(back(trees, net, Optional.empty()));
            }
            if (trees.onTheLeft(net)) {
                ways.add(out);
                for (Edge closing : trees.closing(net)) {
                    List<Step> way = new ArrayList<>(out);
                    String to = closing.other(net);
                    way.addAll(trees.onTheRight(to) ? back(trees, to, Optional.of(closing)) : List.of(new Step(Optional.of(closing), to)));
                    ways.add(way);
                }
            }
        }
        return ways;
    }

    private static List<Step> fromRail(Trees trees, String net) {
        List<Step> way = new ArrayList<>();
        for (String at : trees.toRail(net)) {
            way.add(0, new Step(trees.link(at).flatMap(link -> Optional.ofNullable(link.by())), at));
        }
        return way;
    }

    private static List<Step> back(Trees trees, String net, Optional<Edge> first) {
        List<Step> way = new ArrayList<>();
        Optional<Edge> by = first;
        for (String at : trees.toRail(net)) {
            way.add(new Step(by, at));
            by = trees.link(at).flatMap(link -> Optional.ofNullable(link.by()));
        }
        return way;
    }

    /** What stands beside something drawn: nothing for a plain wire. */
    public Message label(Edge edge) {
        return new Labels(model).edge(edge);
    }

    /** What lies at a net beyond something drawn, by the first that has a name; nothing where none has. */
    public Message beyond(Edge edge, String net) {
        return wiring.edges().stream().filter(other -> other.touches(net) && !other.equals(edge)).map(this::label).filter(label -> !label.equals(Message.NOTHING)).findFirst()
                .orElseGet(() -> label(edge));
    }

    /** The way around something drawn, by its element; empty where it is not. */
    public List<Step> wayThrough(String element) {
        return wiring.edges().stream().filter(edge -> edge.element().equals(element)).findFirst()
                .map(edge -> wiring.ground().contains(edge.a()) ? way(edge.b(), edge.a()) : way(edge.a(), edge.b())).orElse(List.of());
    }
}
