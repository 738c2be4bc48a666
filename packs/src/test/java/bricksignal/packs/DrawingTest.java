package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.drawing.BoardBlock;
import bricksignal.core.drawing.Ladder;
import bricksignal.core.drawing.Sheet;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The ladder diagram of every composition, measured: nothing overlaps, no wire crosses another, every place that a probe reaches is on it. */
class DrawingTest {

    private static final double LINE = 14;
    private static final String F1 = PackLibrary.text("f1-furnace");
    private static final int SPLICES = 125;
    /** The shipped face itself, read by the JDK: what the drawing's own table of widths is held against. */
    private static final Font FACE = face();
    private static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

    private static Font face() {
        try {
            return Font.createFont(Font.TRUETYPE_FONT, new File("../server/src/main/resources/fonts/B612-Regular.ttf")).deriveFont(12f);
        } catch (FontFormatException | IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    static Stream<Composition> compositions() {
        return PackLibrary.compositions().stream();
    }

    /** A rectangle on paper and what it is. */
    private record Box(String what, double x, double y, double right, double bottom) {
        boolean overlaps(Box other) {
            return x < other.right - 0.01 && other.x < right - 0.01 && y < other.bottom - 0.01 && other.y < bottom - 0.01;
        }
    }

    /** Words of a message in a test: what it says is as long as it is. */
    private static String words(Message message) {
        return message instanceof Message.Said said ? said.text() : message instanceof Message.Keyed keyed ? keyed.parts().stream().map(DrawingTest::words).collect(Collectors.joining(" "))
                + " " + keyed.key().substring(keyed.key().lastIndexOf('.') + 1) : "120 V";
    }

    private static UnitModel model(Composition composition) {
        return PackReader.read(PackLibrary.text(composition.family(), composition.choices()));
    }

    private static Ladder ladder(UnitModel model) {
        return Ladder.of(model, VirtualUnit.of(model, model.machine()));
    }

    private static List<Box> boxes(Sheet sheet) {
        List<Box> boxes = new ArrayList<>();
        sheet.marks().stream().filter(mark -> !mark.label().isEmpty()).forEach(mark -> {
            boxes.add(new Box(mark.element(), mark.x(), mark.y() - 10, mark.right(), mark.y() + 10));
            double middle = (mark.x() + mark.right()) / 2;
            double half = width(mark.label()) / 2;
            boxes.add(new Box(mark.label().toString(), middle - half, mark.y() + 12, middle + half, mark.y() + 12 + LINE * mark.label().size()));
        });
        sheet.nodes().stream().filter(node -> !node.label().isEmpty()).forEach(node -> boxes.add(new Box(node.label().toString(), node.x() + 4,
                node.y() - 12 - LINE * node.label().size(), node.x() + 4 + width(node.label()), node.y() - 12)));
        sheet.ends().stream().filter(end -> !end.ground()).forEach(end -> {
            double wide = 12 + width(List.of(end.label()));
            boxes.add(new Box(end.label(), end.leftwards() ? end.x() - wide : end.x(), end.y() - LINE / 2, end.leftwards() ? end.x() : end.x() + wide, end.y() + LINE / 2));
        });
        return boxes;
    }

    private static double width(List<String> lines) {
        return lines.stream().mapToDouble(line -> FACE.getStringBounds(line, EXACT).getWidth()).max().orElse(0);
    }

    private static boolean cross(Sheet.Line level, Sheet.Line upright) {
        return !level.net().equals(upright.net()) && level.y() == level.bottom() && upright.x() == upright.right() && level.x() < upright.x() && upright.x() < level.right()
                && upright.y() < level.y() && level.y() < upright.bottom();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("compositions")
    void everyCompositionIsDrawn(Composition composition) {
        isDrawn(model(composition));
    }

    private static void isDrawn(UnitModel model) {
        Ladder ladder = ladder(model);
        Sheet sheet = Sheet.of(ladder, DrawingTest::words);
        Set<String> places = Stream.concat(sheet.nodes().stream().map(Sheet.Node::net), sheet.ends().stream().filter(end -> end.ground() && !end.label().isEmpty())
                .map(Sheet.End::net)).collect(Collectors.toSet());
        assertThat(places).as("every place that a probe reaches").containsAll(model.points().stream().map(Point::net).toList());
        List<Box> boxes = boxes(sheet);
        for (int i = 0; i < boxes.size(); i++) {
            for (Box other : boxes.subList(i + 1, boxes.size())) {
                assertThat(boxes.get(i).overlaps(other)).as("%s and %s", boxes.get(i), other).isFalse();
            }
            assertThat(boxes.get(i)).matches(box -> box.x() >= 0 && box.y() >= 0 && box.right() <= sheet.width() + 1 && box.bottom() <= sheet.height() + 1, "on the paper");
        }
        long crossings = sheet.lines().stream().mapToLong(level -> sheet.lines().stream().filter(upright -> cross(level, upright)).count()).sum();
        assertThat(crossings / (double) ladder.rungs()).as("crossings a rung").isLessThanOrEqualTo(0.15);
        model.points().stream().filter(point -> !ladder.ground().contains(point.net())).forEach(point -> assertThat(ladder.way(point.net(), point.against()))
                .as("the rung around %s", point.net()).extracting(Ladder.Step::net).contains(point.net()));
    }

    /** Labels as long as an own pack may have them, of one word or of many: cut, and still beside one another. */
    @ParameterizedTest
    @ValueSource(strings = {"limitfeedside", "limit feed side "})
    void labelOfTwoHundredCharactersStillHolds(String word) {
        String label = word.repeat(200).substring(0, 200);
        isDrawn(PackReader.read(F1.replace("label: limit feed side,", "label: \"" + label + "\",").replace("label: between limit and rollout,", "label: \"" + label.replace("limit", "mixed") + "\",")));
    }

    /** A lead spliced over and over: far more points than any family has. */
    @Test
    void unitWithAHundredAndFiftyPointsIsDrawn() {
        StringBuilder wires = new StringBuilder("  p1-1: {is: pin, a: R, b: splice1, ohms: 0.02, mark: P}\n");
        StringBuilder points = new StringBuilder();
        for (int i = 1; i <= SPLICES; i++) {
            wires.append("  lead%d: {is: wire, a: splice%d, b: %s, ohms: 0.01, mark: P}%n".formatted(i, i, i == SPLICES ? "lim-in" : "splice" + (i + 1)));
            points.append("  splice%d: {label: splice %d of the limit lead, where: limit, colour: red, seconds: 30, against: C, moments: [standby], side: chain}%n".formatted(i, i));
        }
        UnitModel model = PackReader.read(F1.replace("  p1-1: {is: pin, a: R, b: lim-in, ohms: 0.02, mark: P}\n", wires).replace("\npoints:\n", "\npoints:\n" + points));
        assertThat(model.points()).hasSizeGreaterThan(SPLICES);
        isDrawn(model);
    }

    @Test
    void gasValveIsFedThroughEverythingThatMustBeClosed() {
        UnitModel model = PackLibrary.ready("f1-furnace").model();
        List<Ladder.Step> way = ladder(model).way("valve-hot", "valve-com");
        assertThat(way).extracting(Ladder.Step::net).containsSubsequence("SEC", "R", "lim-in", "lim-out", "roll-out", "HLI", "ps-com", "ps-no", "PSI", "MV", "valve-hot", "valve-com", "C");
        assertThat(way).extracting(step -> step.by().map(edge -> edge.element()).orElse("")).containsSubsequence("fuse", "limit", "rollout", "draft-switch", "relay-gas", "gas-valve");
    }

    @Test
    void boardHasItsPlugsAndTerminalsAtItsEdges() {
        List<BoardBlock> boards = BoardBlock.of(ladder(PackLibrary.ready("f1-furnace").model()));
        BoardBlock board = boards.get(0);
        assertThat(boards).hasSize(1);
        assertThat(board.terminals()).extracting(BoardBlock.Terminal::net).contains("W", "Y", "G", "L1", "FS").doesNotContain("tstat-R");
        assertThat(board.terminals()).filteredOn(terminal -> terminal.net().equals("W")).singleElement().satisfies(terminal ->
                assertThat(terminal.leads()).extracting(BoardBlock.Lead::to).containsExactly("tstat-W"));
        assertThat(board.plugs().get("P1")).extracting(BoardBlock.Terminal::net).containsExactlyInAnyOrder("HLI", "PSI", "R");
        assertThat(BoardBlock.of(ladder(PackLibrary.ready("f14-rooftop").model()))).as("unit board, ignition board, phase monitor")
                .extracting(block -> block.board().id()).contains("unit-board", "ignition-board");
    }

    @Test
    void whatExistsOnlyForAFaultOrATestIsNotDrawn() {
        Sheet sheet = Sheet.of(ladder(PackLibrary.ready("f1-furnace").model()), DrawingTest::words);
        assertThat(sheet.marks()).extracting(Sheet.Mark::element).contains("thermostat", "tstat-fan", "limit").doesNotContain("jumper-rw", "w-short", "hot-bond", "draft-stray", "other-leg");
    }

    @Test
    void longLabelOfAnOwnPackIsCutAndStillOverlapsNothing() {
        String text = PackLibrary.text("f8-airhandler", Map.of()).replaceFirst("label: R on the board", "label: " + "R of the board that somebody has described at length ".repeat(3).strip());
        Sheet sheet = Sheet.of(ladder(PackReader.read(text)), DrawingTest::words);
        assertThat(sheet.nodes()).filteredOn(node -> node.net().equals("R")).singleElement().satisfies(node -> {
            assertThat(node.label()).hasSizeLessThanOrEqualTo(2);
            assertThat(String.join(" ", node.label())).endsWith("…");
        });
    }
}
