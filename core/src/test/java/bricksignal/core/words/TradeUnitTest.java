package bricksignal.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TradeUnitTest {

    /** Values of handbooks: NIST SP 811 B.8 and its examples; a ton of cooling is 12,000 Btu/h or 3.517 kW; 400 cfm are 188.8 L/s; a bag of pellets weighs 18.1 kg; room air of 24 °C and half damp has 47.5 kJ/kg (ASHRAE chart, from memory). */
    @ParameterizedTest
    @CsvSource({"FAHRENHEIT, 212, 100", "FAHRENHEIT, -40, -40", "DEGREES_APART, 18, 10", "BTU_AN_HOUR, 12000, 3.5169", "CFM, 400, 188.78", "INCHES_WC, 3.5, 871.81", "GPM, 1, 3.7854",
        "GALLONS_AN_HOUR, 1, 3.7854", "POUNDS, 40, 18.144", "POUNDS_AN_HOUR, 2, 0.90718", "BTU_A_POUND, 8200, 19.073", "BTU_A_CUBIC_FOOT, 1000, 37.259", "CUBIC_FEET, 35.3147, 1",
        "FEET, 100, 30.48", "FEET_A_SECOND, 4, 1.2192", "GRAINS_A_POUND, 70, 10", "ENTHALPY, 28.1, 47.48", "VOLTS, 24, 24"})
    void metricValuesAreThoseOfTheHandbook(TradeUnit unit, double us, double metric) {
        assertThat(unit.shown(Measures.METRIC, us)).isCloseTo(metric, within(1e-3 * Math.max(1, Math.abs(metric)) / 10));
        assertThat(unit.shown(Measures.US, us)).isEqualTo(us);
    }

    @ParameterizedTest
    @EnumSource
    void whatIsShownIsTakenBack(TradeUnit unit) {
        for (Measures measures : Measures.values()) {
            for (double value : new double[] {-40, 0, 0.3, 57, 120_000}) {
                assertThat(unit.taken(measures, unit.shown(measures, value))).isCloseTo(value, within(1e-9 * Math.max(1, Math.abs(value))));
            }
        }
    }

    @Test
    void aUnitThatIsTheSameEverywhereKeepsItsDigits() {
        assertThat(TradeUnit.AMPS.decimals(Measures.METRIC, 2)).isEqualTo(2);
        assertThat(TradeUnit.INCHES_WC.decimals(Measures.US, 2)).isEqualTo(2);
        assertThat(TradeUnit.INCHES_WC.decimals(Measures.METRIC, 2)).isZero();
    }
}
