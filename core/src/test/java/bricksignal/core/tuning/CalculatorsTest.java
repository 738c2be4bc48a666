package bricksignal.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every figure is worked by hand beside its check; the source of each rule stands with its constant. */
class CalculatorsTest {

    private static final int DRAWN = 300;

    static Stream<Calculator> all() {
        return Calculators.all().stream();
    }

    private static Calculator named(String id) {
        return Calculators.of(id).orElseThrow();
    }

    /** What stands there first, with some of it otherwise: id, value, id, value. */
    private static Finding found(String id, Object... otherwise) {
        Map<String, Double> numbers = new HashMap<>();
        Map<String, String> choices = new HashMap<>();
        usual(named(id), numbers, choices);
        for (int i = 0; i < otherwise.length; i += 2) {
            if (otherwise[i + 1] instanceof String choice) {
                choices.put((String) otherwise[i], choice);
            } else {
                numbers.put((String) otherwise[i], ((Number) otherwise[i + 1]).doubleValue());
            }
        }
        return named(id).of(numbers, choices);
    }

    private static void usual(Calculator calculator, Map<String, Double> numbers, Map<String, String> choices) {
        for (Input input : calculator.inputs()) {
            if (input instanceof Input.Choice choice) {
                choices.put(choice.id(), choice.options().get(0));
            } else if (input instanceof Input.Quantity quantity && quantity.usual() != null) {
                numbers.put(quantity.id(), quantity.usual());
            }
        }
    }

    private static double number(Finding finding, String result) {
        return finding.result(result).orElseThrow().value();
    }

    private static String key(Message message) {
        return ((Message.Keyed) message).key();
    }

    private static String says(Finding finding) {
        String key = key(finding.says());
        return key.substring(key.indexOf(".says-") + ".says-".length());
    }

    @ParameterizedTest
    @MethodSource("all")
    void startsWithSomethingThatCanBeComputed(Calculator calculator) {
        assertThat(calculator.usual().results()).isNotEmpty().allSatisfy(result -> assertThat(result.value()).isFinite());
    }

    /** Numbers of the usual unit stop nobody; a number past what is met in the field is taken, measured again, and nothing is set by it. */
    @ParameterizedTest
    @MethodSource("all")
    void usualNumbersStopNobodyAndUnheardOfOnesDo(Calculator calculator) {
        assertThat(calculator.usual().stops()).isEmpty();
        calculator.inputs().stream().filter(Input.Quantity.class::isInstance).map(Input.Quantity.class::cast).filter(q -> q.met().least() > q.least()).forEach(q -> {
            try {
                Finding low = found(calculator.id(), q.id(), q.least());
                assertThat(low.good()).isFalse();
                assertThat(low.stops()).anySatisfy(stop -> assertThat(key(stop)).isEqualTo("tuning.measured-again"));
            } catch (Misfit doesNotGoWithTheOthers) {
                assertThat(doesNotGoWithTheOthers.input()).isNotEmpty();
            }
        });
    }

    @ParameterizedTest
    @MethodSource("all")
    void customaryBoundsAreOfResultsThatThereAre(Calculator calculator) {
        Map<String, Double> numbers = new HashMap<>();
        Map<String, String> choices = new HashMap<>();
        usual(calculator, numbers, choices);
        if (calculator.id().equals("gas-clocked")) {
            numbers.put("manifold", 3.5);
        }
        Finding usual = calculator.of(numbers, choices);
        assertThat(usual.stops()).isEmpty();
        assertThat(usual.results()).extracting(Finding.Result::id).containsAll(calculator.customary(Given.of(calculator.inputs(), numbers, choices)).keySet());
    }

