package bricksignal.core.drawing;

import java.util.ArrayList;
import java.util.List;

/**
 * Text on a drawing: how wide it is, and where it is broken. Widths are the advances of the shipped face B612 Regular in thousandths of its size (read from the font file;
 * a test reads them again); what it does not have is as wide as its widest letter.
 */
final class Lettering {

    /** Of labels on the drawing, pixels. */
    static final double SIZE = 12;
    static final double LINE = 14;
    /** Lines longer than this are broken, as far as two lines take them, pixels. */
    private static final double WRAPPED = 96;
    private static final int MOST_LINES = 2;
    /** Longer labels are cut: nobody reads more in a drawing. */
    private static final int MOST_LETTERS = 72;
    private static final int FIRST = ' ';
    private static final int WIDEST = 1000;

    /** From space to tilde. */
    private static final int[] ADVANCES = {
            350, 350, 400, 850, 550, 900, 700, 200, 450, 450, 550, 600, 250, 450, 300, 550, 650, 650, 650, 650,
            650, 650, 650, 650, 650, 650, 300, 250, 650, 500, 650, 550, 1000, 650, 650, 600, 650, 600, 550, 650,
            700, 300, 450, 600, 550, 900, 750, 800, 600, 800, 650, 550, 600, 700, 650, 950, 650, 600, 600, 450,
            550, 500, 750, 550, 550, 525, 600, 500, 600, 550, 400, 600, 600, 300, 300, 550, 350, 900, 600, 600,
            600, 600, 400, 450, 400, 600, 550, 750, 550, 550, 500, 649, 200, 600, 750};

    private Lettering() {
    }

    /** The width of a line, pixels. */
    static double width(String line) {
        return line.chars().map(c -> c - FIRST >= 0 && c - FIRST < ADVANCES.length ? ADVANCES[c - FIRST] : WIDEST).sum() * SIZE / 1000;
    }

    static double width(List<String> lines) {
        return lines.stream().mapToDouble(Lettering::width).max().orElse(0);
    }

    /** A label in at most two lines; nothing for an empty one. */
    static List<String> lines(String label) {
        String text = label.length() > MOST_LETTERS ? label.substring(0, MOST_LETTERS - 1) + "…" : label;
        double most = WRAPPED;
        List<String> lines = broken(text, most);
        while (lines.size() > MOST_LINES) {
            most *= 1.1;
            lines = broken(text, most);
        }
        return lines;
    }

    private static List<String> broken(String text, double most) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer) > most) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        if (!line.isEmpty()) {
            lines.add(line);
        }
        return List.copyOf(lines);
    }
}
