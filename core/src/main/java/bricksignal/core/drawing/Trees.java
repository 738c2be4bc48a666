package bricksignal.core.drawing;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which rail each net of a section hangs on, and by what: a tree of conductors from the left rail, one from the right rail. A net that only a load reaches hangs on
 * that load; a phase that comes from ground by its own source is a root of its own.
 */
final class Trees {

    private final List<Edge> section;
    private final Set<String> ground;
    private final Map<String, Link> links = new LinkedHashMap<>();
    private final List<String> roots = new ArrayList<>();

    /**
     * How a net hangs on its rail.
     *
     * @param by what leads to it; null for a rail
     * @param from the net before it; ground for a phase of its own, null for a rail
     * @param depth how many lie between it and its rail
     */
    record Link(@Nullable Edge by, @Nullable String from, int depth, boolean onTheRight) {
    }

    private Trees(List<Edge> section, Set<String> ground) {
        this.section = section;
        this.ground = ground;
    }

    static Trees of(List<Edge> section, Rails rails, Set<String> ground) {
        Trees trees = new Trees(section, ground);
        trees.links.put(rails.left(), new Link(null, null, 0, false));
        trees.roots.add(rails.left());
        if (rails.right() != null) {
            trees.links.put(rails.right(), new Link(null, null, 0, true));
        }
        trees.spread(new ArrayList<>(trees.links.keySet()));
        while (trees.reachOne()) {
            // each turn hangs one more net on something, and all that conductors reach from there
        }
        return trees;
    }

    /** Along conductors, level by level from all nets at once. */
    private void spread(List<String> from) {
        Deque<String> open = new ArrayDeque<>(from);
        while (!open.isEmpty()) {
            String net = open.poll();
            for (Edge edge : section) {
                if (edge.conducts() && edge.touches(net) && hang(edge, net)) {
                    open.add(edge.other(net));
                }
            }
        }
    }

    private boolean hang(Edge edge, String from) {
        String to = edge.other(from);
        Link before = links.get(from);
        return before != null && !ground.contains(to) && links.putIfAbsent(to, new Link(edge, from, before.depth() + 1, before.onTheRight())) == null;
    }

    /** A net that no conductor reaches hangs on a source from ground, or else on what has power on its other side, the left first, or else on what ground reaches. */
    private boolean reachOne() {
        return root(true) || across(false) || across(true) || root(false);
    }

    private boolean root(boolean bySource) {
        for (Edge edge : section) {
            for (String net : List.of(edge.a(), edge.b())) {
                if ((edge.symbol() == Symbol.SOURCE || !bySource) && ground.contains(edge.other(net)) && !ground.contains(net) && !links.containsKey(net)) {
                    links.put(net, new Link(edge, edge.other(net), 1, false));
                    roots.add(net);
                    spread(List.of(net));
                    return true;
                }
            }
        }
        return false;
    }

    private boolean across(boolean onTheRight) {
        for (Edge edge : section) {
            for (String net : List.of(edge.a(), edge.b())) {
                Link link = links.get(net);
                if (link != null && link.onTheRight() == onTheRight && !ground.contains(edge.other(net)) && hang(edge, net)) {
                    spread(List.of(edge.other(net)));
                    return true;
                }
            }
        }
        return false;
    }

    /** All nets, in the order in which they were reached. */
    List<String> nets() {
        return List.copyOf(links.keySet());
    }

    /** The left rail, then the phases that are roots of their own. */
    List<String> roots() {
        return roots;
    }

    Optional<Link> link(String net) {
        return Optional.ofNullable(links.get(net));
    }

    boolean isGround(String net) {
        return ground.contains(net);
    }

    boolean onTheLeft(String net) {
        Link link = links.get(net);
        return link != null && !link.onTheRight();
    }

    boolean onTheRight(String net) {
        Link link = links.get(net);
        return link != null && link.onTheRight();
    }

    int depth(String net) {
        Link link = links.get(net);
        return link == null ? 0 : link.depth();
    }

    /** True for what a net hangs on. */
    boolean isBranch(Edge edge) {
        return links.values().stream().anyMatch(link -> edge.equals(link.by()));
    }

    /** What hangs on a net, in the order of the circuit. */
    List<Edge> branches(String net) {
        return section.stream().filter(edge -> edge.touches(net) && link(edge.other(net)).filter(link -> edge.equals(link.by()) && net.equals(link.from())).isPresent()).toList();
    }

    /** What closes a circuit at a net and is no branch; of two nets on the left it belongs to the one that lies deeper. */
    List<Edge> closing(String net) {
        return section.stream().filter(edge -> edge.touches(net) && !isBranch(edge) && (!onTheLeft(edge.other(net)) || belongsTo(edge).equals(net))).toList();
    }

    private String belongsTo(Edge edge) {
        return depth(edge.a()) >= depth(edge.b()) ? edge.a() : edge.b();
    }

    /** What no net on the left has: between ground and the right side, or between two nets of the right. */
    List<Edge> onTheRightAlone() {
        Set<Edge> alone = new LinkedHashSet<>(section);
        alone.removeIf(edge -> isBranch(edge) || onTheLeft(edge.a()) || onTheLeft(edge.b()));
        return List.copyOf(alone);
    }

    /** The nets on the right, those that lie farthest from their rail first. */
    List<String> onTheRightFarthestFirst() {
        return links.entrySet().stream().filter(link -> link.getValue().onTheRight()).sorted((one, other) -> Integer.compare(other.getValue().depth(),
                one.getValue().depth())).map(Map.Entry::getKey).toList();
    }

    /** The nets from one to its rail, itself first. */
    List<String> toRail(String net) {
        List<String> way = new ArrayList<>();
        String at = net;
        while (at != null && links.containsKey(at)) {
            way.add(at);
            at = links.get(at).from();
        }
        return way;
    }
}
