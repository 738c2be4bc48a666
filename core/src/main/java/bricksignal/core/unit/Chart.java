package bricksignal.core.unit;

import bricksignal.core.lamp.LampPattern;
import java.util.List;
import java.util.Optional;

/** The code chart on the door. */
public record Chart(List<Code> codes) {

    public Chart {
        codes = List.copyOf(codes);
    }

    /**
     * One line of the chart.
     *
     * @param condition what the board means by it
     * @param names parts the chart tells to check or replace, in its order, by id
     */
    public record Code(LampPattern pattern, String condition, List<String> names) {
        public Code {
            names = List.copyOf(names);
        }
    }

    public List<LampPattern> patterns() {
        return codes.stream().map(Code::pattern).distinct().toList();
    }

    public Optional<Code> code(LampPattern pattern) {
        return codes.stream().filter(code -> code.pattern().equals(pattern)).findFirst();
    }
}
