package bricksignal.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.words.TradeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two bounds of a number: what is possible, and within it what is met in the field. */
class BoundsTest {

    @ParameterizedTest
    @CsvSource({"15, true", "110, true", "14.99, false", "110.01, false", "NaN, false", "Infinity, false"})
    void bothEndsBelongToIt(double value, boolean within) {
        assertThat(new Bounds(15, 110).hold(value)).isEqualTo(within);
    }

    @Test
    void rangeThatRunsBackwardsIsNone() {
        assertThatThrownBy(() -> new Bounds(2, 1)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("from 2.0 to 1.0");
        assertThatThrownBy(() -> new Bounds(Double.NaN, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    /** What is met lies within what is possible, and what stands there first within what is met: a calculator that says otherwise does not start. */
    @Test
    void whatIsMetLiesWithinWhatIsPossible() {
        Input.Quantity drop = Input.of("drop", TradeUnit.FAHRENHEIT, 20, 2, 60);
        assertThat(drop.met()).as("all of it where nobody says less").isEqualTo(new Bounds(2, 60));
        assertThat(drop.met(5, 40).met()).isEqualTo(new Bounds(5, 40));
        assertThatThrownBy(() -> drop.met(1, 40)).hasMessageContaining("'drop'");
        assertThatThrownBy(() -> drop.met(5, 61)).hasMessageContaining("'drop'");
        assertThatThrownBy(() -> drop.met(25, 40)).as("20 stands there first").hasMessageContaining("'drop'");
        assertThat(Input.maybe("pump", TradeUnit.FAHRENHEIT, 0.5, 200).met(1, 100).usual()).isNull();
    }
}
