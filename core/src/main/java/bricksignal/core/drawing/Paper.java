package bricksignal.core.drawing;

import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** Gives rungs their places: columns as wide as what stands in them, one section below another. */
final class Paper {

    private static final double MARGIN = 12;
    /** Height of a rung above and below its line: two lines of a point and what was found there above; the symbol, two lines of a part and how likely it is below. */
    private static final double ABOVE = 3 * Lettering.LINE + 16;
    private static final double BELOW = 12 + 3 * Lettering.LINE + 4;
    private static final double BETWEEN_SECTIONS = 36;
    /** Room beside a label, and the least that a symbol takes. */
    private static final double BESIDE = 10;
    private static final double LEAST = 48;
    private static final double SYMBOL = 36;
    private static final double FLAG_TIP = 12;

    private final Ladder ladder;
    private final Labels labels;
    private final Function<Message, String> words;
    private final List<Sheet.Mark> marks = new ArrayList<>();
    private final List<Sheet.Line> lines = new ArrayList<>();
    private final List<Sheet.Node> nodes = new ArrayList<>();
    private final List<Sheet.End> ends = new ArrayList<>();
    private double width;
    private double top = MARGIN;

    Paper(Ladder ladder, Function<Message, String> words) {
        this.ladder = ladder;
        this.labels = new Labels(ladder.model());
        this.words = words;
    }

    Sheet sheet() {
        ladder.sections().forEach(rungs -> new OneSection(rungs).place());
        ladder.ground().stream().filter(net -> !net(net).isEmpty() && ends.stream().noneMatch(end -> end.ground() && end.net().equals(net) && !end.label().isEmpty())).forEach(net -> {
            ends.add(new Sheet.End(net, MARGIN + BESIDE, top, net(net), true, false));
            top += BETWEEN_SECTIONS;
        });
        return new Sheet(width + MARGIN, top, marks, lines, nodes, ends);
    }

    private String net(String net) {
        return words.apply(labels.net(net));
    }

    private String edge(Edge edge) {
        return words.apply(labels.edge(edge));
    }

    /** One section at the height that the sheet has reached. */
    private final class OneSection {

        private final Rungs rungs;
        /** Where each boundary between columns stands. */
        private final double[] at;
        private final Set<String> placed = new LinkedHashSet<>();

        private OneSection(Rungs rungs) {
            this.rungs = rungs;
            this.at = boundaries();
        }

        private double[] boundaries() {
            double[] wide = new double[rungs.columns()];
            Arrays.fill(wide, LEAST);
            for (Rungs.Row row : rungs.rows()) {
                cells(row).forEach(cell -> {
                    widen(wide, cell.column(), Lettering.width(Lettering.lines(edge(cell.edge()))) + BESIDE);
                    widen(wide, cell.column(), label(cell.from()));
                });
                widen(wide, endsAt(row), row.ends() == Rungs.Ending.FLAG ? Lettering.width(flag(row.end())) + FLAG_TIP + BESIDE : label(row.end()));
                if (row.begins() == Rungs.Ending.FLAG) {
                    widen(wide, beginsAt(row) - 1, Lettering.width(flag(row.begin())) + FLAG_TIP + BESIDE);
                }
            }
            double[] boundary = new double[wide.length + 1];
            boundary[0] = MARGIN;
            for (int i = 0; i < wide.length; i++) {
                boundary[i + 1] = boundary[i] + wide[i];
            }
            return boundary;
        }

        private void widen(double[] wide, int column, double needs) {
            if (column >= 0 && column < wide.length) {
                wide[column] = Math.max(wide[column], needs);
            }
        }

        private double label(String net) {
            String label = net(net);
            return label.isEmpty() ? 0 : Lettering.width(Lettering.lines(label)) + BESIDE;
        }

        private List<Rungs.Cell> cells(Rungs.Row row) {
            List<Rungs.Cell> cells = new ArrayList<>(row.left());
            cells.addAll(row.right());
            return cells;
        }

        /** The boundary at which a row begins: its own on the left, or that of the first that it has on the right. */
        private int beginsAt(Rungs.Row row) {
            return row.left().isEmpty() && !row.right().isEmpty() ? row.right().get(0).column() : row.first();
        }

        /** The boundary at which a row ends. */
        private int endsAt(Rungs.Row row) {
            Rungs.Bus bus = rungs.buses().get(row.end());
            if (!row.right().isEmpty()) {
                return row.right().get(row.right().size() - 1).column() + 1;
            } else if (bus != null && rungs.trees().onTheRight(row.end())) {
                return bus.boundary();
            }
            return row.first() + row.left().size();
        }