    /** 2 cu ft in 100 s of 1,000 Btu are 72,000 Btu/h; for a plate of 100,000 it would want 3.5 (100/72)² = 6.75 in w.c.: no regulator is set to that. */
    @Test
    void manifoldPressureThatNoRegulatorIsSetToStops() {
        Finding far = found("gas-clocked", "seconds", 100, "manifold", 3.5);
        assertThat(number(far, "manifold")).isCloseTo(6.75, within(0.01));
        assertThat(far.good()).isFalse();
        assertThat(far.stops()).extracting(CalculatorsTest::key).containsExactly("tuning.gas-clocked.stop-manifold");
        Finding near = found("gas-clocked", "seconds", 75, "manifold", 3.4);
        assertThat(number(near, "manifold")).as("3.4 (100/96)²").isCloseTo(3.69, within(0.01));
        assertThat(near.stops()).isEmpty();
        assertThat(found("gas-clocked", "seconds", 160).stops()).as("45 %: another dial").extracting(CalculatorsTest::key).containsExactly("tuning.gas-clocked.stop-share");
        assertThat(found("gas-clocked", "feet", 1, "seconds", 92, "heating-value", 2_500, "manifold", 10).stops()).as("propane, 98 %").isEmpty();
    }

    /** A floor takes 140 °F, fin tube takes 190. */
    @Test
    void waterThatBurnsFeetStops() {
        assertThat(found("water-reset", "water", 180, "emitter", "floor").stops()).extracting(CalculatorsTest::key).containsExactly("tuning.water-reset.stop-hottest");
        assertThat(found("water-reset", "water", 180, "emitter", "fin-tube").stops()).isEmpty();
        assertThat(found("water-reset", "water", 110, "drop", 10, "emitter", "floor").stops()).isEmpty();
    }

    /** 221, 233, 215: mean 223, farthest 10 away: 4.48 %. At 2 % a compressor is not run; 1.5 % is derated. */
    @Test
    void unbalanceOverTwoPercentStopsTheMotor() {
        Finding far = found("phase-unbalance", "ab", 221, "bc", 233, "ca", 215);
        assertThat(number(far, "unbalance")).isCloseTo(4.48, within(0.01));
        assertThat(far.stops()).extracting(CalculatorsTest::key).containsExactly("tuning.phase-unbalance.stop-unbalance");
        Finding near = found("phase-unbalance", "ab", 230, "bc", 233, "ca", 226);
        assertThat(number(near, "unbalance")).as("mean 229.67, 3.67 away").isCloseTo(1.6, within(0.01));
        assertThat(near.stops()).isEmpty();
        assertThat(says(near)).isEqualTo("derate");
    }

    /** Anything within the limits of the inputs is computed, or refused with the reason; nothing that is no number comes out. */
    @ParameterizedTest
    @MethodSource("all")
    void anythingWithinTheLimitsIsComputedOrRefused(Calculator calculator) {
        Random random = new Random(7);
        int computed = 0;
        for (int i = 0; i < DRAWN; i++) {
            Map<String, Double> numbers = new HashMap<>();
            Map<String, String> choices = new HashMap<>();
            for (Input input : calculator.inputs()) {
                if (input instanceof Input.Quantity quantity && (quantity.usual() != null || random.nextBoolean())) {
                    numbers.put(quantity.id(), quantity.least() + random.nextDouble() * (quantity.most() - quantity.least()));
                } else if (input instanceof Input.Choice choice) {
                    choices.put(choice.id(), choice.options().get(random.nextInt(choice.options().size())));
                }
            }
            try {
                Finding finding = calculator.of(numbers, choices);
                computed++;
                assertThat(finding.results()).allSatisfy(result -> assertThat(result.value()).as("%s", numbers).isFinite());
                if (finding.curve() != null) {
                    assertThat(finding.curve().lines()).flatExtracting(Curve.Stroke::points).allSatisfy(point -> assertThat(point.y()).isFinite());
                }
            } catch (IllegalArgumentException refused) {
                assertThat(refused).hasMessageMatching("(?s).{12,}");
            }
        }
        assertThat(computed).isGreaterThan(DRAWN / 20);
    }

    @ParameterizedTest
    @MethodSource("all")
    void whatIsMissingOrTooMuchIsNamed(Calculator calculator) {
        for (Input input : calculator.inputs()) {
            Map<String, Double> numbers = new HashMap<>();
            Map<String, String> choices = new HashMap<>();
            usual(calculator, numbers, choices);
            if (input instanceof Input.Quantity quantity) {
                numbers.put(input.id(), quantity.most() + 1);
                assertThatThrownBy(() -> calculator.of(numbers, choices)).isInstanceOfSatisfying(Misfit.class, misfit ->
                        assertThat(misfit.input()).isEqualTo(input.id()));
                if (quantity.usual() != null) {
                    numbers.remove(input.id());
                    assertThatThrownBy(() -> calculator.of(numbers, choices)).hasMessageContaining("misfit.missing");
                }
            } else {
                choices.put(input.id(), "purple");
                assertThatThrownBy(() -> calculator.of(numbers, choices)).hasMessageContaining("misfit.none-of-them").hasMessageContaining("purple");
            }
        }
    }

