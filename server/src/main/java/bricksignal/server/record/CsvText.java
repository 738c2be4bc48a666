package bricksignal.server.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/**
 * Comma-separated values after RFC 4180. A text that a spreadsheet would take for a formula is told to be text by an apostrophe; a number
 * keeps its sign.
 */
public final class CsvText {

    private static final String FORMULAS = "=+-@\t\r";

    private CsvText() {
    }

    /** Rows under their heads; texts are made harmless. */
    public static String of(List<String> heads, Stream<List<@Nullable Object>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter to = new CSVPrinter(text, CSVFormat.RFC4180)) {
            to.printRecord(heads.stream().map(CsvText::harmless).toList());
            for (List<@Nullable Object> row : (Iterable<List<@Nullable Object>>) rows::iterator) {
                to.printRecord(row.stream().map(cell -> cell instanceof String said ? harmless(said) : cell).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String harmless(String text) {
        boolean formula = !text.isEmpty() && FORMULAS.indexOf(text.charAt(0)) >= 0 && !text.matches("[-+]?\\d+([.]\\d+)?( .{0,12})?");
        return formula ? "'" + text : text;
    }
}
