package bricksignal.core.lamp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LampGrammarTest {

    @ParameterizedTest
    @ValueSource(strings = {"off", "steady", "slow", "fast", "heartbeat", "1 flash", "15 flashes", "2 long 3 short",
        "red 4 flashes", "amber then red 2 flashes", "lamp 3 slow", "lamps 2 4 steady", "lamp 1 green steady",
        "green steady + red 2 flashes", "display E4"})
    void textIsReadBack(String text) {
        assertThat(LampPattern.parse(text).text()).isEqualTo(text);
    }

    @Provide
    Arbitrary<String> parts() {
        Arbitrary<String> lamps = Arbitraries.of("", "lamp 1 ", "lamps 2 3 ");
        Arbitrary<String> lead = Arbitraries.of("", "amber then ");
        Arbitrary<String> colour = Arbitraries.of(LampPart.COLOURS).map(c -> c + " ").injectNull(0.3).map(c -> c == null ? "" : c);
        Arbitrary<String> shape = Arbitraries.oneOf(Arbitraries.of("off", "steady", "slow", "fast", "heartbeat"),
                Arbitraries.integers().between(2, 15).map(n -> n + " flashes"),
                Combinators.combine(Arbitraries.integers().between(1, 15), Arbitraries.integers().between(1, 15))
                        .as((a, b) -> a + " long " + b + " short"));
        return Combinators.combine(lamps, lead, colour, shape).as((a, b, c, d) -> a + b + c + d);
    }

    @Property(tries = 300)
    void everyPatternOfTheGrammarIsReadBack(@ForAll("parts") String one, @ForAll("parts") String other) {
        assertThat(LampPattern.parse(one).text()).isEqualTo(one);
        assertThat(LampPattern.parse(one + " + " + other).text()).isEqualTo(one + " + " + other);
    }

    @Property(tries = 200)
    void lampIsLitDuringItsFlashesAndDarkBetween(@ForAll("parts") String text) {
        LampPattern pattern = LampPattern.parse(text);
        for (LampShow.Lit lit : LampShow.lit(pattern, 0, 12)) {
            assertThat(LampShow.at(pattern, (lit.from() + lit.to()) / 2)).contains(lit.mark());
        }
        if (pattern.blinks()) {
            LampPattern.Flash first = pattern.round().get(0);
            assertThat(LampShow.at(pattern, first.litSeconds() + first.darkSeconds() / 2)).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"disco", "red", "0 flashes", "16 flashes", "lamp 9 slow", "2 long", "mauve 3 flashes",
        "display TOO-LONG", "+"})
    void whatIsNoPatternIsRefused(String text) {
        assertThatThrownBy(() -> LampPattern.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    // --- decoding ---------------------------------------------------------------------------------------------------------

    private static final List<LampPattern> COLOURED = List.of("green steady", "red 2 flashes", "red 3 flashes",
            "green 3 flashes", "green steady + red 5 flashes").stream().map(LampPattern::parse).toList();

    /** What a careful person with a steady hand would tap. */
    static Taps tapped(LampPattern pattern, double seconds) {
        List<LampShow.Lit> lit = LampShow.lit(pattern, 0, seconds).stream().filter(l -> l.to() < seconds).toList();
        return new Taps(lit.stream().map(LampShow.Lit::from).toList(),
                lit.stream().map(l -> l.to() - l.from() > 0.6 ? 0.6 : 0.12).toList(), lit.stream().map(LampShow.Lit::mark).toList());
    }

    @Test
    void colourTellsTwoChartsLinesWithTheSameCountApart() {
        LampDecoder.Decoding green = LampDecoder.decode(tapped(LampPattern.parse("green 3 flashes"), 12), COLOURED);
        assertThat(green.best().text()).isEqualTo("green 3 flashes");
        assertThat(green.weights().get(green.best())).isGreaterThan(0.95);
    }

    @Test
    void withoutTheColourBothLinesStayOpen() {
        List<Double> times = tapped(LampPattern.parse("green 3 flashes"), 12).seconds();
        Map<LampPattern, Double> weights = LampDecoder.decode(new Taps(times), COLOURED).weights();
        assertThat(weights.get(LampPattern.parse("green 3 flashes")))
                .isCloseTo(weights.get(LampPattern.parse("red 3 flashes")), within(1e-9));
    }

    @Test
    void longAndShortAreTwoDigits() {
        List<LampPattern> chart = List.of("1 long 3 short", "2 long 2 short", "3 long 1 short", "4 flashes").stream()
                .map(LampPattern::parse).toList();
        for (LampPattern pattern : chart.subList(0, 3)) {
            assertThat(LampDecoder.decode(tapped(pattern, 25), chart).best()).isEqualTo(pattern);
        }
    }

    @Test
    void secondLampIsReadBesideASteadyOne() {
        Sighting seen = new Sighting(tapped(LampPattern.parse("red 5 flashes"), 15).sighting().flashes(), Set.of("green"), true,
                Sighting.Observer.PERSON);
        assertThat(LampDecoder.decode(seen, COLOURED).best().text()).isEqualTo("green steady + red 5 flashes");
    }
}