    /** 1,200 cfm at a rise of 50 °F are 64,800 Btu; at 80 the furnace wants a faster tap, at 30 a slower one. */
    @Test
    void riseSaysTheTap() {
        Finding within = found("temperature-rise", "output", 64_800, "return", 70, "supply", 120);
        assertThat(number(within, "air")).isCloseTo(1200, within(1e-6));
        assertThat(within.good()).isTrue();
        assertThat(says(found("temperature-rise", "return", 70, "supply", 150))).isEqualTo("faster");
        assertThat(says(found("temperature-rise", "return", 70, "supply", 100))).isEqualTo("slower");
        assertThatThrownBy(() -> found("temperature-rise", "return", 70, "supply", 70)).hasMessageContaining("misfit.not-warmer")
                .isInstanceOfSatisfying(Misfit.class, misfit -> assertThat(misfit.input()).isEqualTo("supply"));
    }

    /** 110,000 of 100,000 Btu at 3.5 in: by the square of 10/11 it wants 2.89; a turn would take 79.2 s instead of 72. */
    @Test
    void pressureGoesByTheSquareOfTheInput() {
        Finding over = found("gas-clocked", "seconds", 72 / 1.1, "manifold", 3.5);
        assertThat(says(over)).isEqualTo("over");
        assertThat(number(over, "manifold")).isCloseTo(3.5 * 100 / 121, within(1e-9));
        assertThat(number(over, "seconds")).isCloseTo(72, within(1e-9));
        assertThat(says(found("gas-clocked", "seconds", 75))).as("four percent less").isEqualTo("within");
        assertThat(says(found("gas-clocked", "seconds", 90))).isEqualTo("under");
    }

    /** 60 °F that halve in 40 s are down to 15 after two halves; warming, 22 of 44 °F are there after one. */
    @Test
    void delaysCountHalves() {
        assertThat(number(found("blower-delays", "rise", 60, "half", 40), "off")).isCloseTo(80, within(1e-9));
        assertThat(number(found("blower-delays", "rise", 60, "half", 40, "ducts", "outside"), "off")).isCloseTo(40, within(1e-9));
        assertThat(number(found("blower-delays", "rise", 44, "half", 40), "on")).isCloseTo(40, within(1e-9));
    }

    @Test
    void staticPressureNamesWhatTakesTooMuch() {
        assertThat(number(found("static-pressure", "supply", 0.3, "return", 0.45), "total")).isCloseTo(0.75, within(1e-9));
        assertThat(says(found("static-pressure", "supply", 0.3, "return", 0.45, "filter", 0.3))).isEqualTo("filter");
        assertThat(says(found("static-pressure", "supply", 0.3, "return", 0.45, "coil", 0.3))).isEqualTo("coil");
        assertThat(says(found("static-pressure", "supply", 0.3, "return", 0.45))).isEqualTo("ducts");
        assertThat(found("static-pressure").good()).isTrue();
    }

    /** On the design day the mean is the design water; half the load of radiators is 70 + 100 x 0.5^(1/1.3) = 128.7. */
    @Test
    void resetFollowsTheLine() {
        assertThat(number(found("water-reset", "outdoor", 5, "emitter", "cast-iron"), "supply")).isCloseTo(180, within(1e-9));
        assertThat(number(found("water-reset", "outdoor", 33.5, "emitter", "cast-iron"), "supply")).isCloseTo(138.67, within(0.01));
        assertThat(number(found("water-reset", "outdoor", 50, "boiler", "cast-iron"), "return")).as("stays dry").isCloseTo(130, within(1e-9));
        assertThat(says(found("water-reset", "outdoor", 5))).isEqualTo("hot");
        assertThatThrownBy(() -> found("water-reset", "design", 50, "no-heat", 45)).hasMessageContaining("misfit.reset-order");
    }

