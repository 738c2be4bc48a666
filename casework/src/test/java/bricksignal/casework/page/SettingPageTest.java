package bricksignal.casework.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Refused;
import bricksignal.core.tuning.Misfit;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Measures;
import bricksignal.packs.PackLibrary;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a setting should stand, out of what a person has at hand. */
class SettingPageTest {

    private static final UnitModel HEAT_PUMP = PackLibrary.ready("f10-heatpump").model();
    private static final UnitModel ECONOMIZER = PackLibrary.ready("f17-economizer").model();
    private static final UnitModel FURNACE = PackLibrary.ready("f1-furnace").model();

    private static String setting(UnitModel model) {
        return model.settings().get(0).id();
    }

    /** Minutes of the calculation are seconds of the board. */
    @ParameterizedTest
    @CsvSource({"35, 90, 30", "10, 75, 90", "30, 80, 30", "28, 75, 60"})
    void nearestPositionIsTaken(double outdoor, double humidity, String position) {
        assertThat(SettingPage.suggested(HEAT_PUMP, setting(HEAT_PUMP), Map.of("outdoor", outdoor, "humidity", humidity), Map.of(), Measures.US).position()).isEqualTo(position);
    }

    /** Changeover by the climate: 65 °F where it is damp, 75 where it is dry. */
    @ParameterizedTest
    @CsvSource({"4A, 65 °F", "5A, 70 °F", "5B, 75 °F"})
    void changeoverIsThatOfTheClimate(String zone, String position) {
        SettingPage.Suggested suggested = SettingPage.suggested(ECONOMIZER, "high-limit", Map.of(), Map.of("zone", zone), Measures.US);
        assertThat(suggested.position()).isEqualTo(position);
        assertThat(suggested.finding().source()).isNotNull();
    }

    @Test
    void settingsSayByWhatTheyAreSuggested() {
        assertThat(SettingPage.of(ECONOMIZER)).extracting(SettingPage::suggests).containsExactlyInAnyOrder("changeover-limit", "damper-position", null, null);
        assertThat(SettingPage.of(FURNACE)).extracting(SettingPage::suggests).contains("blower-delays");
    }

    @Test
    void whatIsNotComputedOrDoesNotFitIsRefused() {
        assertThatThrownBy(() -> SettingPage.suggested(ECONOMIZER, "curve", Map.of(), Map.of(), Measures.US)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> SettingPage.suggested(ECONOMIZER, "colour", Map.of(), Map.of(), Measures.US)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> SettingPage.suggested(HEAT_PUMP, setting(HEAT_PUMP), Map.of("outdoor", 30.0), Map.of(), Measures.US)).isInstanceOf(Misfit.class);
    }
}
