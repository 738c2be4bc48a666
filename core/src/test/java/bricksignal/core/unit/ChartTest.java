package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.lamp.LampPattern;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Hand-computed: what a pattern tells when several charts may hang on the door. */
class ChartTest {

    private static final LampPattern OWN_LOCKOUT = LampPattern.flashes(7);
    private static final LampPattern OWN_LIMIT = LampPattern.flashes(3);
    private static final List<Chart.Code> OWN = List.of(code(OWN_LOCKOUT, "lockout"), code(OWN_LIMIT, "limit"));

    private static Chart.Code code(LampPattern pattern, String condition) {
        return new Chart.Code(pattern, condition, "", List.of());
    }

    private static double seen(Chart chart, LampPattern own, String observed) {
        return chart.likelihood(Map.of(own, 1.0), Map.of(LampPattern.parse(observed), 1.0));
    }

    @Test
    void eachGenerationCountsWithItsWeight() {
        Chart chart = new Chart(OWN, List.of(
                new Chart.Generation("old", 3, List.of(code(LampPattern.flashes(2), "lockout"), code(LampPattern.flashes(4), "limit"))),
                new Chart.Generation("new", 1, List.of(code(LampPattern.flashes(4), "lockout"), code(LampPattern.flashes(2), "limit")))));
        assertThat(seen(chart, OWN_LOCKOUT, "2 flashes")).isCloseTo(0.75, within(1e-12));
        assertThat(seen(chart, OWN_LOCKOUT, "4 flashes")).isCloseTo(0.25, within(1e-12));
        assertThat(chart.meanings(LampPattern.flashes(4))).extracting(Chart.Code::condition).containsExactly("limit", "lockout");
    }

    @Test
    void conditionThatTheDoorDoesNotNameMaySayAnything() {
        Chart chart = new Chart(OWN, List.of(new Chart.Generation("door", 1, List.of(code(LampPattern.flashes(2), "lockout")))));
        assertThat(seen(chart, OWN_LIMIT, "2 flashes")).isCloseTo(0.5, within(1e-12));
        assertThat(seen(chart, OWN_LOCKOUT, "2 flashes")).isCloseTo(1, within(1e-12));
    }

    @Test
    void darkLampIsDarkOnEveryChart() {
        Chart chart = new Chart(OWN, List.of(new Chart.Generation("door", 1, List.of(code(LampPattern.flashes(2), "lockout")))));
        assertThat(seen(chart, LampPattern.OFF, "off")).isCloseTo(1, within(1e-12));
    }
}