    /** 3 gpm through 3/4 in type M (0.811): 0.4085 x 3 / 0.6577 = 1.86 ft/s (0.4085 is the handbook's factor). */
    @Test
    void flowHasItsSpeed() {
        Finding zone = found("water-flow");
        assertThat(number(zone, "flow")).isCloseTo(3, within(1e-9));
        assertThat(number(zone, "speed")).isCloseTo(0.4085 * 3 / (0.811 * 0.811), within(0.001));
        assertThat(says(found("water-flow", "heat", 30_000, "pipe", "one-and-a-quarter"))).isEqualTo("slow");
        assertThat(says(found("water-flow", "heat", 100_000))).isEqualTo("fast");
    }

    /** Each boiler by what it is made of; the least return is never undercut. */
    @Test
    void leastReturnIsThatOfTheBoiler() {
        assertThat(number(found("water-reset", "outdoor", 50, "boiler", "steel"), "return")).isCloseTo(140, within(1e-9));
        assertThat(number(found("water-reset", "outdoor", 50, "boiler", "copper-fin"), "return")).isCloseTo(110, within(1e-9));
        assertThat(number(found("water-reset", "outdoor", 50, "boiler", "condensing"), "return")).isLessThan(110);
    }

    /** 60,000 Btu/h at 20 °F are 6 gpm, 9,000 are 0.9; 9,000 of 16,000 are 56 %. */
    @Test
    void smallestZoneMakesTheBoilerCycle() {
        Finding usual = found("zones-together");
        assertThat(number(usual, "together")).isCloseTo(6, within(0.01));
        assertThat(number(usual, "alone")).isCloseTo(0.9, within(0.01));
        assertThat(number(usual, "share")).isCloseTo(56.25, within(1e-9));
        assertThat(says(usual)).isEqualTo("cycles");
        assertThat(says(found("zones-together", "smallest", 20_000))).isEqualTo("within");
        assertThat(says(found("zones-together", "smallest", 20_000, "pump", 5))).isEqualTo("pump");
        assertThatThrownBy(() -> found("zones-together", "smallest", 70_000)).hasMessageContaining("misfit.more-than-all-zones");
    }

    /** 24,000 Btu/h at 5 °F and none at 62 °F: at 43 °F a third, 8,000; at 55 °F 2,947; at 5 °F all. */
    @Test
    void stoveGoesOutBetweenInSpringAndStaysInWinter() {
        assertThat(number(found("stove-mode", "outdoor", 43), "need")).isCloseTo(8_000, within(1e-6));
        assertThat(says(found("stove-mode", "outdoor", 43))).isEqualTo("high-low");
        assertThat(says(found("stove-mode", "outdoor", 55))).isEqualTo("automatic");
        assertThat(says(found("stove-mode", "outdoor", 5))).isEqualTo("always");
        assertThat(number(found("stove-mode", "outdoor", 65), "need")).isZero();
        assertThatThrownBy(() -> found("stove-mode", "design", 50, "no-heat", 47)).hasMessageContaining("misfit.not-below-no-heat");
    }

    /** 0.9 lb in 20 min are 2.7 lb/h; of 8,200 Btu three quarters are 16,605 Btu/h; a bag of 40 lb lasts 14.8 h. */
    @Test
    void feedIsWeighed() {
        Finding stove = found("pellet-heat");
        assertThat(number(stove, "heat")).isCloseTo(16_605, within(1e-6));
        assertThat(number(stove, "bag")).isCloseTo(14.815, within(0.001));
        assertThat(says(found("pellet-heat", "need", 24_000))).isEqualTo("more");
        assertThat(says(found("pellet-heat", "need", 8_000))).isEqualTo("less");
    }

