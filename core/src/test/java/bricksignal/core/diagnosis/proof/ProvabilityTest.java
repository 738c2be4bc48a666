package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every fault of a unit whose places can all be reached is proven in an ideal session; one whose places cannot is told as what it is. */
class ProvabilityTest {

    private static Provability.Session session(CompiledPack pack, String fault) {
        return Provability.of(pack).stream().filter(one -> one.fault().equals(fault)).findFirst().orElseThrow();
    }

    @Test
    void everyWireOfAChainIsProvenByItself() {
        List<Provability.Session> sessions = Provability.of(ChainUnit.of(4, 0));
        assertThat(sessions).extracting(Provability.Session::fault).containsExactly("open-1", "open-2", "open-3", "open-4", "coil-open", "nothing");
        sessions.stream().filter(one -> one.fault().startsWith("open-")).forEach(one -> {
            assertThat(one.proven()).as(one.fault()).isTrue();
            assertThat(one.status()).isEqualTo(Verdict.Status.PROVEN);
            assertThat(one.named()).containsExactly("wire-" + one.fault().substring("open-".length()));
            assertThat(one.open()).isEmpty();
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"relay-open", "relay-welded", "deaf", "coil-open", "pin-open", "wire-open"})
    void boardAndWhatIsAroundItAreToldApart(String fault) {
        Provability.Session session = session(BoardUnit.compiled(), fault);
        assertThat(session.proven()).as(session.toString()).isTrue();
        assertThat(session.named()).hasSize(1);
    }

    /** No probe reaches the board's terminal: whether it sends nothing or its plug lets nothing through, nobody can say, and no board is condemned. */
    @Test
    void boardWhoseTerminalNobodyReachesIsNotCondemned() {
        Provability.Session session = session(BoardUnit.compiled("R", "T", "W", "hot", "C"), "relay-open");
        assertThat(session.named().equals(List.of("board")) && session.proven()).as(session.toString()).isFalse();
    }

    @Test
    void idealSessionBelievesWhatItWasMadeOf() {
        CompiledPack pack = BoardUnit.compiled();
        HypothesisId truth = new HypothesisId.Single("pin-open");
        Diagnosis ideal = Provability.ideal(pack, truth);
        assertThat(ideal.leader()).isEqualTo(truth);
        assertThat(ideal.observations()).as("no part is changed to try").noneMatch(o -> o instanceof bricksignal.core.diagnosis.Observation.Answer a && a.test().sense().changesAPart());
    }

    @Test
    void progressGoesFromNothingToAll() {
        List<Double> told = Collections.synchronizedList(new ArrayList<>());
        Provability.of(ChainUnit.of(3, 0), told::add);
        assertThat(told).isNotEmpty().allMatch(share -> share >= 0 && share <= 1).anyMatch(share -> share == 1);
    }
}
