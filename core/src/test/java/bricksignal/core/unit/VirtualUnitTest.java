package bricksignal.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.Effect;
import bricksignal.core.board.ExprParser;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.words.Message;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What a meter shows at the small board, worked by hand with Ohm's law: 24 V behind 0.5 ohm and a breaker of 0.01; logic 400, input 4,000, coil 40 ohm.
 * At rest 24 x 400 / 400.51 = 23.969 V; called, 400, 4,000.02 and 40.05 ohm in parallel are 36.077, so 24 x 36.077 / 36.587 = 23.665 V.
 */
class VirtualUnitTest {

    private static final UnitModel MODEL = BoardUnit.model();

    private static VirtualUnit good() {
        return VirtualUnit.of(MODEL, MODEL.machine());
    }

    private static VirtualUnit with(String element, Effect.Mode mode, double value) {
        return VirtualUnit.of(MODEL, new Effect.OnElement(element, mode, value).apply(MODEL.machine()));
    }

    private static bricksignal.core.unit.Test.Reading reading(MeterMode mode, Place place, Setup setup) {
        return new bricksignal.core.unit.Test.Reading("r", Message.said("r"), mode, place, BoardUnit.CALLING, setup, 0, 0);
    }

    private static double volts(VirtualUnit unit, String net, double at) {
        return unit.read(reading(MeterMode.AC_VOLTS, new Place.Across("C", net), Setup.AS_IT_IS), "usual", at).value();
    }

    @ParameterizedTest
    @CsvSource({"5, R, 23.969", "5, W, 0", "5, OUT, 0", "30, R, 23.665", "30, W, 23.665", "30, OUT, 23.648", "30, hot, 23.636", "110, R, 0", "110, hot, 0"})
    void voltsAreThoseOfOhmsLaw(double at, String net, double due) {
        assertThat(volts(good(), net, at)).isCloseTo(due, within(0.002));
    }

    /** A contact of 40 ohm before a coil of 40: branches of 400, 4,000 and 80.03 are 65.6 ohm, R has 23.815 V, the coil 40 parts of 80.03; of 4 ohm: 39.27 ohm, 23.692 V. */
    @ParameterizedTest
    @CsvSource({"OPEN, 0, 0", "RESISTIVE, 40, 11.903", "RESISTIVE, 4, 21.524"})
    void badContactTakesItsShare(Effect.Mode mode, double ohms, double due) {
        assertThat(volts(with("pin", mode, ohms), "hot", 30)).isCloseTo(due, within(0.02));
        assertThat(volts(with("pin", mode, ohms), "OUT", 30)).as("before it nothing is missing").isGreaterThan(23.6);
    }

    /** Behind R at rest lie 0.51 ohm beside 400. */
    @Test
    void impedanceBehindTheProbesIsThatOfTheCircuit() {
        VirtualUnit.Shown shown = good().read(reading(MeterMode.AC_VOLTS, new Place.Across("C", "R"), Setup.AS_IT_IS), "usual", 5);
        assertThat(shown.sourceOhms()).isCloseTo(0.51 * 400 / 400.51, within(1e-4));
    }

    @Test
    void clampReadsTheCurrentOfItsConductor() {
        VirtualUnit.Shown shown = good().read(reading(MeterMode.CLAMP_AMPS, new Place.Through("pin"), Setup.AS_IT_IS), "usual", 30);
        assertThat(shown.value()).as("23.665 V through 40.05 ohm").isCloseTo(0.5909, within(1e-3));
    }

    @Test
    void coilIsMeasuredWithItsPlugOffAndThePowerAway() {
        Setup off = new Setup(true, List.of("P"));
        assertThat(good().read(reading(MeterMode.OHMS, new Place.Across("C", "hot"), off), "usual", 110).value()).isCloseTo(40, within(0.01));
        assertThat(with("coil", Effect.Mode.OPEN, 0).read(reading(MeterMode.OHMS, new Place.Across("C", "hot"), off), "usual", 110).value()).isInfinite();
        assertThat(with("coil", Effect.Mode.SHORTED, 1).read(reading(MeterMode.OHMS, new Place.Across("C", "hot"), off), "usual", 110).value()).isCloseTo(1, within(0.01));
    }

    @Test
    void pluggedOffItIsDeadBehindThePlug() {
        assertThat(good().read(reading(MeterMode.AC_VOLTS, new Place.Across("C", "hot"), new Setup(false, List.of("P"))), "usual", 30).value()).isZero();
        assertThat(good().read(reading(MeterMode.AC_VOLTS, new Place.Across("C", "OUT"), new Setup(false, List.of("P"))), "usual", 30).value()).isGreaterThan(23.6);
    }

    /** Called at 10 s, power off at 90 s: of a minute from 5 s on the coil is fed 55 s. */
    @Test
    void shareIsThatOfTheTime() {
        assertThat(good().share(ExprParser.parse("amps.coil > 0.1"), "usual", 5, 60)).isCloseTo(55 / 60.0, within(1e-6));
        assertThat(good().share(ExprParser.parse("amps.coil > 0.1"), "usual", 5, 0)).isZero();
        assertThat(good().holds(ExprParser.parse("amps.coil > 0.1"), "usual", 30)).isTrue();
    }

    @Test
    void momentInAStretchComesWhenTheUnitComesToIt() {
        Moment on = new Moment("on", "on", "usual", ExprParser.parse("state.run.on"), 5, 0, Moment.Role.OTHER);
        assertThat(good().secondsOf(on)).isCloseTo(15, within(0.01));
        assertThat(good().comesTo(on)).hasValueSatisfying(at -> assertThat(at).isCloseTo(15, within(0.01)));
        assertThat(with("wire", Effect.Mode.OPEN, 0).comesTo(on)).as("nobody tells it").isEmpty();
        assertThatThrownBy(() -> with("wire", Effect.Mode.OPEN, 0).secondsOf(on)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("never comes");
        Moment late = new Moment("late", "late", "usual", ExprParser.parse("state.run.on"), 500, 0, Moment.Role.OTHER);
        assertThatThrownBy(() -> good().secondsOf(late)).hasMessageContaining("lasts only");
    }

    @Test
    void unitInGoodOrderFindsRest() {
        assertThat(good().settles("usual")).isTrue();
        assertThat(good().usualRun().scenario().id()).isEqualTo("usual");
    }
}
