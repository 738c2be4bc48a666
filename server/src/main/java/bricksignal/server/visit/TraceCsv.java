package bricksignal.server.visit;

import bricksignal.core.lamp.Trace;
import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * A lamp's brightness as a CSV file: a column of seconds, a column of brightness, and perhaps one of the brightness beside the
 * lamp. More rows than can be read are left out, and that is said.
 *
 * @param columns what was read
 * @param notes what was left out
 */
record TraceCsv(Columns columns, List<String> notes) {

    /** Time and brightness of each sample; what is beside the lamp where the file has it. */
    record Columns(List<Double> seconds, List<Double> level, @Nullable List<Double> around) {
    }

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setTrim(true)
            .setIgnoreEmptyLines(true).get();

    /**
     * Reads a file, row by row.
     *
     * @throws BadInput if a column is missing or a row is not a number
     */
    static TraceCsv read(Reader file) {
        try (CSVParser rows = FORMAT.parse(file)) {
            String time = column(rows, List.of("seconds", "time", "t", "s"), "seconds");
            String level = column(rows, List.of("brightness", "level", "value"), "brightness");
            String around = rows.getHeaderNames().stream().filter(n -> n.toLowerCase(Locale.ROOT).equals("around")).findFirst()
                    .orElse("");
            List<Double> seconds = new ArrayList<>();
            List<Double> levels = new ArrayList<>();
            List<Double> beside = new ArrayList<>();
            for (CSVRecord row : rows) {
                if (seconds.size() == Trace.MOST_SAMPLES) {
                    return of(seconds, levels, beside, List.of("The file has more than " + Trace.MOST_SAMPLES
                            + " rows. The first " + Trace.MOST_SAMPLES + " are read, to " + seconds.get(seconds.size() - 1)
                            + " s."));
                }
                double at = number(row, time);
                if (at < 0 || !seconds.isEmpty() && at <= seconds.get(seconds.size() - 1)) {
                    throw new BadInput("file", Message.of("problem.csv-time", new Message.Number(row.getRecordNumber()), new Message.Number(at)));
                }
                seconds.add(at);
                levels.add(number(row, level));
                if (!around.isEmpty()) {
                    beside.add(number(row, around));
                }
            }
            if (seconds.isEmpty()) {
                throw new BadInput("file", Message.of("problem.csv-no-row"));
            }
            return of(seconds, levels, beside, List.of());
        } catch (IOException | IllegalArgumentException | java.io.UncheckedIOException broken) {
            throw new BadInput("file", Message.of("problem.csv-broken"));
        }
    }

    private static TraceCsv of(List<Double> seconds, List<Double> levels, List<Double> around, List<String> notes) {
        return new TraceCsv(new Columns(seconds, levels, around.isEmpty() ? null : around), notes);
    }

    private static String column(CSVParser rows, List<String> names, String wanted) {
        return rows.getHeaderNames().stream().filter(n -> names.contains(n.toLowerCase(Locale.ROOT))).findFirst()
                .orElseThrow(() -> new BadInput("file", Message.of("problem.csv-column", Message.said(wanted), Message.said(String.join(", ", rows.getHeaderNames())))));
    }

    private static double number(CSVRecord row, String column) {
        String text = row.isSet(column) ? row.get(column) : "";
        try {
            double value = Double.parseDouble(text);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException notANumber) {
            // told below
        }
        throw new BadInput("file", Message.of("problem.csv-number", Message.said(String.valueOf(row.getRecordNumber())), Message.said(column), Message.said(text)));
    }
}
