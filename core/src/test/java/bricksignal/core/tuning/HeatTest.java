package bricksignal.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Worked by hand; the source of each figure stands beside its constant. */
class HeatTest {

    /** 0.075 lb a cubic foot, 0.24 Btu a pound and degree, 60 minutes: 1.08; 1,000 cfm by 55 °F are 59,400 Btu an hour. */
    @Test
    void airCarriesOnePointZeroEightACubicFootAndDegree() {
        assertThat(Heat.ofAir(1000, 55)).isCloseTo(0.075 * 0.24 * 60 * 1000 * 55, within(1e-6));
        assertThat(Heat.cfm(59_400, 55)).isCloseTo(1000, within(1e-9));
    }

    /** 8.33 lb a gallon, 60 minutes: 499.8, told as 500; 100,000 Btu an hour by 20 °F want 10 gallons a minute. */
    @Test
    void waterCarriesFiveHundredAGallonAndDegree() {
        assertThat(Heat.ofWater(1, 1)).isCloseTo(8.33 * 60, within(0.5));
        assertThat(Heat.gpm(100_000, 20)).isEqualTo(10);
    }

    /** Two cubic feet in 72 s of 1,000 Btu are 100,000 Btu an hour. */
    @Test
    void meterIsClocked() {
        assertThat(Heat.ofGas(2, 72, 1000)).isCloseTo(100_000, within(1e-6));
        assertThatThrownBy(() -> Heat.ofGas(2, 0, 1000)).hasMessageContaining("seconds of a turn is 0.0");
    }

    /** Two pounds an hour of 8,300 Btu at 80 % are 13,280. */
    @Test
    void pelletsGiveTheirHeat() {
        assertThat(Heat.ofPellets(2, 8300, 0.8)).isCloseTo(13_280, within(1e-6));
        assertThatThrownBy(() -> Heat.ofPellets(2, 8300, 80)).hasMessageContaining("80.0");
    }

    /** A therm of methane makes 4.19 lb x 2.246 = 9.4 lb of water, a little over a gallon (handbooks, from memory: about 1.1). */
    @Test
    void thermMakesAGallonOfCondensateAtMost() {
        assertThat(Heat.mostCondensate(100_000)).isCloseTo(1.13, within(0.01));
    }
}
