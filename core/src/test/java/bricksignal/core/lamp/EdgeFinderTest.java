package bricksignal.core.lamp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoublePredicate;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EdgeFinderTest {

    private static final List<LampPattern> CHART = List.of("off", "steady", "slow", "fast", "heartbeat", "2 flashes",
            "3 flashes", "4 flashes").stream().map(LampPattern::parse).toList();

    /** A lamp filmed at a rate, in a room whose brightness is given; noise of one unit. */
    static Trace filmed(String pattern, double seconds, double rate, double lamp, DoubleUnaryOperator room, boolean around) {
        Random random = new Random(7);
        List<Double> times = new ArrayList<>();
        List<Double> level = new ArrayList<>();
        List<Double> beside = new ArrayList<>();
        for (int i = 0; i < seconds * rate; i++) {
            double t = i / rate;
            times.add(t);
            level.add(room.applyAsDouble(t) + random.nextGaussian()
                    + (LampShow.at(LampPattern.parse(pattern), t + 0.4).isEmpty() ? 0 : lamp));
            beside.add(room.applyAsDouble(t) + random.nextGaussian());
        }
        return new Trace(times, level, around ? beside : List.of(), List.of(), "");
    }

    private static String read(Trace trace) {
        return LampDecoder.decode(EdgeFinder.find(trace).sighting(), CHART).best().text();
    }

    @ParameterizedTest
    @CsvSource({"slow", "fast", "heartbeat", "2 flashes", "3 flashes", "4 flashes"})
    void lampIsReadInAQuietRoomWithAndWithoutWhatIsAround(String pattern) {
        assertThat(read(filmed(pattern, 14, 30, 60, t -> 50, true))).isEqualTo(pattern);
        assertThat(read(filmed(pattern, 14, 30, 60, t -> 50, false))).isEqualTo(pattern);
    }

    @Test
    void mainsFlickerAtFiftyAndSixtyHertzDoesNotBlink() {
        for (double hertz : new double[] {100, 120}) {
            Trace quick = filmed("3 flashes", 14, 500, 40, t -> 50 + 12 * Math.sin(2 * Math.PI * hertz * t), false);
            assertThat(read(quick)).isEqualTo("3 flashes");
            Trace slow = filmed("3 flashes", 14, 29.97, 40, t -> 50 + 6 * Math.sin(2 * Math.PI * hertz * t), true);
            assertThat(read(slow)).isEqualTo("3 flashes");
        }
    }

    @Test
    void doorThatOpensSlowlyDoesNotMatter() {
        assertThat(read(filmed("4 flashes", 20, 30, 40, t -> 30 + 3.5 * t, false))).isEqualTo("4 flashes");
    }

    @Test
    void steadyIsToldFromOffOnlyByWhatIsAround() {
        assertThat(read(filmed("steady", 8, 30, 60, t -> 50, true))).isEqualTo("steady");
        assertThat(read(filmed("off", 8, 30, 60, t -> 50, true))).isEqualTo("off");
        EdgeFinder.Found found = EdgeFinder.find(filmed("steady", 8, 30, 60, t -> 50, false));
        assertThat(found.told()).isFalse();
        LampDecoder.Decoding decoding = LampDecoder.decode(found.sighting(), CHART);
        assertThat(decoding.weights().get(LampPattern.STEADY)).isCloseTo(decoding.weights().get(LampPattern.OFF), within(1e-9));
    }

    @Test
    void edgesLieWithinAFrame() {
        EdgeFinder.Found found = EdgeFinder.find(filmed("slow", 12, 30, 60, t -> 50, true));
        // lit from 0 to 1 s of each 2 s, seen from 0.4 s on: the next flashes begin at 1.6, 3.6, 5.6 ...
        for (int i = 0; i < found.sighting().flashes().size(); i++) {
            assertThat(found.sighting().flashes().get(i).at()).isCloseTo(1.6 + 2 * i, within(0.035));
        }
        assertThat(found.sighting().flashes()).hasSizeGreaterThanOrEqualTo(5);
    }

    @Test
    void colourOfAFlashIsNamed() {
        List<Trace.Rgb> colours = new ArrayList<>();
        Trace plain = filmed("2 flashes", 12, 30, 60, t -> 50, true);
        plain.level().forEach(v -> colours.add(v > 80 ? new Trace.Rgb(180, 60, 55) : new Trace.Rgb(50, 50, 50)));
        Trace coloured = new Trace(plain.seconds(), plain.level(), plain.around(), colours, "");
        assertThat(EdgeFinder.find(coloured).sighting().flashes()).extracting(Sighting.Seen::mark).containsOnly("red");
    }

    @Test
    void whatLiesInAGapIsNotMadeUp() {
        Trace whole = filmed("3 flashes", 20, 30, 60, t -> 50, true);
        Trace gapped = kept(whole, t -> t < 5 || t > 9);
        assertThat(gapped.stretches()).hasSize(3);
        assertThat(read(gapped)).isEqualTo("3 flashes");
        assertThat(EdgeFinder.find(gapped).sighting().flashes()).extracting(Sighting.Seen::watched).doesNotContain(Sighting.Stretch.UNTOLD)
                .extracting(Sighting.Stretch::to).containsOnly(gapped.seconds().get(gapped.stretches().get(1) - 1), gapped.seconds().get(gapped.seconds().size() - 1));
    }

    /**
     * A phone that has too much to do loses a third of a second here and there: flashes are missed. Many such breaks (a tenth of the time) may leave it open what it is, but nothing wrong is
     * sure; a few do not matter, and not if a film on a busy computer stands still meanwhile either.
     */
    @ParameterizedTest
    @CsvSource({"slow", "heartbeat", "2 flashes", "3 flashes", "4 flashes"})
    void pausesOfABusyCameraAreNotPausesOfTheLamp(String pattern) {
        Trace whole = filmed(pattern, 14, 30, 60, t -> 50, true);
        Random random = new Random(11);
        for (int round = 0; round < 40; round++) {
            List<Double> pauses = Stream.generate(() -> 14 * random.nextDouble()).limit(round % 2 == 0 ? 2 : 4).toList();
            List<Double> later = whole.seconds().stream().map(t -> t + 0.35 * pauses.stream().filter(p -> p < t).count()).toList();
            Trace missed = kept(whole, t -> pauses.stream().noneMatch(p -> t > p && t < p + 0.35));
            Trace held = new Trace(later, whole.level(), whole.around(), List.of(), "");
            for (Trace busy : pauses.size() > 2 ? List.of(missed) : List.of(missed, held)) {
                LampDecoder.Decoding decoding = LampDecoder.decode(EdgeFinder.find(busy).sighting(), CHART);
                assertThat(decoding.best().text().equals(pattern) || pauses.size() > 2 && decoding.weights().get(decoding.best()) < 0.95)
                        .as("%s, read as %s", pauses, decoding).isTrue();
            }
        }
    }

    private static Trace kept(Trace whole, DoublePredicate seen) {
        List<Integer> kept = IntStream.range(0, whole.seconds().size()).filter(i -> seen.test(whole.seconds().get(i))).boxed().toList();
        return new Trace(kept.stream().map(whole.seconds()::get).toList(), kept.stream().map(whole.level()::get).toList(),
                kept.stream().map(whole.around()::get).toList(), List.of(), "");
    }

    @Test
    void traceThatMakesNoSenseIsRefused() {
        List<Double> ten = IntStream.range(0, 10).mapToObj(i -> (double) i).toList();
        assertThatThrownBy(() -> new Trace(List.of(), List.of(), List.of(), List.of(), "")).hasMessageContaining("trace.few");
        assertThatThrownBy(() -> new Trace(ten, ten.subList(0, 9), List.of(), List.of(), "")).hasMessageContaining("differ");
        List<Double> still = IntStream.range(0, 10).mapToObj(i -> 1.0).toList();
        assertThatThrownBy(() -> new Trace(still, ten, List.of(), List.of(), "")).hasMessageContaining("must rise");
        List<Double> many = IntStream.range(0, 20_001).mapToObj(i -> (double) i).toList();
        assertThatThrownBy(() -> new Trace(many, many, List.of(), List.of(), "")).hasMessageContaining("trace.many").hasMessageContaining("20001");
    }
}
