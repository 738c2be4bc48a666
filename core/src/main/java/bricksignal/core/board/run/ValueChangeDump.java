package bricksignal.core.board.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A run as a value change dump, the text that waveform viewers read: one-bit signals in scopes, times in milliseconds. After
 * IEEE 1364-2005, section 18.2 (four-state dump).
 */
public final class ValueChangeDump {

    private static final int MILLISECONDS = 1000;
    /** Identifier codes are made of the printable characters from ! to ~ (section 18.2.3.7). */
    private static final int FIRST_CODE = '!';
    private static final int CODES = '~' - '!' + 1;

    private ValueChangeDump() {
    }

    /**
     * Something that is on or off.
     *
     * @param name as people say it; spaces become underlines, for a name in a dump is one word
     * @param start its state at the beginning, or null where nobody knows it
     * @param changes by time, seconds from the beginning, at least 0
     */
    public record Signal(String name, @Nullable Boolean start, Map<Double, Boolean> changes) {
        public Signal {
            changes = new TreeMap<>(changes);
            changes.keySet().forEach(at -> {
                if (!(at >= 0) || Double.isInfinite(at)) {
                    throw new IllegalArgumentException("signal '" + name + "' changes at " + at + " s; it must be at least 0");
                }
            });
        }
    }

    /**
     * Writes it.
     *
     * @param comment a line that says what it is of
     * @param scopes the signals by the name of their scope, in order
     * @param endSeconds the last time of the dump, at least that of every change
     */
    public static String of(String comment, Map<String, List<Signal>> scopes, double endSeconds) {
        StringBuilder text = new StringBuilder("$comment " + comment.replace("$", "") + " $end\n$timescale 1 ms $end\n");
        List<String> starts = new ArrayList<>();
        TreeMap<Long, List<String>> changes = new TreeMap<>();
        int next = 0;
        for (Map.Entry<String, List<Signal>> scope : scopes.entrySet()) {
            text.append("$scope module ").append(word(scope.getKey())).append(" $end\n");
            for (Signal signal : scope.getValue()) {
                String code = code(next++);
                text.append("$var wire 1 ").append(code).append(' ').append(word(signal.name())).append(" $end\n");
                starts.add(bit(signal.start()) + code);
                signal.changes().forEach((at, on) -> changes.computeIfAbsent(Math.round(at * MILLISECONDS), ms -> new ArrayList<>())
                        .add(bit(on) + code));
            }
            text.append("$upscope $end\n");
        }
        text.append("$enddefinitions $end\n#0\n$dumpvars\n");
        starts.forEach(start -> text.append(start).append('\n'));
        text.append("$end\n");
        changes.forEach((ms, values) -> {
            text.append('#').append(ms).append('\n');
            values.forEach(value -> text.append(value).append('\n'));
        });
        long end = Math.round(endSeconds * MILLISECONDS);
        if (changes.isEmpty() || changes.lastKey() < end) {
            text.append('#').append(end).append('\n');
        }
        return text.toString();
    }

    private static char bit(@Nullable Boolean on) {
        return on == null ? 'x' : on ? '1' : '0';
    }

    private static String word(String name) {
        String word = name.trim().replaceAll("[^\\p{Alnum}._-]+", "_");
        return word.isEmpty() ? "_" : word;
    }

    private static String code(int n) {
        String code = String.valueOf((char) (FIRST_CODE + n % CODES));
        return n < CODES ? code : code(n / CODES - 1) + code;
    }
}
