package bricksignal.core.costing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Worked by hand: labour 2 a minute, a trip 100, the counter half dearer and two hours away. */
class WaysOutTest {

    private static final Policy POLICY = new Policy(2, 100, 10, 500, Set.of(), School.STRICT);
    private static final Rates RATES = new Rates("SKD", 0.5, 2, 48, 0.1, 30, 2, 3000, 96, 20, 100, 0.05, 10, 250, new Ageing(1, 10));

    private static Part part(String id, Part.Kind kind, double price, boolean stocked) {
        return new Part(id, id, kind, price, 20, stocked, List.of(), kind == Part.Kind.BOARD ? "board" : "", 2);
    }

    private static Situation of(Part part, double probability, List<Situation.Untested> untested, boolean twin) {
        return new Situation(POLICY, RATES, List.of(part), probability, untested, 200, 0, 5, twin);
    }

    private static Way way(List<Way> ways, Way.Source source) {
        return ways.stream().filter(w -> w.source() == source && w.what() != Way.What.UNIT).findFirst().orElseThrow();
    }

    @Test
    void partFromTheVanByHand() {
        Way van = way(WaysOut.of(of(part("igniter", Part.Kind.PART, 40, true), 0.98, List.of(), false)), Way.Source.VAN);
        double next = 1 - Math.exp(-0.2);
        assertThat(van.expected()).isCloseTo(40 + 30 * 2 + 0.02 * 500 + next * 200, within(1e-9));
        assertThat(van.quoted()).isEqualTo(100);
        assertThat(van.hours()).isEqualTo(0.5);
        assertThat(van.spread()).isCloseTo(Math.sqrt(Math.pow(0.35 * 60, 2) + 0.02 * 0.98 * 500 * 500 + next * (1 - next) * 200 * 200), within(1e-9));
        assertThat(van.what()).isEqualTo(Way.What.PART);
    }

    @Test
    void counterSecondTripAndTwinByHand() {
        List<Way> ways = WaysOut.of(of(part("board", Part.Kind.BOARD, 260, false), 1, List.of(), true));
        Way counter = way(ways, Way.Source.COUNTER);
        assertThat(counter.quoted()).isEqualTo(260 + 60 + 130 + 240);
        assertThat(counter.hours()).isEqualTo(2.5);
        assertThat(way(ways, Way.Source.SECOND_TRIP).quoted()).isEqualTo(260 + 60 + 100);
        assertThat(way(ways, Way.Source.SECOND_TRIP).hours()).isEqualTo(48.5);
        assertThat(way(ways, Way.Source.TWIN).quoted()).as("put in twice").isEqualTo(260 + 60 + 100 + 60);
        assertThat(way(ways, Way.Source.TWIN).hours()).isEqualTo(0.5);
        assertThat(ways).as("it is not on the van").noneMatch(w -> w.source() == Way.Source.VAN);
        assertThat(ways).extracting(Way::expected).isSorted();
    }

    @Test
    void whatNeverGotPowerIsCountedWithItsSecondTrip() {
        Part blower = part("blower", Part.Kind.PART, 300, false);
        Situation with = of(part("board", Part.Kind.BOARD, 260, true), 1, List.of(new Situation.Untested(blower, 0.1)), false);
        Situation without = of(part("board", Part.Kind.BOARD, 260, true), 1, List.of(), false);
        assertThat(way(WaysOut.of(with), Way.Source.VAN).expected() - way(WaysOut.of(without), Way.Source.VAN).expected())
                .isCloseTo(0.1 * (300 + 60 + 100), within(1e-9));
        assertThat(way(WaysOut.of(with), Way.Source.VAN).quoted()).isEqualTo(way(WaysOut.of(without), Way.Source.VAN).quoted());
    }

    @Test
    void plugIsPutRightWithNothingBought() {
        List<Way> ways = WaysOut.of(of(part("plug", Part.Kind.WIRING, 5, true), 1, List.of(), true));
        assertThat(ways).extracting(Way::what).containsExactlyInAnyOrder(Way.What.REPAIR, Way.What.UNIT);
    }

    /** Two payments of 60 at 10 %: 54.55 + 49.59. */
    @Test
    void presentCostOfWhatComesLater() {
        assertThat(KeepOrReplace.present(60, 0.1, 1) + KeepOrReplace.present(60, 0.1, 2)).isCloseTo(104.132, within(1e-3));
        Rates twoYears = new Rates("SKD", 0, 0, 0, 0, 30, 0, 1000, 0, 20, 0, 0.1, 2, 250, new Ageing(1, 1));
        assertThat(KeepOrReplace.faults(twoYears, 60, 7)).as("a fault a year").isCloseTo(104.132, within(1e-3));
    }

    @Test
    void atTheBreakEvenAgeBothCostTheSame() {
        Rates old = new Rates("SKD", 0, 0, 0, 0, 30, 0, 2500, 0, 20, 100, 0.04, 10, 250, new Ageing(2, 8));
        KeepOrReplace first = KeepOrReplace.of(old, 400, 350, 3);
        assertThat(first.keep()).isLessThan(first.replace());
        KeepOrReplace there = KeepOrReplace.of(old, 400, 350, first.breakEvenAge());
        assertThat(there.keep()).isCloseTo(there.replace(), within(1e-6));
        assertThat(KeepOrReplace.of(old, 400, 350, 30).keep()).isGreaterThan(first.replace());
        assertThat(first.byAge()).extracting(KeepOrReplace.AtAge::keep).isSorted();
    }

    @Test
    void unitThatIsNeverWorthReplacingHasNoBreakEvenAge() {
        Rates dear = new Rates("SKD", 0, 0, 0, 0, 30, 0, 1e6, 0, 20, 0, 0.04, 10, 250, new Ageing(1, 20));
        assertThat(Optional.of(KeepOrReplace.of(dear, 10, 10, 20).breakEvenAge())).hasValueSatisfying(age -> assertThat(age).isNaN());
    }

    @Test
    void figuresThatMakeNoSenseAreRefused() {
        assertThatThrownBy(() -> of(part("x", Part.Kind.PART, 1, true), 1.2, List.of(), false)).hasMessageContaining("1.2");
        assertThatThrownBy(() -> new Situation(POLICY, RATES, List.of(), 1, List.of(), 1, 0, -3, false)).hasMessageContaining("-3");
        assertThatThrownBy(() -> new Rates("SKD", -0.1, 2, 48, 0.1, 30, 2, 3000, 96, 20, 100, 0.05, 10, 250, new Ageing(1, 10))).hasMessageContaining("counterMarkup");
        assertThatThrownBy(() -> new Rates(" ", 0.1, 2, 48, 0.1, 30, 2, 3000, 96, 20, 100, 0.05, 10, 250, new Ageing(1, 10))).hasMessageContaining("rate.sign");
    }
}
