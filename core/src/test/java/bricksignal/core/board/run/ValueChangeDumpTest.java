package bricksignal.core.board.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Read back by the grammar of IEEE 1364-2005, section 18.2: definitions, then times that only grow, each with changes of known codes. */
class ValueChangeDumpTest {

    private static final Pattern VAR = Pattern.compile("\\$var wire 1 (\\S+) (\\S+) \\$end");

    /** Changes by name and time in milliseconds; the start is at -1. */
    private static Map<String, TreeMap<Long, Character>> read(String text) {
        Map<String, String> names = new LinkedHashMap<>();
        Matcher vars = VAR.matcher(text);
        while (vars.find()) {
            assertThat(names.put(vars.group(1), vars.group(2))).as("a code stands for one signal").isNull();
        }
        Map<String, TreeMap<Long, Character>> read = new LinkedHashMap<>();
        names.values().forEach(name -> read.put(name, new TreeMap<>()));
        long now = -1;
        boolean initial = false;
        for (String line : text.substring(text.indexOf("$enddefinitions $end")).lines().skip(1).toList()) {
            if (line.startsWith("#")) {
                long next = Long.parseLong(line.substring(1));
                assertThat(next).as("time only grows").isGreaterThan(now);
                now = next;
            } else if (line.startsWith("$")) {
                initial = line.equals("$dumpvars");
            } else {
                read.get(names.get(line.substring(1))).put(initial ? -1 : now, line.charAt(0));
            }
        }
        return read;
    }

    @Test
    void whatIsWrittenIsReadBack() {
        String text = ValueChangeDump.of("a run", Map.of("seen", List.of(new ValueChangeDump.Signal("gas valve", null, Map.of(26.0, true, 31.25, false)),
                new ValueChangeDump.Signal("flame", false, Map.of(26.0, true)))), 40);
        Map<String, TreeMap<Long, Character>> read = read(text);
        assertThat(read.get("gas_valve")).containsExactlyInAnyOrderEntriesOf(Map.of(-1L, 'x', 26_000L, '1', 31_250L, '0'));
        assertThat(read.get("flame")).containsExactlyInAnyOrderEntriesOf(Map.of(-1L, '0', 26_000L, '1'));
        assertThat(text).startsWith("$comment a run $end\n$timescale 1 ms $end\n").endsWith("#40000\n");
    }

    @Test
    void manySignalsHaveCodesOfTheirOwn() {
        List<ValueChangeDump.Signal> many = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            many.add(new ValueChangeDump.Signal("s" + i, false, Map.of()));
        }
        Map<String, TreeMap<Long, Character>> read = read(ValueChangeDump.of("many", Map.of("all", many), 1));
        assertThat(new HashSet<>(read.keySet())).hasSize(300);
    }

    @Test
    void nameIsOneWordAndACommentEndsNothing() {
        String text = ValueChangeDump.of("5 $end of it", Map.of("in good order", List.of(new ValueChangeDump.Signal("blower, high", true, Map.of()))), 1);
        assertThat(text).contains("$scope module in_good_order $end", " blower_high $end").startsWith("$comment 5 end of it $end");
    }

    @Test
    void timeBeforeTheBeginningIsRefused() {
        assertThatThrownBy(() -> new ValueChangeDump.Signal("x", null, Map.of(-1.0, true))).hasMessageContaining("-1.0");
    }
}
