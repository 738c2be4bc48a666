package bricksignal.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Against counting out every load, and by hand. */
class LoadTest {

    private static final Demand OFTEN = new Demand(2, 1);

    private static Load.Item item(double missing, double carrying, double litres) {
        return new Load.Item(new Carry(OFTEN, 1, missing, carrying), litres);
    }

    /** Wanted once or more in three of four weeks: the first piece of the one saves 0.75 x 40 - 0.25 x 4 = 29, of the other 0.75 x 60 - 0.25 x 4 = 44. */
    @Test
    void whatSavesMostForItsRoomGoesFirst() {
        Load.Item small = item(40, 4, 2);
        Load.Item large = item(60, 4, 10);
        assertThat(small.carry().saved(1)).isEqualTo(29);
        assertThat(large.carry().saved(1)).isEqualTo(44);
        assertThat(Load.of(List.of(small, large), 2)).containsExactly(1, 0);
        assertThat(Load.of(List.of(small, large), 11)).as("14.5 a litre against 4.4: first as many of the small one as pay more for their room").satisfies(counts ->
                assertThat(counts.get(0)).isGreaterThan(1));
        assertThat(Load.of(List.of(small, large), 0)).containsExactly(0, 0);
        assertThat(Load.of(List.of(), 100)).isEmpty();
    }

    @Test
    void withRoomEnoughEachIsTheNewsvendorsNumber() {
        Random random = new Random(5);
        List<Load.Item> items = IntStream.range(0, 30).mapToObj(i -> drawn(random)).toList();
        assertThat(Load.of(items, 1e9)).isEqualTo(items.stream().map(item -> item.carry().best()).toList());
    }

    /** Every load of three parts counted out: what goes on the van saves as much as the best one does, but for less than one piece. */
    @Test
    void noOtherLoadThatFitsSavesMuchMore() {
        Random random = new Random(7);
        for (int round = 0; round < 60; round++) {
            List<Load.Item> items = List.of(drawn(random), drawn(random), drawn(random));
            double litres = 2 + 30 * random.nextDouble();
            List<Integer> load = Load.of(items, litres);
            assertThat(room(items, load)).isLessThanOrEqualTo(litres);
            double best = 0;
            for (int a = 0; a <= 15; a++) {
                for (int b = 0; b <= 15; b++) {
                    for (int c = 0; c <= 15; c++) {
                        List<Integer> other = List.of(a, b, c);
                        best = room(items, other) <= litres ? Math.max(best, saved(items, other)) : best;
                    }
                }
            }
            double piece = items.stream().mapToDouble(item -> item.carry().saved(1)).max().orElseThrow();
            assertThat(saved(items, load)).as("%s in %s litres", items, litres).isGreaterThan(best - piece).isLessThanOrEqualTo(best + 1e-9);
        }
    }

    @Test
    void moreRoomNeverCarriesLess() {
        Random random = new Random(11);
        List<Load.Item> items = IntStream.range(0, 20).mapToObj(i -> drawn(random)).toList();
        double before = 0;
        for (double litres = 0; litres < 200; litres += 10) {
            double saved = saved(items, Load.of(items, litres));
            assertThat(saved).isGreaterThanOrEqualTo(before - 1e-9);
            before = saved;
        }
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThatThrownBy(() -> item(10, 1, -1)).hasMessageContaining("-1");
        assertThatThrownBy(() -> Load.of(List.of(), Double.NaN)).hasMessageContaining("NaN");
    }

    private static Load.Item drawn(Random random) {
        return new Load.Item(new Carry(new Demand(0.1 + 3 * random.nextDouble(), 1), 1, 10 + 100 * random.nextDouble(), 1 + 20 * random.nextDouble()),
                0.5 + 8 * random.nextDouble());
    }

    private static double room(List<Load.Item> items, List<Integer> load) {
        return IntStream.range(0, items.size()).mapToDouble(i -> items.get(i).litres() * load.get(i)).sum();
    }

    private static double saved(List<Load.Item> items, List<Integer> load) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            for (int piece = 1; piece <= load.get(i); piece++) {
                all.add(items.get(i).carry().saved(piece));
            }
        }
        return all.stream().mapToDouble(Double::doubleValue).sum();
    }
}
