package bricksignal.core.lamp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LampDecoderTest {

    private static final List<LampPattern> CHART = Stream.concat(Stream.of(LampPattern.SLOW, LampPattern.FAST,
            LampPattern.HEARTBEAT), IntStream.rangeClosed(2, 9).mapToObj(LampPattern::flashes)).toList();

    static List<LampPattern> chart() {
        return CHART;
    }

    /** A person taps along: late by a random 60 ms, starting anywhere in the round. */
    static Taps tapped(LampPattern pattern, int taps, int start, double tempo, long seed) {
        Random random = new Random(seed);
        List<LampPattern.Flash> round = pattern.round();
        List<Double> times = new ArrayList<>();
        double at = 1;
        for (int i = 0; i < taps; i++) {
            times.add(at + 0.06 * random.nextGaussian());
            at += tempo * round.get((start + i) % round.size()).period();
        }
        return new Taps(times.stream().sorted().toList());
    }

    @ParameterizedTest
    @MethodSource("chart")
    void whatTheLampShowsIsWhatIsRead(LampPattern pattern) {
        for (int seed = 0; seed < 10; seed++) {
            int taps = Math.max(8, 3 * pattern.round().size());
            Taps taps1 = tapped(pattern, taps, seed % pattern.round().size(), 0.85 + 0.03 * seed, seed);
            assertThat(LampDecoder.decode(taps1, CHART).best()).as("seed %d", seed).isEqualTo(pattern);
        }
    }

    @Test
    void weightsAndNoneSumToOne() {
        LampDecoder.Decoding decoding = LampDecoder.decode(tapped(LampPattern.flashes(4), 12, 1, 1, 5), CHART);
        double sum = decoding.weights().values().stream().mapToDouble(Double::doubleValue).sum() + decoding.none();
        assertThat(sum).isCloseTo(1, within(1e-9));
    }

    @Test
    void raggedTappingIsNotAWrongCertainty() {
        // groups of 3, 3, 4, 3, the first and last perhaps cut off: 3 with one tap too many, or 4 with one missed
        List<Double> times = List.of(0.0, 0.6, 1.2, 3.5, 4.1, 4.7, 7.0, 7.6, 8.2, 8.8, 11.1, 11.7, 12.3);
        LampDecoder.Decoding decoding = LampDecoder.decode(new Taps(times), CHART);
        assertThat(decoding.weights().get(LampPattern.flashes(3)) + decoding.weights().get(LampPattern.flashes(4)))
                .isGreaterThan(0.9);
        assertThat(decoding.weights().get(decoding.best())).isLessThan(0.98);
    }

    @Test
    void nonsenseIsNoneOfThese() {
        List<Double> times = List.of(0.0, 7.0, 7.3, 19.0, 33.0, 33.9, 48.0);
        assertThat(LampDecoder.decode(new Taps(times), CHART).none()).isGreaterThan(0.9);
    }

    @Test
    void chartWithoutBlinksIsRefused() {
        Taps taps = new Taps(List.of(0.0, 1.0));
        assertThatThrownBy(() -> LampDecoder.decode(taps, List.of(LampPattern.OFF, LampPattern.STEADY)))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("taps.no-pattern");
    }

    @Test
    void oneTapSaysNothing() {
        assertThatThrownBy(() -> new Taps(List.of(1.0))).hasMessageContaining("taps.few");
    }

    @Test
    void pauseOfAMinuteIsRefused() {
        assertThatThrownBy(() -> new Taps(List.of(0.0, 1.0, 61.0))).hasMessageContaining("taps.pause").hasMessageContaining("60").hasMessageContaining("3");
        assertThat(new Taps(List.of(0.0, 59.9)).sighting().flashes()).hasSize(2);
    }

    @Test
    void fiveHundredTapsAreReadAndOneMoreIsRefused() {
        List<Double> taps = new ArrayList<>(IntStream.range(0, 500).mapToObj(i -> i * 0.5).toList());
        assertThat(new Taps(taps).seconds()).hasSize(500);
        taps.add(251.0);
        assertThatThrownBy(() -> new Taps(taps)).hasMessageContaining("taps.many").hasMessageContaining("501");
    }

    @Test
    void timesMustRiseAndBeFinite() {
        assertThatThrownBy(() -> new Taps(List.of(1.0, 1.0))).hasMessageContaining("must rise");
        assertThatThrownBy(() -> new Taps(List.of(1.0, Double.NaN))).hasMessageContaining("finite");
    }

    @ParameterizedTest
    @MethodSource("chart")
    void textIsReadBack(LampPattern pattern) {
        assertThat(LampPattern.parse(pattern.text())).isEqualTo(pattern);
    }

    @Test
    void unknownPatternTellsWhatThereIs() {
        assertThatThrownBy(() -> LampPattern.parse("disco")).hasMessageContaining("'disco'").hasMessageContaining("heartbeat");
        assertThatThrownBy(() -> LampPattern.parse("99 flashes")).hasMessageContaining("1 to 15");
    }
}
