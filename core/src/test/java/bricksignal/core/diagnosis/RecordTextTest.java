package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class RecordTextTest {

    private final CompiledPack anew = ChainUnit.of(4, 0.5);

    @Test
    void whatIsReadSaysWhatWasWritten() {
        CompiledPack read = CompiledPack.of(ChainUnit.model(4, 0.5), ErrorModel.defaults(), Shelf.usual(), anew.records());
        assertThat(read.runs().unlisted()).isEqualTo(anew.runs().unlisted()).isNotEmpty();
        for (bricksignal.core.unit.Test test : anew.catalogue().tests()) {
            anew.space().considered().forEach(h -> assertThat(read.predictions().of(test, h.id())).as("%s under %s", test.id(), h.id())
                    .isEqualTo(anew.predictions().of(test, h.id())));
            anew.runs().unlisted().forEach(h -> assertThat(read.predictions().of(test, h.id())).isEqualTo(
                    anew.predictions().of(test, h.id())));
        }
        assertThat(read.records()).isEqualTo(anew.records());
    }

    @Test
    void nothingIsRunToReadThem() {
        CompiledPack read = CompiledPack.of(ChainUnit.model(4, 0.5), ErrorModel.defaults(), Shelf.usual(), anew.records());
        long sound = read.model().scenarios().stream().flatMap(run -> read.nominal().run(run.id()).intervals().stream())
                .map(interval -> interval.unit().solution()).distinct().count();
        assertThat(read.solvedStates().size()).as("states of the unit in good order alone").isLessThanOrEqualTo((int) sound + 1);
    }

    @Test
    void recordsOfAnotherChainAreRefused() {
        String shorter = ChainUnit.of(3, 0.5).records();
        assertThatThrownBy(() -> CompiledPack.of(ChainUnit.model(4, 0.5), ErrorModel.defaults(), Shelf.usual(), shorter))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("another unit").hasMessageContaining("anew");
    }

    @Test
    void whatIsAsInTheNominalUnitIsNotWrittenOut() {
        String nothing = anew.records().substring(anew.records().indexOf("run\tlisted\tnothing"));
        assertThat(nothing.lines().skip(1).takeWhile(line -> !line.startsWith("run"))).allSatisfy(line -> assertThat(line)
                .doesNotContainPattern("[0-9]\\.[0-9]"));
    }
}
