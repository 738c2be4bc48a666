package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.drawing.Sheet;
import bricksignal.core.drawing.Symbol;
import bricksignal.core.unit.Point;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The ladder diagram of a case's unit, each thing with its place in pixels of the drawing, as a healthy unit stands at a moment, with what was found.
 *
 * @param moment whose state is drawn, by id
 * @param momentLabel the same as people say it
 */
public record DrawingPage(double width, double height, String moment, @Phrase String momentLabel, List<DrawnPart> marks, List<DrawnWire> wires, List<DrawnPlace> spots, List<DrawnEnd> ends) {

    /** A symbol on a level line, from x to right; what stands below it line by line. */
    public record DrawnPart(String element, Symbol symbol, double x, double right, double y, List<String> label, boolean board, ElementState state) {
    }

    /** A wire. */
    public record DrawnWire(double x, double y, double right, double bottom, boolean live) {
    }

    /**
     * A place of a net; to be probed where it has a label.
     *
     * @param label what stands above it line by line
     * @param expected what a healthy unit has there; null where no probe reaches
     * @param found what was read there last; null for nothing
     */
    public record DrawnPlace(String net, double x, double y, List<String> label, String colour, boolean live, @Nullable Message expected, @Nullable Message found) {
    }

    /** Where a rung goes to ground, or on at another place that it names. */
    public record DrawnEnd(String net, double x, double y, String label, boolean ground, boolean leftwards) {
    }

    /**
     * The drawing at a moment.
     *
     * @param moment by id
     * @param words of a message, in the language of whoever looks
     * @throws IllegalArgumentException if the unit has no such moment
     */
    public static DrawingPage of(Case now, String moment, Function<Message, String> words) {
        Sheet sheet = Sheet.of(now.unit().ladder(), words);
        CircuitNow circuit = new CircuitNow(now, moment);
        return new DrawingPage(sheet.width(), sheet.height(), moment, now.unit().model().moment(moment).label(),
                sheet.marks().stream().map(mark -> new DrawnPart(mark.element(), mark.symbol(), mark.x(), mark.right(), mark.y(), mark.label(), mark.board(),
                        circuit.state(mark.element()))).toList(),
                sheet.lines().stream().map(line -> new DrawnWire(line.x(), line.y(), line.right(), line.bottom(), circuit.live(line.net()))).toList(),
                sheet.nodes().stream().map(node -> new DrawnPlace(node.net(), node.x(), node.y(), node.label(), now.unit().model().pointAt(node.net()).map(Point::colour).orElse(""),
                        circuit.live(node.net()), circuit.expected(node.net()), circuit.found(node.net()))).toList(),
                sheet.ends().stream().map(end -> new DrawnEnd(end.net(), end.x(), end.y(), end.label(), end.ground(), end.leftwards())).toList());
    }
}
