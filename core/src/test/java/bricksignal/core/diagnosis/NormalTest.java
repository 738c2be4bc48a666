package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalTest {

    /** Abramowitz and Stegun, Handbook of Mathematical Functions (1964), table 26.1. */
    @ParameterizedTest
    @CsvSource({"0, 0.5", "0.5, 0.69146246", "1, 0.84134475", "1.5, 0.93319280", "2, 0.97724987", "3, 0.99865010", "-1, 0.15865525", "-2, 0.02275013"})
    void agreesWithTheTable(double z, double below) {
        assertThat(Normal.below(z)).isCloseTo(below, within(2e-7));
    }
}
