package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class SequenceModelTest {

    private final CompiledPack chain = ChainUnit.of(3, 0.5);
    private final HypothesisId nothing = chain.space().nothing();
    private final HypothesisId open = new HypothesisId.Single("open-2");
    private final HypothesisId seldom = new HypothesisId.Intermittent("open-2");

    private double likelihood(HypothesisId id, Observation... seen) {
        return SequenceModel.likelihood(chain, List.of(seen), id);
    }

    @Test
    void timesCountFromTheCall() {
        assertThat(SequenceModel.callSeconds(chain.model())).isEqualTo(10);
        assertThat(SequenceModel.of(chain, "coil").edges(nothing, true)).containsExactly(0.0);
        assertThat(SequenceModel.of(chain, "coil").edges(open, true)).isEmpty();
        assertThat(SequenceModel.usual(chain)).extracting(channel -> channel.id()).containsExactly("coil");
        assertThatThrownBy(() -> SequenceModel.of(chain, "flame")).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("flame");
    }

    /** The tap of a person is late by a second or two; the density over all times sums to one, misses are spread over the window. */
    @Test
    void tapsAreADensity() {
        double sum = 0;
        double step = 0.01;
        for (int i = -1000; i < 4000; i++) {
            sum += i < 0 ? 0 : step * likelihood(nothing, new Observation.Event("coil", true, i * step));
        }
        assertThat(sum).as("what lies before the call cannot be tapped").isBetween(0.6, 1.0);
        assertThat(likelihood(nothing, new Observation.Event("coil", true, 0.7))).isGreaterThan(
                10 * likelihood(nothing, new Observation.Event("coil", true, 15)));
    }

    @Test
    void whatCameSpeaksAgainstWhatLetsItNotCome() {
        Observation came = new Observation.Event("coil", true, 1);
        assertThat(likelihood(nothing, came)).isGreaterThan(50 * likelihood(open, came));
        assertThat(likelihood(seldom, came)).isBetween(likelihood(open, came), likelihood(nothing, came));
    }

    @Test
    void whatDidNotComeSpeaksForIt() {
        Observation missed = new Observation.NotSeen("coil", 30);
        assertThat(likelihood(open, missed)).isCloseTo(0.975, within(1e-12));
        assertThat(likelihood(nothing, missed)).isCloseTo(0.025, within(1e-12));
    }

    /**
     * What is seen in one run is one observation of a fault that comes and goes: it was there all along or not at all. By hand: missed
     * once it is there with 0.35 x 0.975 against 0.65 x 0.025.
     */
    @Test
    void secondMissOfOneRunIsExpectedOfAnIntermittentFault() {
        double there = 0.35 * 0.975 / (0.35 * 0.975 + 0.65 * 0.025);
        assertThat(likelihood(seldom, new Observation.NotSeen("coil", 20))).isCloseTo(0.35 * 0.975 + 0.65 * 0.025, within(1e-12));
        assertThat(likelihood(seldom, new Observation.NotSeen("coil", 20), new Observation.NotSeen("coil", 30))).isCloseTo(
                there * 0.975 + (1 - there) * 0.025, within(1e-12));
    }

    @Test
    void timingDiagramBelievesWhatTheSuspectsShow() {
        TimingDiagram before = TimingDiagram.of(Diagnosis.of(chain));
        assertThat(before.callAt()).isEqualTo(10);
        TimingDiagram.Line coil = before.channels().get(0);
        assertThat(coil.expected()).singleElement().satisfies(s -> assertThat(s.from()).isEqualTo(10));
        Diagnosis known = Diagnosis.of(chain, List.of(ChainUnit.volts(chain, "n1", 24), ChainUnit.volts(chain, "n2", 0)));
        double believed = TimingDiagram.of(known).channels().get(0).believed().stream().mapToDouble(s -> s.probability()).max()
                .orElse(0);
        assertThat(believed).isLessThan(0.2).isLessThan(coil.believed().get(0).probability());
    }
}
