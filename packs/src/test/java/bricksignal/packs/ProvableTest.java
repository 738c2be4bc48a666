package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The whole check of what somebody wrote, and what cannot be proven must not be declared: each fault of each pack is proven when
 * every test is made and nobody misreads.
 */
@Execution(ExecutionMode.CONCURRENT)
class ProvableTest {

    static Stream<String> packs() {
        return Compiled.ids().stream();
    }

    @ParameterizedTest
    @MethodSource("packs")
    void everyShippedPackPassesTheWholeCheck(String id) {
        assertThat(PackReader.check(PackLibrary.text(id)).id()).isEqualTo(id);
    }
}