    /**
     * One pane at 0 °F outdoors: 70 - 0.68 x 70 = 22.4 °F within; over ice 0.0573 psi against 0.3633 at 70 °F (ASHRAE table of saturation, from memory): 15.8 %. Better
     * panes bear more, colder days less.
     */
    /** Saturation at 60, 65 and 75 °F: 0.2563, 0.3057, 0.4300 psi (ASHRAE Fundamentals, saturated water). */
    @Test
    void roomIsDriedByDewPointAndByItsColdestFace() {
        assertThat(number(found("damp-limit", "room", 75), "limit")).isCloseTo(100 * 0.2563 / 0.4300, within(0.1));
        assertThat(number(found("damp-limit", "room", 75, "face", 65), "limit")).isCloseTo(80 * 0.3057 / 0.4300, within(0.1));
        assertThat(number(found("damp-limit", "room", 68), "limit")).as("never above").isEqualTo(60);
        assertThat(says(found("damp-limit", "room", 75, "face", 60))).isEqualTo("all-day");
        assertThatThrownBy(() -> found("damp-limit", "room", 70, "face", 72)).hasMessageContaining("misfit.warmer-than-room");
    }

    @Test
    void panesSayTheHumidity() {
        Finding single = found("humidity-limit", "outdoor", 0, "glazing", "single");
        assertThat(number(single, "pane")).isCloseTo(22.4, within(1e-9));
        assertThat(number(single, "limit")).isCloseTo(100 * 0.0573 / 0.3633, within(0.3));
        double before = 0;
        for (String glazing : List.of("single", "two", "two-coated", "three")) {
            double limit = number(found("humidity-limit", "outdoor", 10, "glazing", glazing), "limit");
            assertThat(limit).isGreaterThanOrEqualTo(before).isGreaterThan(number(found("humidity-limit", "outdoor", -10, "glazing", glazing), "limit") - 1e-9);
            before = limit;
        }
        assertThat(says(found("humidity-limit", "outdoor", 0, "glazing", "single", "humidity", 40))).isEqualTo("wet");
        assertThatThrownBy(() -> found("humidity-limit", "outdoor", 65, "room", 60)).hasMessageContaining("misfit.not-colder");
    }

    @Test
    void dampColdWantsTheShortestInterval() {
        assertThat(number(found("frost-interval", "outdoor", 35, "humidity", 90), "set")).isEqualTo(30);
        assertThat(number(found("frost-interval", "outdoor", 10, "humidity", 75), "set")).isEqualTo(90);
        assertThat(says(found("frost-interval", "outdoor", 50))).as("the coil is above freezing").isEqualTo("none");
    }

    /** 10 VA at 24 V are 0.417 A; 100 ft of 18 AWG there and back are 1.554 ohms: 0.65 V. 40 VA want a fuse of 2 A. */
    @Test
    void cableDropsWhatItCarries() {
        Finding circuit = found("control-circuit", "feet", 100);
        assertThat(number(circuit, "drop")).isCloseTo(10 / 24.0 * 2 * 100 / 1000 * 7.77, within(1e-9));
        assertThat(number(circuit, "fuse")).isEqualTo(2);
        assertThat(says(found("control-circuit", "load", 55))).isEqualTo("overloaded");
        assertThat(says(found("control-circuit", "feet", 900, "gauge", "22"))).isEqualTo("drop");
        assertThatThrownBy(() -> found("control-circuit", "load", 5)).hasMessageContaining("misfit.more-than-all");
    }

    /** 2,652 x 4.5 A / 340 V = 35.1 µF. */
    @Test
    void capacitorIsMeasuredUnderLoad() {
        assertThat(number(found("run-capacitor"), "microfarads")).isCloseTo(2652 * 4.5 / 340, within(0.02));
        assertThat(says(found("run-capacitor", "amps", 3.6))).isEqualTo("weak");
        assertThat(says(found("run-capacitor", "amps", 6))).isEqualTo("over");
    }

    /** The worked example of NEMA MG 1, 14.36.2 (from memory): 460, 467, 450 V have a mean of 459, 9 V off: 1.96 %. */
    @Test
    void unbalanceIsTheLargestDistanceFromTheMean() {
        Finding example = found("phase-unbalance", "ab", 460, "bc", 467, "ca", 450);
        assertThat(number(example, "mean")).isCloseTo(459, within(1e-9));
        assertThat(number(example, "unbalance")).isCloseTo(100 * 9 / 459.0, within(1e-9));
        assertThat(says(example)).isEqualTo("derate");
        assertThat(says(found("phase-unbalance", "ab", 230, "bc", 230, "ca", 200))).isEqualTo("off");
    }

