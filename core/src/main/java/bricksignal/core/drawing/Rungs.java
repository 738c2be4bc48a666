package bricksignal.core.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A part of a circuit on rungs, from the left rail through switches to a load and on to the right rail. A net from which several rungs go is a line down at its place, so
 * rungs lie in the order of a walk through the tree and no wire crosses another; where a rung would have to, it ends at a flag that names the net instead.
 */
record Rungs(Rails rails, Trees trees, List<Row> rows, int columns, Map<String, Bus> buses) {

    /**
     * A line down a net.
     *
     * @param boundary between which columns it stands, from the left
     */
    record Bus(int boundary, int firstRow, int lastRow) {
    }

    /**
     * Something in a row.
     *
     * @param column from the left
     * @param from the net at its left end
     * @param to the net at its right end
     */
    record Cell(Edge edge, int column, String from, String to) {
    }

    /** How an end of a row is drawn; open for one that has nothing on the left. */
    enum Ending { NET, FLAG, GROUND, OPEN }

    /**
     * A rung, or what goes off one.
     *
     * @param first boundary at which it begins
     * @param begins how it begins
     * @param begin the net at which it does
     * @param left what it has on the left side, from the left
     * @param right what it has on the right side, from the left; counted from the right until the number of columns is known
     * @param ends how it ends
     * @param end the net at which it does
     */
    record Row(int first, Ending begins, String begin, List<Cell> left, List<Cell> right, Ending ends, String end) {
    }

    static Rungs of(List<Edge> section, Wiring wiring) {
        Rails rails = Rails.of(section, wiring);
        return new Builder(rails, Trees.of(section, rails, wiring.ground())).rungs();
    }

    /** Collects rows in the order of a walk through the tree of the left rail. */
    private static final class Builder {

        private final Rails rails;
        private final Trees trees;
        private final List<Row> rows = new ArrayList<>();
        private final Map<String, Bus> left = new LinkedHashMap<>();
        /** Of nets on the right: at which boundary from the right, in which rows. */
        private final Map<String, Bus> right = new LinkedHashMap<>();
        private @Nullable Open open;
        private int columns = 1;

        private Builder(Rails rails, Trees trees) {
            this.rails = rails;
            this.trees = trees;
        }

        /** The row that is being drawn. */
        private static final class Open {
            private final int first;
            private final Ending begins;
            private final String begin;
            private final List<Cell> cells = new ArrayList<>();

            private Open(int first, Ending begins, String begin) {
                this.first = first;
                this.begins = begins;
                this.begin = begin;
            }
        }

        private Rungs rungs() {
            for (String root : trees.roots()) {
                Trees.Link link = trees.link(root).orElseThrow();
                if (link.by() == null) {
                    open = new Open(0, Ending.NET, root);
                } else {
                    open = new Open(0, Ending.GROUND, String.valueOf(link.from()));
                    open.cells.add(new Cell(link.by(), 0, String.valueOf(link.from()), root));
                }
                walk(root);
            }
            trees.onTheRightAlone().forEach(this::alone);
            trees.onTheRightFarthestFirst().forEach(this::dead);
            int all = columns;
            Map<String, Bus> buses = new LinkedHashMap<>(left);
            right.forEach((net, bus) -> buses.put(net, new Bus(all - bus.boundary(), bus.firstRow(), bus.lastRow())));
            return new Rungs(rails, trees, rows.stream().map(row -> new Row(row.first(), row.begins(), row.begin(), List.copyOf(row.left()), row.right().stream()
                    .map(cell -> new Cell(cell.edge(), all - cell.column(), cell.from(), cell.to())).toList(), row.ends(), row.end())).toList(), all, buses);
        }

        /** All that goes off a net, the first in the row that leads to it, each other in a row of its own. */
        private void walk(String net) {
            int depth = trees.depth(net);
            left.put(net, new Bus(depth, rows.size(), rows.size()));
            List<Edge> items = new ArrayList<>(trees.closing(net));
            items.addAll(trees.branches(net));
            if (items.isEmpty()) {
                close(Ending.NET, net, List.of(), 0);
            }
            for (Edge item : items) {
                Open row = open == null ? new Open(depth, Ending.NET, net) : open;
                open = row;
                left.computeIfPresent(net, (id, bus) -> new Bus(bus.boundary(), bus.firstRow(), rows.size()));
                String to = item.other(net);
                row.cells.add(new Cell(item, depth, net, to));
                if (trees.isBranch(item)) {
                    walk(to);
                } else if (trees.isGround(to)) {
                    close(Ending.GROUND, to, List.of(), 1);
                } else if (trees.onTheRight(to)) {
                    home(to, new ArrayList<>());
                } else {
                    close(Ending.FLAG, to, List.of(), 1);
                }
            }
        }

        /** Ends a row; it takes so many columns more than it has cells on the left. */
        private void close(Ending ending, String net, List<Cell> right, int more) {
            Open row = Objects.requireNonNull(open);
            columns = Math.max(columns, row.first + row.cells.size() + more);
            rows.add(new Row(row.first, row.begins, row.begin, row.cells, right, ending, net));
            open = null;
        }

        /** From a net on the right to its rail: as far as what an earlier row has already drawn, where that lies right above; else to a flag there. */
        private void home(String net, List<Cell> cells) {
            int wide = trees.depth(net) + 2 * cells.size();
            String at = net;
            while (true) {
                Bus drawn = right.get(at);
                if (at.equals(rails.right()) || drawn != null && drawn.lastRow() >= rows.size() - 1) {
                    right.put(at, new Bus(trees.depth(at), drawn == null ? rows.size() : drawn.firstRow(), rows.size()));
                    close(Ending.NET, at, cells, wide);
                    return;
                } else if (drawn != null) {
                    close(Ending.FLAG, at, cells, wide);
                    return;
                }
                Trees.Link link = trees.link(at).orElseThrow();
                right.put(at, new Bus(link.depth(), rows.size(), rows.size()));
                cells.add(new Cell(Objects.requireNonNull(link.by()), link.depth(), at, String.valueOf(link.from())));
                at = String.valueOf(link.from());
            }
        }

        /** What leads from the right rail to nowhere: a wire that waits for something. */
        private void dead(String net) {
            if (!right.containsKey(net)) {
                open = new Open(0, Ending.OPEN, net);
                home(net, new ArrayList<>());
            }
        }

        /** What lies between ground and the right side, or between two nets there. */
        private void alone(Edge edge) {
            boolean turned = trees.onTheRight(edge.a()) && !trees.isGround(edge.a()) && trees.isGround(edge.b());
            String from = turned ? edge.b() : edge.a();
            String to = turned ? edge.a() : edge.b();
            open = new Open(0, trees.isGround(from) ? Ending.GROUND : Ending.FLAG, from);
            home(to, new ArrayList<>(List.of(new Cell(edge, trees.depth(to) + 1, from, to))));
        }
    }
}
