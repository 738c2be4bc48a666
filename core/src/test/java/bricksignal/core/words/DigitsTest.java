package bricksignal.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** As a service meter of three and a half digits shows a value. */
class DigitsTest {

    @ParameterizedTest
    @CsvSource({"0, 0", "0.004, 0", "-0.004, 0", "0.005, 0.01", "0.38, 0.38", "0.5, 0.5", "4.89, 4.89", "9.999, 10", "24.04, 24",
        "24.06, 24.1", "-24.06, -24.1", "99.96, 100", "119.6, 120", "1234567, 1234567", "-0.3, -0.3"})
    void valueIsShownToThreeFigures(double value, String shown) {
        assertThat(Digits.of(value)).isEqualTo(shown);
    }

    @Test
    void whatIsShownIsWithinHalfAStepOfTheValue() {
        for (double value = -300; value < 300; value += 0.037) {
            double step = Math.abs(value) >= 100 ? 1 : Math.abs(value) >= 10 ? 0.1 : 0.01;
            assertThat(Double.parseDouble(Digits.of(value))).isCloseTo(value, within(step / 2 + 1e-9));
        }
    }
}
