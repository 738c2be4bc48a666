package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ErrorModelTest {

    private final ErrorModel model = ErrorModel.defaults();

    private static Reading reading(MeterMode mode, double tolerance) {
        return new Reading("r", Message.said("r"), mode, new Place.Across("C", "R"), "now", Setup.AS_IT_IS, 0, tolerance);
    }

    private Prediction.Number shown(MeterMode mode, double value) {
        return model.spread(reading(mode, 0), new VirtualUnit.Shown(value, 0));
    }

    /** A density sums to one: the trapezoid rule over the whole display, misreads spread evenly over 150 V of it. */
    @ParameterizedTest
    @ValueSource(doubles = {5, 24, 60, 120})
    void densityOfVoltsSumsToOne(double volts) {
        Prediction.Number expected = shown(MeterMode.AC_VOLTS, volts);
        double from = volts - 75;
        double step = 0.01;
        double sum = 0;
        for (int i = 0; i < 15_000; i++) {
            sum += step * model.likelihood(reading(MeterMode.AC_VOLTS, 0), expected, from + (i + 0.5) * step);
        }
        assertThat(sum).isCloseTo(1, within(0.002));
    }

    @Test
    void spreadGrowsWithTheValueAndNeverVanishes() {
        assertThat(shown(MeterMode.AC_VOLTS, 0).sigma()).isEqualTo(0.4);
        assertThat(shown(MeterMode.AC_VOLTS, 120).sigma()).isCloseTo(Math.hypot(0.035 * 120, 0.4), within(1e-12));
        assertThat(model.spread(reading(MeterMode.OHMS, 0.02), new VirtualUnit.Shown(100, 0)).sigma())
                .isCloseTo(Math.hypot(2, 0.4), within(1e-12));
    }

    @Test
    void ghostOnAnOpenConductorIsSpreadWidely() {
        Prediction.Number ghost = model.spread(reading(MeterMode.AC_VOLTS, 0), new VirtualUnit.Shown(14, 1e6));
        assertThat(ghost.sigma()).isCloseTo(Math.hypot(0.3 * 14, 0.4), within(1e-12));
    }

    @Test
    void openReadsAsOpenAndAsNothingElse() {
        Prediction.Number open = shown(MeterMode.OHMS, Double.POSITIVE_INFINITY);
        Reading ohms = reading(MeterMode.OHMS, 0);
        assertThat(model.likelihood(ohms, open, Double.POSITIVE_INFINITY)).isGreaterThan(40 * model.likelihood(ohms, open, 47));
        assertThat(model.onlyAMisread(ohms, open, 47)).isTrue();
        assertThat(model.onlyAMisread(ohms, open, Double.POSITIVE_INFINITY)).isFalse();
    }

    /** Common practice, no published source: on direct volts a minus sign says that the leads are swapped. */
    @Test
    void minusOnDirectVoltsIsSwappedLeads() {
        Prediction.Number expected = shown(MeterMode.DC_VOLTS, 12);
        Reading direct = reading(MeterMode.DC_VOLTS, 0);
        assertThat(model.likelihood(direct, expected, -12)).isEqualTo(model.likelihood(direct, expected, 12));
    }

    @Test
    void intermittentFaultShowsOneOrTheOther() {
        Prediction.Number live = shown(MeterMode.AC_VOLTS, 24);
        Prediction.Number dead = shown(MeterMode.AC_VOLTS, 0);
        Reading volts = reading(MeterMode.AC_VOLTS, 0);
        Prediction now = new Prediction.Sometimes(dead, live, 0.25);
        assertThat(model.likelihood(volts, now, 24)).isCloseTo(0.25 * model.likelihood(volts, dead, 24)
                + 0.75 * model.likelihood(volts, live, 24), within(1e-15));
        assertThat(model.onlyAMisread(volts, now, 0)).isFalse();
        assertThat(model.onlyAMisread(volts, now, 11)).isTrue();
    }

    @Test
    void somethingIsMoreThanNothing() {
        assertThat(ErrorModel.something(MeterMode.AC_VOLTS, 0.5)).isFalse();
        assertThat(ErrorModel.something(MeterMode.AC_VOLTS, -24)).isTrue();
        assertThat(ErrorModel.due(shown(MeterMode.DC_VOLTS, 4.89))).as("a data line of some volts is not dead").isTrue();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 1, -0.1, Double.NaN})
    void misreadsAreAShare(double misread) {
        assertThatThrownBy(() -> new ErrorModel(misread)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(String.valueOf(misread));
    }
}
