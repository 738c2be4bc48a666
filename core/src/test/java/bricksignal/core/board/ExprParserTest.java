package bricksignal.core.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ExprParserTest {

    private static final Env ENV = new Env() {
        private final Map<String, Double> values = Map.of("draft", 0.8, "in.W", 1.0, "off-delay", 90.0, "zero", 0.0);

        @Override
        public double value(Expr.Name name) {
            return values.get(name.name());
        }

        @Override
        public double secondsUntil(Expr.Name name, double target) {
            return name.name().equals("draft") ? 2.5 : Double.POSITIVE_INFINITY;
        }
    };

    @ParameterizedTest
    @CsvSource({"draft >= 0.7, 1", "draft <= 0.7, 0", "not in.W, 0", "in.W and not zero, 1", "zero or draft > 0.79, 1",
        "1 + 2 * 3, 7", "(1 + 2) * 3, 9", "10 - 4 - 3, 3", "off-delay / 30, 3", "not draft >= 0.7 or in.W, 1",
        "draft < 0.8, 0", "draft > 0.8, 0"})
    void valueFollowsTheUsualOrder(String text, double expected) {
        assertThat(ExprParser.parse(text).value(ENV)).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "draft >=", "(draft", "draft draft", "and 1", "1 # 2", "draft >= >= 1"})
    void brokenExpressionIsRefusedWithItsText(String text) {
        assertThatThrownBy(() -> ExprParser.parse(text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("cannot read the expression '" + text + "'");
    }

    @ParameterizedTest
    @CsvSource({"draft >= 0.9, 2.5", "0.9 <= draft, 2.5", "in.W and draft >= 0.9, 2.5", "in.W >= 2, Infinity"})
    void horizonIsTheNearestCrossing(String text, double expected) {
        assertThat(ExprParser.parse(text).horizon(ENV)).isEqualTo(expected);
    }
}
