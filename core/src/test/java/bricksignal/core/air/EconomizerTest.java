package bricksignal.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Changeover and mixture; figures of the trade are common practice without a source unless one is named. */
class EconomizerTest {

    private static MoistAir air(double fahrenheit, double humidity) {
        return MoistAir.ofRelativeHumidity(Degrees.celsius(fahrenheit), humidity, 101325);
    }

    /** 75 °F and half damp is 28.1 Btu a pound on the chart of the handbook (from memory). */
    @Test
    void heatIsReadInBtuAPoundAboveZeroFahrenheit() {
        assertThat(Changeover.btu(air(75, 0.5))).isCloseTo(28.1, within(0.1));
        assertThat(Changeover.btu(new MoistAir(Degrees.celsius(0), 0, 101325))).isCloseTo(0, within(1e-9));
    }

    /** A cool damp day is free by its temperature and not by its heat: what a dry-bulb changeover brings in there is water. */
    @Test
    void coolDampDayIsFreeByTemperatureAndNotByHeat() {
        MoistAir damp = air(70, 0.95);
        MoistAir returned = air(75, 0.5);
        assertThat(Changeover.DRY_BULB.judge(damp, returned, "5B").free()).isTrue();
        assertThat(Changeover.ENTHALPY.judge(damp, returned, "5B")).isEqualTo(new Changeover.Judgement(false, Changeover.By.HEAT));
        assertThat(Changeover.DIFFERENTIAL_ENTHALPY.judge(damp, returned, "5B").free()).isFalse();
        assertThat(Changeover.DIFFERENTIAL_DRY_BULB.judge(damp, returned, "5B").free()).isTrue();
    }

    @Test
    void hotDryDayIsNeverFree() {
        for (Changeover each : Changeover.values()) {
            assertThat(each.judge(air(95, 0.05), air(75, 0.5), "3B").free()).as(each.name()).isFalse();
            assertThat(each.judge(air(54, 0.5), air(75, 0.5), "3B").free()).as(each.name()).isTrue();
        }
    }

    /** ASHRAE 90.1 table 6.5.1.1.3, from memory. */
    @Test
    void limitFollowsTheClimate() {
        assertThat(Changeover.limitF("4A")).isEqualTo(65);
        assertThat(Changeover.limitF("5a")).isEqualTo(70);
        assertThat(Changeover.limitF("8")).isEqualTo(75);
        assertThatThrownBy(() -> Changeover.limitF("9")).hasMessageContaining("'9'").hasMessageContaining("1A to 8");
    }

    /** Worked by hand: 50 °F outdoors, 75 returned, 70 mixed is a fifth; each thermometer one degree gives sqrt(1 + 0.04 + 0.64) / 25. */
    @Test
    void shareOfOutdoorAirComesFromThreeThermometersWithItsError() {
        OutdoorShare share = OutdoorShare.of(50, 75, 70, 1).orElseThrow();
        assertThat(share.share()).isCloseTo(0.2, within(1e-12));
        assertThat(share.sigma()).isCloseTo(Math.sqrt(1.68) / 25, within(1e-12));
        assertThat(OutdoorShare.of(72, 75, 74, 1)).as("too near to each other").isEmpty();
        assertThat(OutdoorShare.of(50, 75, 92, 1)).as("warmer than both: a thermometer is wrong").isEmpty();
    }

    @Test
    void signalIsTwoToTenVolts() {
        assertThat(OutdoorShare.volts(0)).isEqualTo(2);
        assertThat(OutdoorShare.volts(0.75)).isEqualTo(8);
        assertThat(OutdoorShare.volts(1)).isEqualTo(10);
        assertThatThrownBy(() -> OutdoorShare.volts(1.2)).hasMessageContaining("1.2");
    }

    /** Mixed-air control at 53 °F: the colder it is the less of it is let in, and never less than people need. */
    @Test
    void mixtureIsHeldAtItsSetPoint() {
        assertThat(OutdoorShare.wanted(20, 75, 53, 0.2)).isCloseTo(0.4, within(1e-12));
        assertThat(OutdoorShare.wanted(60, 75, 53, 0.2)).isEqualTo(1);
        assertThat(OutdoorShare.wanted(-40, 75, 53, 0.2)).isEqualTo(0.2);
    }

    private static Economizer on(double outdoorF, double humidity, Changeover changeover) {
        return new Economizer(air(outdoorF, humidity), air(75, 0.5), changeover, "5B", 0.2, Degrees.celsius(53));
    }

    @Test
    void hotDayLetsInWhatPeopleNeedAndACoolOneWhatHoldsTheMixture() {
        assertThat(on(92, 0.4, Changeover.DRY_BULB).share()).isEqualTo(0.2);
        assertThat(on(31, 0.4, Changeover.DRY_BULB).share()).isCloseTo(0.5, within(1e-9));
        assertThat(Degrees.fahrenheit(on(31, 0.4, Changeover.DRY_BULB).mixed().dryBulbC())).as("a little above: damp air is heavier in heat")
                .isCloseTo(53, within(0.2));
    }

    /** Below its border air is good enough, above it is not: the picture says what the board does. */
    @Test
    void borderOfThePictureIsThatOfTheJudgement() {
        for (Changeover each : Changeover.values()) {
            Economizer economizer = on(54, 0.5, each);
            assertThat(economizer.border()).hasSizeGreaterThan(30).allSatisfy(point -> {
                double pressure = economizer.outdoor().pressurePa();
                assertThat(each.judge(new MoistAir(point.dryBulbC(), 0.999 * point.humidityRatio(), pressure), economizer.returned(), "5B").free()).isTrue();
                assertThat(point.humidityRatio()).isLessThanOrEqualTo(MoistAir.ofRelativeHumidity(point.dryBulbC(), 1, pressure).humidityRatio());
            });
        }
        assertThat(on(54, 0.5, Changeover.ENTHALPY).border()).anySatisfy(point -> assertThat(Changeover.btu(new MoistAir(point.dryBulbC(),
                point.humidityRatio(), 101325))).isCloseTo(28, within(1e-6)));
    }

    /** ASHRAE 90.1 table 6.5.1.1.3, from memory: a comparison of temperatures alone in none of the warm damp zones. */
    @ParameterizedTest
    @CsvSource({"1A, false", "2A, false", "3A, false", "4A, false", "5A, true", "6A, true", "1B, true", "3C, true", "4C, true", "7, true", "8, true"})
    void comparisonOfTemperaturesIsNotAllowedWhereItIsDamp(String zone, boolean allowed) {
        assertThat(Changeover.DIFFERENTIAL_DRY_BULB.allowed(zone)).isEqualTo(allowed);
        assertThat(Changeover.DRY_BULB.allowed(zone)).isTrue();
        assertThat(Changeover.DIFFERENTIAL_ENTHALPY.allowed(zone)).isTrue();
    }
}
