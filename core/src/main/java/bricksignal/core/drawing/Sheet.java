package bricksignal.core.drawing;

import bricksignal.core.words.Message;
import java.util.List;
import java.util.function.Function;

/**
 * The ladder diagram of a unit with a place for everything, in pixels of a drawing at its natural size, from the upper left corner.
 *
 * @param width at least 0
 * @param height at least 0
 * @param marks what is drawn on a line: switches, loads, pins
 * @param lines what joins them; each is level or upright
 * @param nodes the places to probe, and the joints of unnamed nets
 * @param ends where a rung goes to ground, or names the net at which it goes on
 */
public record Sheet(double width, double height, List<Mark> marks, List<Line> lines, List<Node> nodes, List<End> ends) {

    public Sheet {
        marks = List.copyOf(marks);
        lines = List.copyOf(lines);
        nodes = List.copyOf(nodes);
        ends = List.copyOf(ends);
    }

    /**
     * A symbol on a level line.
     *
     * @param element what it is, by id
     * @param x its left end
     * @param right its right end
     * @param y the line
     * @param label what stands below, line by line
     * @param board whether it sits on a board
     */
    public record Mark(String element, Symbol symbol, double x, double right, double y, List<String> label, boolean board) {
    }

    /** A wire of a net. */
    public record Line(String net, double x, double y, double right, double bottom) {
    }

    /**
     * A place of a net, once.
     *
     * @param label what stands above and to the right; empty for what no probe reaches
     */
    public record Node(String net, double x, double y, List<String> label) {
    }

    /**
     * The end of a rung.
     *
     * @param net where it goes on
     * @param label the words of the flag, or what ground is called where it can be probed; of ground once
     * @param leftwards whether the flag lies to the left of its place
     */
    public record End(String net, double x, double y, String label, boolean ground, boolean leftwards) {
    }

    /**
     * The drawing of a unit.
     *
     * @param words of a message, in the language of whoever looks
     */
    public static Sheet of(Ladder ladder, Function<Message, String> words) {
        return new Paper(ladder, words).sheet();
    }
}