    /** 48,000 Btu over 57 degrees are 842 a degree: 40,000 carry it 47.5 degrees down from 62, to 14.5 °F. */
    @Test
    void lowStageCarriesTheHouseDownTo() {
        assertThat(number(found("two-stage"), "until")).isCloseTo(14.5, within(1e-9));
        assertThat(says(found("two-stage", "load", 35_000))).isEqualTo("never");
        assertThat(says(found("two-stage", "load", 80_000))).isEqualTo("short");
        assertThatThrownBy(() -> found("two-stage", "low", 60_000)).hasMessageContaining("misfit.low-not-less");
    }

    @Test
    void turnsMakeASmallCurrentLarge() {
        assertThat(number(found("thermostat-pace"), "anticipator")).isCloseTo(0.41, within(1e-9));
        assertThat(number(found("thermostat-pace", "system", "steam"), "on")).isEqualTo(30);
    }

    /**
     * 53 out of 54 and 75 °F: wide open, 10 V. 70 measured between them are 5/21 of outdoor air. 54 °F and 60 % has a wet bulb of some 47 on the handbook's chart (from
     * memory). At 92 °F it is shut to its least: 2 + 8 x 0.2 V.
     */
    @Test
    void economizerSaysWhatItShouldDoAndWhatThreeThermometersSay() {
        Finding cool = found("economizer", "mixed", 70);
        assertThat(says(cool)).isEqualTo("free");
        assertThat(number(cool, "signal")).isEqualTo(10);
        assertThat(number(cool, "measured")).isCloseTo(100 * 5 / 21.0, within(1e-9));
        assertThat(number(cool, "wet-bulb")).isBetween(46.5, 48.0);
        assertThat(cool.curve()).isNotNull().satisfies(chart -> assertThat(chart.lines()).filteredOn(line -> line.look() == Curve.Look.ALL_BELOW).singleElement()
                .satisfies(border -> assertThat(border.points()).last().extracting(Curve.Point::x).as("75 °F in zone 5B").asInstanceOf(InstanceOfAssertFactories.DOUBLE)
                        .isCloseTo(75, within(1.01))));
        Finding hot = found("economizer", "outdoor", 92);
        assertThat(says(hot)).isEqualTo("not-free");
        assertThat(number(hot, "signal")).isCloseTo(3.6, within(1e-9));
        assertThatThrownBy(() -> found("economizer", "outdoor", 74, "mixed", 74)).hasMessageContaining("misfit.no-mixture");
    }

    /** In a damp climate temperatures alone let damp air in (ASHRAE 90.1, from memory). */
    @Test
    void comparisonThatEnergyCodesDoNotAllowStops() {
        assertThat(found("economizer", "zone", "4A", "changeover", "differential-dry-bulb").stops()).extracting(CalculatorsTest::key).containsExactly("tuning.economizer.stop-codes");
        assertThat(found("economizer", "zone", "4A", "changeover", "differential-enthalpy").stops()).isEmpty();
        assertThat(found("economizer", "zone", "5B", "changeover", "differential-dry-bulb").stops()).isEmpty();
    }

    /** Whoever types metric numbers finds what somebody with those of the trade finds. */
    @Test
    void metricNumbersGiveTheSame() {
        for (Calculator calculator : Calculators.all()) {
            Map<String, Double> us = new LinkedHashMap<>();
            Map<String, Double> metric = new LinkedHashMap<>();
            Map<String, String> choices = new LinkedHashMap<>();
            for (Input input : calculator.inputs()) {
                if (input instanceof Input.Choice choice) {
                    choices.put(choice.id(), choice.options().get(0));
                } else if (input instanceof Input.Quantity quantity && quantity.usual() != null) {
                    us.put(quantity.id(), quantity.usual());
                    metric.put(quantity.id(), quantity.unit().shown(Measures.METRIC, quantity.usual()));
                }
            }
            Finding theirs = calculator.of(metric, choices, Measures.METRIC);
            assertThat(theirs.says()).as(calculator.id()).isInstanceOf(Message.Keyed.class);
            assertThat(theirs.results()).as(calculator.id()).usingRecursiveComparison().withComparatorForType((a, b) -> Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(b)) ? 0 : 1, Double.class)
                    .isEqualTo(calculator.of(us, choices).results());
        }
    }
}
