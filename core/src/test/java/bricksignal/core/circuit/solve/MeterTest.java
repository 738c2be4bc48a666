package bricksignal.core.circuit.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeterTest {

    /** 27 V beside an open conductor, 200 pF between the two: 13.26 Mohm at 60 Hz. */
    private static Solution ghost() {
        return Solution.of(new Circuit("C", 60, List.of(new Element.Source("v", "R", "C", 27, 0, 0),
                new Element.Capacitor("stray", "R", "open", 200e-12),
                new Element.Conductor("broken", "open", "far", 0.1, false, Double.POSITIVE_INFINITY),
                new Element.Load("input", "far", "C", 1500, 0))));
    }

    @Test
    void openConductorBesideALiveOneReadsAGhost() {
        // 27 V x 10 Mohm / |10 Mohm - j 13.26 Mohm| = 16.26 V by hand; the leak of 1e-9 S takes off about a percent
        assertThat(Meter.across(ghost(), MeterMode.AC_VOLTS, "C", "open")).isCloseTo(16.26, within(0.2));
    }

    @Test
    void ghostVanishesOnLowImpedance() {
        assertThat(Meter.across(ghost(), MeterMode.AC_VOLTS_LOW_Z, "C", "open")).isLessThan(0.01);
    }

    @Test
    void leadsMayBeSwappedOnAlternatingVolts() {
        assertThat(Meter.across(ghost(), MeterMode.AC_VOLTS, "R", "C")).isEqualTo(
                Meter.across(ghost(), MeterMode.AC_VOLTS, "C", "R"), within(1e-9));
    }

    @Test
    void deadIgniterReadsItsResistance() {
        assertThat(Meter.across(igniter(50), MeterMode.OHMS, "b", "a")).isCloseTo(50, within(1e-3));
    }

    @Test
    void openIgniterReadsOverload() {
        assertThat(Meter.across(igniter(Double.POSITIVE_INFINITY), MeterMode.OHMS, "b", "a")).isInfinite();
    }

    @Test
    void parallelPathIsReadAlong() {
        Solution s = Solution.of(new Circuit("b", 60, List.of(new Element.Load("r1", "a", "b", 60, 0),
                new Element.Load("r2", "a", "b", 30, 0))));
        assertThat(Meter.across(s, MeterMode.OHMS, "b", "a")).isCloseTo(20, within(1e-6));
    }

    @Test
    void disconnectedCapacitorReadsItsCapacitance() {
        Solution s = Solution.of(new Circuit("b", 60, List.of(new Element.Capacitor("c", "a", "b", 7.5e-6))));
        assertThat(Meter.across(s, MeterMode.MICROFARADS, "b", "a")).isCloseTo(7.5, within(1e-4));
    }

    @Test
    void ohmsOnALiveCircuitIsAHazard() {
        assertThat(Meter.hazard(ghost(), MeterMode.OHMS, "C", "R")).isTrue();
        assertThat(Meter.hazard(ghost(), MeterMode.AC_VOLTS, "C", "R")).isFalse();
        assertThat(Meter.hazard(igniter(50), MeterMode.OHMS, "b", "a")).isFalse();
    }

    @Test
    void modeThatDoesNotFitThePlaceIsRefused() {
        assertThatThrownBy(() -> Meter.across(ghost(), MeterMode.CLAMP_AMPS, "C", "R"))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("CLAMP_AMPS");
        assertThatThrownBy(() -> Meter.through(ghost(), MeterMode.OHMS, "v")).hasMessageContaining("OHMS");
    }

    private static Solution igniter(double ohms) {
        return Solution.of(new Circuit("earth", 60, List.of(new Element.Load("igniter", "a", "b", ohms, 0),
                new Element.Conductor("plug", "b", "earth", 0.1, false, Double.POSITIVE_INFINITY))));
    }
}
