package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By the B-parameter equation (IEC 60539-1), worked by hand with B = 3435 K and 10 kohm at 25 degrees Celsius. */
class ThermistorTest {

    private final Thermistor sensor = new Thermistor(10_000, 3435, "factor");

    @ParameterizedTest
    @CsvSource({"77, 10000", "32, 28700", "54, 16800", "122, 4110"})
    void colderIsMoreOhms(double fahrenheit, double ohms) {
        assertThat(sensor.ohms(fahrenheit)).isCloseTo(ohms, within(0.012 * ohms));
    }

    @Test
    void isMadeOfSomething() {
        assertThatThrownBy(() -> new Thermistor(0, 3435, "factor")).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("B 3435");
    }
}