        /** A net by its point; one that no probe reaches by what hangs on it. */
        private String flag(String net) {
            String label = net(net);
            return !label.isEmpty() ? label : rungs.rows().stream().flatMap(row -> cells(row).stream()).filter(cell -> cell.edge().touches(net)).map(cell -> edge(cell.edge()))
                    .filter(near -> !near.isEmpty()).findFirst().orElse(net);
        }

        private double y(int row) {
            return top + ABOVE + row * (ABOVE + BELOW);
        }

        private void place() {
            int number = 0;
            for (Rungs.Row row : rungs.rows()) {
                place(row, y(number++));
            }
            rungs.buses().forEach((net, bus) -> {
                if (bus.lastRow() > bus.firstRow()) {
                    lines.add(new Sheet.Line(net, at[bus.boundary()], y(bus.firstRow()), at[bus.boundary()], y(bus.lastRow())));
                }
            });
            width = Math.max(width, at[at.length - 1] + (rungs.rails().right() == null ? 0 : label(rungs.rails().right())));
            top = y(rungs.rows().size()) - ABOVE + BETWEEN_SECTIONS;
        }

        private void place(Rungs.Row row, double y) {
            int first = beginsAt(row);
            if (row.begins() == Rungs.Ending.GROUND) {
                ground(row.begin(), at[first], y, true);
            } else if (row.begins() == Rungs.Ending.FLAG) {
                ends.add(new Sheet.End(row.begin(), at[first], y, flag(row.begin()), false, true));
            }
            if (row.begins() == Rungs.Ending.NET || row.begins() == Rungs.Ending.OPEN) {
                node(row.begin(), at[first], y);
            }
            row.left().forEach(cell -> cell(cell, at[cell.column()], at[cell.column() + 1], y));
            double reached = at[first + row.left().size()];
            String net = row.left().isEmpty() ? row.begin() : row.left().get(row.left().size() - 1).to();
            row.left().forEach(cell -> node(cell.to(), at[cell.column() + 1], y));
            for (Rungs.Cell cell : row.right()) {
                line(cell.from(), reached, y, at[cell.column()]);
                if (!cell.from().equals(row.begin()) || row.begins() != Rungs.Ending.FLAG) {
                    node(cell.from(), at[cell.column()], y);
                }
                cell(cell, at[cell.column()], at[cell.column() + 1], y);
                reached = at[cell.column() + 1];
                net = cell.to();
            }
            end(row, reached, net, y);
        }

        private void end(Rungs.Row row, double reached, String net, double y) {
            double x = at[endsAt(row)];
            if (row.ends() == Rungs.Ending.NET) {
                line(net, reached, y, Math.max(reached, x));
                node(row.end(), Math.max(reached, x), y);
            } else {
                line(net, reached, y, Math.max(reached, x));
                if (row.ends() == Rungs.Ending.FLAG) {
                    ends.add(new Sheet.End(row.end(), Math.max(reached, x), y, flag(row.end()), false, false));
                } else {
                    ground(row.end(), Math.max(reached, x), y, false);
                }
            }
        }

        /** Ground, with its name where it ends a rung for the first time. */
        private void ground(String net, double x, double y, boolean leftwards) {
            boolean named = leftwards || ends.stream().anyMatch(end -> end.ground() && end.net().equals(net) && !end.label().isEmpty());
            ends.add(new Sheet.End(net, x, y, named ? "" : net(net), true, leftwards));
        }

        /** A symbol in the middle of its column, with wires to both of its ends. */
        private void cell(Rungs.Cell cell, double from, double to, double y) {
            if (cell.edge().symbol() == Symbol.WIRE) {
                marks.add(new Sheet.Mark(cell.edge().element(), Symbol.WIRE, from, to, y, Lettering.lines(edge(cell.edge())), false));
                return;
            }
            double left = (from + to - SYMBOL) / 2;
            line(cell.from(), from, y, left);
            marks.add(new Sheet.Mark(cell.edge().element(), cell.edge().symbol(), left, left + SYMBOL, y, Lettering.lines(edge(cell.edge())),
                    labels.onABoard(cell.edge())));
            line(cell.to(), left + SYMBOL, y, to);
        }

        private void line(String net, double x, double y, double right) {
            if (right > x) {
                lines.add(new Sheet.Line(net, x, y, right, y));
            }
        }

        private void node(String net, double x, double y) {
            if (!ladder.ground().contains(net) && rungs.buses().containsKey(net) && x == at[rungs.buses().get(net).boundary()] && placed.add(net)) {
                nodes.add(new Sheet.Node(net, x, y, Lettering.lines(net(net))));
            }
        }
    }
}
