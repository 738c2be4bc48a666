package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.proof.Provability;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What cannot be proven must not be declared: each fault of each pack is proven when every test is made and nobody misreads. */
class ProvableTest {

    static Stream<String> packs() {
        return Compiled.ids().stream();
    }

    @ParameterizedTest
    @MethodSource("packs")
    void everyFaultCanBeProven(String id) {
        assertThat(Provability.of(Compiled.of(id).pack())).filteredOn(session -> !session.proven()).isEmpty();
    }
}
