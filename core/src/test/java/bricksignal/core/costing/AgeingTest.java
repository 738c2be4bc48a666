package bricksignal.core.costing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** By hand: with shape 1 the law is the exponential one, which forgets its age; with shape 2 the exponents are squares. */
class AgeingTest {

    @Test
    void withShapeOneAgeDoesNotMatter() {
        Ageing ageing = new Ageing(1, 8);
        assertThat(ageing.failsWithin(0, 2)).isCloseTo(1 - Math.exp(-0.25), within(1e-12));
        assertThat(ageing.failsWithin(17, 2)).isCloseTo(1 - Math.exp(-0.25), within(1e-12));
    }

    /** R(12)/R(10) of a Weibull law with shape 2 and scale 10: exp(-1.44) / exp(-1). */
    @Test
    void conditionalUnreliabilityOfASquareLaw() {
        assertThat(new Ageing(2, 10).failsWithin(10, 2)).isCloseTo(1 - Math.exp(-1.44) / Math.exp(-1), within(1e-12));
    }

    @Test
    void stretchesOfALifeAddUp() {
        Ageing ageing = new Ageing(1.7, 9);
        assertThat(ageing.faults(0, 5) + ageing.faults(5, 12)).isCloseTo(ageing.faults(0, 12), within(1e-12));
        assertThat(ageing.faults(0, 9)).as("the scale is where one is expected").isCloseTo(1, within(1e-12));
    }

    /** Gamma(2, 2 x 8) and 6 faults in 24 unit-years: (2 + 6) / (16 + 24) = 0.2 a year, a scale of 5 years. */
    @Test
    void ownRecordsMoveTheRateAsAGammaLawSays() {
        Ageing after = new Ageing(1, 8).after(2, 6, List.of(new Ageing.Stretch(0, 10), new Ageing.Stretch(3, 17)));
        assertThat(after.scaleYears()).isCloseTo(5, within(1e-12));
        assertThat(after.shape()).isEqualTo(1);
    }

    /** Units that are simulated with another scale than the prior are found out. */
    @Test
    void manyRecordsOutweighThePrior() {
        Ageing truth = new Ageing(1.7, 6);
        Random random = new Random(5);
        int seen = 0;
        List<Ageing.Stretch> stretches = new java.util.ArrayList<>();
        for (int unit = 0; unit < 400; unit++) {
            double age = 20 * random.nextDouble();
            stretches.add(new Ageing.Stretch(age, age + 3));
            double expected = truth.faults(age, age + 3);
            for (double sum = -Math.log(1 - random.nextDouble()); sum < expected; sum += -Math.log(1 - random.nextDouble())) {
                seen++;
            }
        }
        assertThat(new Ageing(1.7, 14).after(5, seen, stretches).scaleYears()).isCloseTo(6, within(0.3));
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThatThrownBy(() -> new Ageing(0, 5)).hasMessageContaining("rate.ageing");
        assertThatThrownBy(() -> new Ageing(1, 5).faults(4, 3)).hasMessageContaining("4.0 to 3.0");
        assertThatThrownBy(() -> new Ageing(1, 5).after(1, -1, List.of())).hasMessageContaining("-1");
    }
}
