package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A pack made ready with the records that the build took says to the last digit what one says that is run anew. */
class TakeRecordsTest {

    private static CompiledPack anew(String id) {
        return CompiledPack.of(PackReader.read(PackLibrary.text(id)), ErrorModel.defaults());
    }

    private static List<HypothesisId> everything(CompiledPack pack) {
        return Stream.concat(pack.space().considered().stream(), pack.runs().unlisted().stream()).map(Hypothesis::id).toList();
    }

    /** Another class in core, another engine: what is kept of its runs is not taken for this one's. */
    @Test
    void engineIsNamedByItsClasses(@TempDir Path folder) throws IOException {
        Path core = Path.of("..", "core", "target", "classes");
        assertThat(PackLibrary.engine()).isEqualTo(TakeRecords.engine(core)).matches("[0-9a-f]{64}");
        Files.createDirectories(folder.resolve("bricksignal"));
        Files.write(folder.resolve("bricksignal/A.class"), new byte[] {1, 2});
        String one = TakeRecords.engine(folder);
        Files.write(folder.resolve("bricksignal/A.class"), new byte[] {1, 3});
        assertThat(TakeRecords.engine(folder)).isNotEqualTo(one);
        Files.move(folder.resolve("bricksignal/A.class"), folder.resolve("bricksignal/B.class"));
        assertThat(TakeRecords.engine(folder)).isNotEqualTo(one);
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    @Execution(ExecutionMode.CONCURRENT)
    void readySaysWhatTheRunsSay(String id) {
        CompiledPack ready = PackLibrary.ready(id);
        CompiledPack anew = anew(id);
        assertThat(ready.model().faults()).as("which common failures can be felt is known from the records").isEqualTo(anew.model().faults());
        assertThat(ready.model().checks()).isEqualTo(anew.model().checks());
        assertThat(everything(ready)).isEqualTo(everything(anew));
        for (HypothesisId hypothesis : everything(anew)) {
            for (bricksignal.core.unit.Test test : anew.catalogue().tests()) {
                assertThat(ready.predictions().of(test, hypothesis)).as("%s in %s", hypothesis, test.id())
                        .isEqualTo(anew.predictions().of(test, hypothesis));
            }
            assertThat(ready.runs().fails(hypothesis)).isEqualTo(anew.runs().fails(hypothesis));
            for (String board : anew.model().charts().keySet()) {
                assertThat(ready.predictions().lampShares(hypothesis, board)).isEqualTo(anew.predictions().lampShares(hypothesis, board));
                assertThat(ready.predictions().lampSharesAfterReset(hypothesis, board)).isEqualTo(
                        anew.predictions().lampSharesAfterReset(hypothesis, board));
            }
        }
        assertThat(ready.records()).isEqualTo(anew.records());
    }

    /** What is not in the records is run when somebody asks: a reading that no test foresees, and a pair. */
    @Test
    void whatWasNotRecordedIsRunWhenAskedFor() {
        CompiledPack ready = PackLibrary.ready("f1-furnace");
        CompiledPack anew = anew("f1-furnace");
        String moment = anew.model().moments().get(0).id();
        var free = anew.catalogue().free(MeterMode.AC_VOLTS, new Place.Across(anew.model().points().get(2).net(),
                anew.model().points().get(7).net()), moment, Setup.AS_IT_IS);
        everything(anew).forEach(h -> assertThat(ready.predictions().of(free, h)).isEqualTo(anew.predictions().of(free, h)));
        HypothesisId pair = anew.space().pair(anew.model().faults().get(1).id(), anew.model().faults().get(5).id());
        assertThat(ready.predictions().of(anew.catalogue().tests().get(4), pair)).isEqualTo(
                anew.predictions().of(anew.catalogue().tests().get(4), pair));
    }

    @Test
    void recordsOfAnotherUnitAreRefused() {
        assertThatThrownBy(() -> CompiledPack.of(PackReader.read(PackLibrary.text("f1-furnace")), ErrorModel.defaults(),
                Shelf.usual(), PackLibrary.ready("f3-vehicle").records())).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("another unit");
    }
}
