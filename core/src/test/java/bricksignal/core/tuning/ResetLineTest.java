package bricksignal.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class ResetLineTest {

    private static final ResetLine RADIATORS = new ResetLine(10, 150, 65, 70, 1.3, 0);

    /** By hand: at 37.5 °F half the load is wanted; 0.5 to the power of 1 over 1.3 is 0.5867, of the 80 degrees above the room. */
    @Test
    void halfTheLoadWantsWaterByThePowerOfTheEmitter() {
        assertThat(RADIATORS.load(37.5)).isCloseTo(0.5, within(1e-12));
        assertThat(RADIATORS.water(37.5)).isCloseTo(70 + 80 * 0.58671, within(0.01));
        assertThat(RADIATORS.water(10)).isEqualTo(150);
        assertThat(RADIATORS.water(-20)).as("the design is the most").isEqualTo(150);
        assertThat(RADIATORS.water(70)).isEqualTo(70);
    }

    /** EN 442: an emitter at the power of its excess temperature gives just the load that the line wants. */
    @Test
    void emitterGivesWhatTheLineWants() {
        for (double exponent : new double[] {1, 1.1, 1.3, 1.4}) {
            ResetLine line = new ResetLine(10, 150, 65, 70, exponent, 0);
            for (double outdoor = 10; outdoor < 65; outdoor += 5) {
                assertThat(Math.pow((line.water(outdoor) - 70) / 80, exponent)).isCloseTo(line.load(outdoor), within(1e-12));
            }
        }
    }

    /** A straight line is the emitter of exponent one: between design and no-heat point, as reset is drawn by hand. */
    @Test
    void exponentOneIsTheLineDrawnByHand() {
        ResetLine line = new ResetLine(0, 180, 70, 70, 1, 0);
        assertThat(line.water(35)).isCloseTo(125, within(1e-9));
    }

    @Test
    void boilerThatMustNotCondenseKeepsItsLeast() {
        assertThat(new ResetLine(10, 180, 65, 70, 1.3, 140).water(60)).isEqualTo(140);
    }

    @Test
    void pointsInTheWrongOrderAreRefused() {
        assertThatThrownBy(() -> new ResetLine(65, 150, 10, 70, 1.3, 0)).hasMessageContaining("warmer than the one before");
        assertThatThrownBy(() -> new ResetLine(10, 150, 65, 70, 13, 0)).hasMessageContaining("13.0");
        assertThatThrownBy(() -> new ResetLine(10, 150, 65, 70, Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
