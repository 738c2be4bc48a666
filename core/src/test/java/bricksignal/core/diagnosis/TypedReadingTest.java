package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.circuit.solve.MeterMode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedReadingTest {

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"26.8;26.8", "26,8;26.8", " 0 ;0", ".5;0.5", "120.;120"})
    void numberIsReadWithPointOrComma(String text, double expected) {
        assertThat(TypedReading.parse(MeterMode.AC_VOLTS, text)).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "abc", "NaN", "Infinity", "1e5", "--3", "12V", "1.2.3"})
    void whatIsNoNumberIsRefused(String text) {
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("is not a number");
    }

    @Test
    void openIsAnAnswerInOhmsOnly() {
        assertThat(TypedReading.parse(MeterMode.OHMS, "ol")).isInfinite();
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "OL")).hasMessageContaining("says nothing");
    }

    @Test
    void whatTheMeterCannotShowIsRefused() {
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "2700")).hasMessageContaining("beyond");
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "-3")).hasMessageContaining("beyond");
        assertThat(TypedReading.parse(MeterMode.DC_VOLTS, "-12.6")).isEqualTo(-12.6);
    }

    @ParameterizedTest
    @CsvSource({"27.3512, 27.4", "0.94879, 0.95", "119.7564, 120", "0, 0", "-12.61, -12.6", "3.004, 3", "0.0004, 0"})
    void numbersAreShownAsADisplayShowsThem(double value, String expected) {
        assertThat(bricksignal.core.words.Digits.of(value)).isEqualTo(expected);
    }
}
