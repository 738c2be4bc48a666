package bricksignal.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RegionTest {

    /** One counter may be set by another: what comes first is what was written first, in every process alike. */
    @Test
    void countersAreSetInTheOrderInWhichTheyAreWritten() {
        Map<String, Expr> written = new LinkedHashMap<>();
        IntStream.range(0, 20).mapToObj(i -> "c" + (20 - i) * 7 % 20).forEach(counter -> written.put(counter, ExprParser.parse("1")));
        Region.Transition way = new Region.Transition(Expr.TRUE, "next", written);
        assertThat(way.sets().keySet()).containsExactlyElementsOf(written.keySet());
        written.clear();
        assertThat(way.sets()).hasSize(20);
    }
}
