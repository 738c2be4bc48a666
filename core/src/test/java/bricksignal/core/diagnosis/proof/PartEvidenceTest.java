package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which tests are made at the part: a conductor at its two ends, a load where its power comes in (common practice, no published source). */
class PartEvidenceTest {

    private final CompiledPack chain = ChainUnit.of(5, 0);

    private PartEvidence of(String fault) {
        return new PartEvidence(chain, chain.model().faults().stream().filter(f -> f.id().equals(fault)).findFirst().orElseThrow());
    }

    private bricksignal.core.unit.Test volts(String net) {
        return ChainUnit.volts(chain, net, 24).test();
    }

    @ParameterizedTest
    @CsvSource({"n1, false", "n2, true", "n3, true", "n4, false", "n5, false"})
    void conductorIsMeasuredAtItsOwnEnds(String net, boolean at) {
        assertThat(of("open-3").isAtThePart(volts(net))).isEqualTo(at);
        assertThat(of("open-3").provesSupply(volts(net))).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"n0, false", "n4, false", "n5, true"})
    void loadIsProvenSuppliedWhereItsPowerComesIn(String net, boolean at) {
        assertThat(of("coil-open").provesSupply(volts(net))).isEqualTo(at);
        assertThat(of("coil-open").isAtThePart(volts(net))).isEqualTo(at);
    }

    /** Where nothing of the circuit or the process is upset there is no place that everything else would be away from. */
    @Test
    void faultWithoutAPlaceIsSeenAnywhere() {
        assertThat(of("nothing").isAtThePart(volts("n1"))).isTrue();
    }
}
