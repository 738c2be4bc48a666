package bricksignal.casework.page;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.unit.Place;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What to know of a part stands where it is in hand, and nowhere else. */
class HandlingTest {

    private static UnitModel model(String family) {
        return PackReader.read(PackLibrary.text(family));
    }

    private static Stream<bricksignal.core.unit.Test> tests(UnitModel model) {
        return Stream.concat(model.readings().stream(), model.checks().stream());
    }

    @ParameterizedTest
    @CsvSource({"f17-economizer, outdoor-ohms, polarity", "f3-vehicle, see-gap, face of the burner", "f3-vehicle, see-orifice, Three screws", "f7-stove, see-jumper, Unplug the stove"})
    void standsAtTheTestThatHandlesThePart(String family, String test, String says) {
        UnitModel model = model(family);
        List<String> handling = Handling.of(model, tests(model).filter(one -> one.id().equals(test)).findFirst().orElseThrow());
        assertThat(handling).anySatisfy(line -> assertThat(line).contains(says)).hasSizeLessThanOrEqualTo(3);
    }

    /** A part in hand, or the parts that have the terminal that the red probe is on. */
    @ParameterizedTest
    @CsvSource({"f3-vehicle, see-gap, electrode", "f1-furnace, ohms-igniter, igniter"})
    void papersOfWhatIsHandledAreWanted(String family, String test, String part) {
        UnitModel model = model(family);
        assertThat(Handling.about(model, tests(model).filter(one -> one.id().equals(test)).findFirst().orElseThrow())).contains(part);
    }

    @Test
    void aVoltageBetweenTwoTerminalsHandlesNothing() {
        UnitModel model = model("f17-economizer");
        assertThat(model.readings()).filteredOn(reading -> !reading.setup().powerOff() && reading.place() instanceof Place.Across).isNotEmpty()
                .allSatisfy(reading -> assertThat(Handling.of(model, reading)).isEmpty());
    }
}
