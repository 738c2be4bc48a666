package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test.Reading;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Readings that no test foresees: as true as those that one does, and never more memory than there is room for. */
class AnywhereTest {

    private static final long ROOM = 1 << 20;
    private static final int TESTS = 4;

    /** The meter at the place of a test shows what that test shows, in every fault, though it is worked out another way. */
    @ParameterizedTest
    @ValueSource(strings = {"f1-furnace", "f7-stove", "f10-heatpump"})
    void showsWhatTheTestAtThatPlaceShows(String id) {
        CompiledPack pack = PackLibrary.ready(id);
        List<Reading> live = new ArrayList<>(pack.catalogue().tests().stream().filter(test -> test instanceof Reading reading && reading.place() instanceof Place.Across
                && reading.mode().volts() && reading.setup().equals(Setup.AS_IT_IS)).map(Reading.class::cast).toList());
        Collections.shuffle(live, new Random(1));
        int compared = 0;
        for (Reading named : live.subList(0, Math.min(TESTS, live.size()))) {
            Reading free = pack.catalogue().free(named.mode(), (Place.Across) named.place(), named.moment(), Setup.AS_IT_IS);
            for (HypothesisId run : pack.space().considered().stream().map(Hypothesis::id).toList()) {
                if (pack.predictions().of(named, run) instanceof Prediction.Number foreseen && pack.predictions().of(free, run) instanceof Prediction.Number found) {
                    assertThat(found.mean()).as("%s in %s", named.id(), run).isCloseTo(foreseen.mean(), within(1e-6 + 1e-6 * Math.abs(foreseen.mean())));
                    compared++;
                }
            }
        }
        assertThat(compared).isGreaterThan(TESTS * 20);
    }

    /** Two in each of six families once ended the application; here are four in each, with a megabyte for all of them together. */
    @Test
    void holdsNoMoreThanThereIsRoomForHoweverManyUnitsAreMeasured() {
        Shelf shelf = new Shelf(ROOM);
        Random random = new Random(2);
        for (String id : List.of("f1-furnace", "f2-furnace", "f4-boiler", "f9-airhandler", "f12-minisplit", "f14-rooftop")) {
            CompiledPack pack = PackLibrary.ready(PackReader.read(PackLibrary.text(id)), shelf);
            Diagnosis diagnosis = Diagnosis.of(pack);
            List<String> nets = pack.model().points().stream().map(point -> point.net()).distinct().toList();
            for (int i = 0; i < 4; i++) {
                String black = nets.get(random.nextInt(nets.size()));
                String red = nets.get(random.nextInt(nets.size()));
                if (!black.equals(red)) {
                    String moment = pack.model().moments().get(random.nextInt(pack.model().moments().size())).id();
                    Reading reading = pack.catalogue().free(MeterMode.AC_VOLTS, new Place.Across(black, red), moment, Setup.AS_IT_IS);
                    diagnosis = diagnosis.and(new Observation.Reading(reading, pack.predictions().nominalValue(reading)));
                    assertThat(shelf.bytes()).isLessThanOrEqualTo(ROOM);
                }
            }
            assertThat(diagnosis.observations()).isNotEmpty();
        }
        assertThat(shelf.bytes()).isPositive();
    }
}
