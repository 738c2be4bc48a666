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
    @ValueSource(strings = {"", "abc", "NaN", "Infinity", "1e5", "--3", "12 x", "1.2.3", "1,2,3", "12 V V", "."})
    void whatIsNoNumberIsRefused(String text) {
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("typed.no-number");
    }

    /** Handbook figures: NIST SP 811, appendix B. */
    @ParameterizedTest
    @CsvSource({"OHMS, 4.7k, 4700", "OHMS, 4.7 kΩ, 4700", "OHMS, 2M, 2e6", "OHMS, 2 MΩ, 2e6", "OHMS, 1.5Mohm, 1.5e6", "OHMS, 50 ohms, 50", "OHMS, .4, 0.4", "OHMS, 12 \u2126, 12",
        "INCHES_WC, 120 Pa, 0.48176", "INCHES_WC, 1.2 mbar, 0.48176", "INCHES_WC, -0.65 in w.c., -0.65", "INCHES_WC, 10 mm w.c., 0.3937", "FAHRENHEIT, 20 °C, 68", "FAHRENHEIT, -40C, -40",
        "FAHRENHEIT, 140 F, 140", "DC_MICROAMPS, 2.1 µA, 2.1", "DC_MICROAMPS, 2.1 \u03bcA, 2.1", "DC_MICROAMPS, 2.1uA, 2.1", "DC_MICROAMPS, 0.0021 mA, 2.1", "AC_VOLTS, 26 V, 26",
        "AC_VOLTS, 26.4VAC, 26.4", "AC_VOLTS, 400 mV, 0.4", "DC_VOLTS, -12.6 V DC, -12.6", "MILLIVOLTS, 24 mV, 24", "PSI, 1 bar, 14.504", "GPM, 10 l/min, 2.6417", "POUNDS_PER_HOUR, 2 kg/h, 4.4092",
        "MICROFARADS, 470 nF, 0.47", "PERCENT, 50 %, 50", "CLAMP_AMPS, 1.1 A, 1.1"})
    void unitBehindTheNumberIsUnderstoodInAnySystem(MeterMode mode, String text, double expected) {
        assertThat(TypedReading.parse(mode, text)).isCloseTo(expected, org.assertj.core.data.Percentage.withPercentage(0.01));
    }

    /** 10,000 is ten thousand to one and ten to another. */
    @ParameterizedTest
    @ValueSource(strings = {"10,000", "1,234", "100,000", "10,000 ohms"})
    void whatMayBeTwoNumbersIsAskedBack(String text) {
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.OHMS, text)).hasMessageContaining("typed.two-things").hasMessageContaining(text.substring(0, 2));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"1,234.5;1234.5", "1,234,567;1234567", "0,948;0.948", "10,00;10", "10.000;10"})
    void groupsOfThreeAreThousandsWhereNothingElseIsPossible(String text, double expected) {
        assertThat(TypedReading.parse(MeterMode.OHMS, text)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"OHMS, 26 V", "AC_VOLTS, 26 VDC", "AC_VOLTS, 5 A", "OHMS, 4 m", "FAHRENHEIT, 3 psi"})
    void unitOfSomethingElseIsNeverReadAsThis(MeterMode mode, String text) {
        assertThatThrownBy(() -> TypedReading.parse(mode, text)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"O.L", "O.L.", "OL", "0L", "0.L", "0.L MΩ", "open", " O.L "})
    void openIsReadAsDisplaysShowIt(String text) {
        assertThat(TypedReading.parse(MeterMode.OHMS, text)).isInfinite();
    }

    @Test
    void openIsAnAnswerInOhmsOnly() {
        assertThat(TypedReading.parse(MeterMode.OHMS, "ol")).isInfinite();
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "OL")).hasMessageContaining("typed.open");
    }

    @Test
    void whatTheMeterCannotShowIsRefused() {
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "2700")).hasMessageContaining("typed.beyond");
        assertThatThrownBy(() -> TypedReading.parse(MeterMode.AC_VOLTS, "-3")).hasMessageContaining("typed.beyond");
        assertThat(TypedReading.parse(MeterMode.DC_VOLTS, "-12.6")).isEqualTo(-12.6);
    }

    @ParameterizedTest
    @CsvSource({"27.3512, 27.4", "0.94879, 0.95", "119.7564, 120", "0, 0", "-12.61, -12.6", "3.004, 3", "0.0004, 0"})
    void numbersAreShownAsADisplayShowsThem(double value, String expected) {
        assertThat(bricksignal.core.words.Digits.of(value)).isEqualTo(expected);
    }
}
