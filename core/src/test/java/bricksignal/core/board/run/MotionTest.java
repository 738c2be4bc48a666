package bricksignal.core.board.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class MotionTest {

    private final Motion rising = new Motion(0, 10, 4, 100);

    @Test
    void afterOneTimeConstantTwoThirdsAreDone() {
        assertThat(rising.at(104)).isCloseTo(10 * (1 - 1 / Math.E), within(1e-12));
    }

    @Test
    void crossingTimeBringsItToTheLevel() {
        double seconds = rising.secondsUntil(7, 101);
        assertThat(rising.at(101 + seconds)).isCloseTo(7, within(1e-9));
    }

    @Test
    void levelBehindOrBeyondIsNeverReached() {
        assertThat(rising.secondsUntil(0.5, 104)).isInfinite();
        assertThat(rising.secondsUntil(10, 100)).isInfinite();
        assertThat(rising.secondsUntil(12, 100)).isInfinite();
    }

    @Test
    void timeConstantMustBePositive() {
        assertThatThrownBy(() -> new Motion(0, 1, 0, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Motion(0, 1, Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
