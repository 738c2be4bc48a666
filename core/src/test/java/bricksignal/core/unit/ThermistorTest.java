package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By the B-parameter equation (IEC 60539-1), worked by hand with B = 3435 K and 10 kohm at 25 degrees Celsius. */
class ThermistorTest {

    private final Thermistor sensor = new Thermistor(10_000, 3435, "factor", false);

    @ParameterizedTest
    @CsvSource({"77, 10000", "32, 28700", "54, 16800", "122, 4110"})
    void colderIsMoreOhms(double fahrenheit, double ohms) {
        assertThat(sensor.ohms(fahrenheit)).isCloseTo(ohms, within(0.012 * ohms));
    }

    @Test
    void isMadeOfSomething() {
        assertThatThrownBy(() -> new Thermistor(0, 3435, "factor", false)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("B 3435");
    }

    /** Common practice: open reads cold, shorted reads hot; in good order the display shows what is felt. */
    @Test
    void displayShowsWhatTheBoardMakesOfTheOhms() {
        Thermistor display = new Thermistor(10_000, 3435, "factor", true);
        assertThat(display.read(150, 1)).isCloseTo(150, within(1e-9));
        assertThat(display.read(150, 1.5)).as("too many ohms").isBetween(110.0, 149.0);
        assertThat(display.read(150, 1e6)).as("open").isEqualTo(-40);
        assertThat(display.read(150, 1e-6)).as("shorted").isEqualTo(300);
        assertThat(sensor.read(150, 1e6)).as("a meter says open").isInfinite();
    }
}
