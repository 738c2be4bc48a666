package bricksignal.server.record;

import bricksignal.casework.page.CasePage;
import bricksignal.server.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A log as comma-separated values after RFC 4180. A cell that a spreadsheet would take for a formula is told to be text by an
 * apostrophe; a number keeps its sign.
 */
final class ReadingsCsv {

    private static final String FORMULAS = "=+-@\t\r";

    private ReadingsCsv() {
    }

    static String of(List<CasePage.LogLine> log, Words words) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180)) {
            rows.printRecord("time", "id", "kind", "what", "found", "in good order", "judgement", "counts");
            for (CasePage.LogLine line : log) {
                rows.printRecord(Instant.ofEpochMilli(line.madeAt()), line.id(), line.kind(), cell(words.of(line.what())), cell(words.of(line.found())),
                        cell(words.of(line.due())), cell(words.of(line.judgement())), line.counts());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    static String cell(String text) {
        boolean formula = !text.isEmpty() && FORMULAS.indexOf(text.charAt(0)) >= 0 && !text.matches("[-+]?\\d+([.]\\d+)?( .{0,12})?");
        return formula ? "'" + text : text;
    }
}
