package bricksignal.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Against 2,000 states by the reference library psychrolib 1.1.1 (npm), among them 32 °F, saturated air and 8,000 ft: {@code moist-air.csv}. */
class MoistAirTest {

    private static final double RELATIVE = 1e-6;

    private record Reference(double dryBulb, double humidity, double altitude, double pressure, double ratio, double enthalpy, double volume, double vapour,
            double wetBulb, double ratioOfWetBulb) {

        MoistAir air() {
            return MoistAir.ofRelativeHumidity(dryBulb, humidity, pressure);
        }
    }

    private static final List<Reference> GRID = grid();

    private static List<Reference> grid() {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(MoistAirTest.class.getResourceAsStream("/moist-air.csv"),
                StandardCharsets.UTF_8))) {
            return in.lines().skip(2).map(line -> Arrays.stream(line.split(",")).mapToDouble(Double::parseDouble).toArray())
                    .map(c -> new Reference(c[0], c[1], c[2], c[3], c[4], c[5], c[6], c[7], c[8], c[9])).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void same(double actual, double expected, String what) {
        assertThat(actual).as(what).isCloseTo(expected, within(RELATIVE * Math.abs(expected) + 1e-12));
    }

    @Test
    void gridIsOfTwoThousandStates() {
        assertThat(GRID).hasSize(2000);
        assertThat(GRID).anyMatch(r -> r.dryBulb == 0).anyMatch(r -> r.humidity == 1).anyMatch(r -> r.altitude > 2438);
    }

    @Test
    void humidityRatioEnthalpyVolumeAndPressureAreTheReferences() {
        assertThat(GRID).allSatisfy(r -> {
            MoistAir air = r.air();
            same(MoistAir.standardPressurePa(r.altitude), r.pressure, "pressure");
            same(air.humidityRatio(), r.ratio, "humidity ratio");
            same(air.enthalpyJ(), r.enthalpy, "enthalpy");
            same(air.volumeM3(), r.volume, "volume");
            same(air.vapourPa(), r.vapour, "vapour");
            same(air.relativeHumidity(), r.humidity, "relative humidity");
        });
    }

    /**
     * The reference library finds a wet bulb to a thousandth of a degree only; its forward equation is exact. Within two degrees of freezing a wet bulb may be
     * of water or of ice: both fulfil the equations.
     */
    @Test
    void wetBulbIsThatOfTheReferencesForwardEquation() {
        assertThat(GRID).allSatisfy(r -> {
            same(MoistAir.ofWetBulb(r.dryBulb, r.wetBulb, r.pressure).humidityRatio(), r.ratioOfWetBulb, "humidity ratio of a wet bulb");
            double found = new MoistAir(r.dryBulb, r.ratioOfWetBulb, r.pressure).wetBulbC();
            same(MoistAir.ofWetBulb(r.dryBulb, found, r.pressure).humidityRatio(), r.ratioOfWetBulb, "humidity ratio of the wet bulb found");
            assertThat(Math.abs(r.wetBulb) < 2 ? 0 : found - r.wetBulb).as("wet bulb").isCloseTo(0, within(1e-6 * 273));
        });
    }

    @Test
    void dewPointSaturatesAtTheVapourThatIsThere() {
        assertThat(GRID).allSatisfy(r -> same(MoistAir.saturationPa(r.air().dewPointC()), r.vapour, "vapour at the dew point"));
    }

    /** Table 2 of the handbook's chapter 1: water saturates at 611.2 Pa at 0 °C, 2,339 at 20 °C, 101.42 kPa at 100 °C (from memory). */
    @Test
    void saturationIsThatOfTheHandbooksTable() {
        assertThat(MoistAir.saturationPa(0)).isCloseTo(611.2, within(0.2));
        assertThat(MoistAir.saturationPa(20)).isCloseTo(2339, within(1.0));
        assertThat(MoistAir.saturationPa(100)).isCloseTo(101420, within(60.0));
    }

    /** Worked by hand: 1 part of 35 °C and 3 parts of 24 °C, masses of dry air, keep water and heat. */
    @Test
    void mixtureKeepsWaterAndHeat() {
        MoistAir outdoor = MoistAir.ofRelativeHumidity(35, 0.5, 101325);
        MoistAir returned = MoistAir.ofRelativeHumidity(24, 0.4, 101325);
        MoistAir mixed = returned.mixedWith(outdoor, 0.25);
        assertThat(mixed.humidityRatio()).isCloseTo(0.25 * outdoor.humidityRatio() + 0.75 * returned.humidityRatio(), within(1e-12));
        assertThat(mixed.enthalpyJ()).isCloseTo(0.25 * outdoor.enthalpyJ() + 0.75 * returned.enthalpyJ(), within(1e-6));
        assertThat(mixed.dryBulbC()).isBetween(26.7, 26.9);
    }

    @Test
    void swappedBulbsAndImpossibleAirAreRefused() {
        assertThatThrownBy(() -> MoistAir.ofWetBulb(20, 24, 101325)).hasMessageContaining("swapped");
        assertThatThrownBy(() -> MoistAir.ofRelativeHumidity(20, 1.2, 101325)).hasMessageContaining("1.2");
        assertThatThrownBy(() -> MoistAir.ofRelativeHumidity(Double.NaN, 0.5, 101325)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> MoistAir.standardPressurePa(20000)).hasMessageContaining("20000");
    }
}
