package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.VirtualUnit;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A disc is read cold and a coil thermostat below freezing, whatever the run left: who reads them waits for that, or makes it so. */
class GivenReadingTest {

    /** In good order, with another fault that leaves it warm or cold, and with its own. */
    @ParameterizedTest
    @CsvSource({"f7-stove, ohms-fire, nothing-now, true", "f7-stove, ohms-fire, fire-disc-open, true", "f7-stove, ohms-fire, fire-disc-welded, false", "f10-heatpump, ohms-coil-stat, nothing-now, false",
        "f10-heatpump, ohms-coil-stat, other-way, false", "f10-heatpump, ohms-coil-stat, stat-open, true", "f10-heatpump, ohms-coil-stat, stat-closed, false"})
    void switchStandsAsItDoesAtWhatIsGiven(String family, String test, String fault, boolean open) {
        CompiledPack pack = PackLibrary.ready(family);
        bricksignal.core.unit.Test.Reading reading = (bricksignal.core.unit.Test.Reading) pack.catalogue().test(test);
        VirtualUnit unit = pack.unit(new HypothesisId.Single(fault));
        for (String moment : new String[] {"standby", "off"}) {
            double at = pack.catalogue().seconds(moment);
            assertThat(Double.isInfinite(unit.read(reading, pack.model().moment(moment).scenario(), at).value())).as("%s with %s at %s", test, fault, moment).isEqualTo(open);
        }
    }

    @ParameterizedTest
    @CsvSource({"stove: 70, stofe: 70"})
    void whatIsGivenIsAProcessValue(String right, String wrong) {
        String text = PackLibrary.text("f7-stove", Map.of());
        assertThat(text).contains(right);
        assertThatThrownBy(() -> PackReader.read(text.replace("given: {" + right + "}", "given: {" + wrong + "}").replace("given:\n      " + right, "given:\n      " + wrong)))
                .hasMessageContaining("'stofe' is no process value");
    }
}
