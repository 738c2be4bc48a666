package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** What runs goes on running: who measures at a unit that runs waits for it once. */
class StandTest {

    private static final CompiledPack HEAT_PUMP = PackLibrary.ready("f10-heatpump");
    private static final CompiledPack FURNACE = PackLibrary.ready("f1-furnace");

    /** What a test takes after others were made. */
    private static double minutes(CompiledPack pack, String test, String... before) {
        Stand stand = Arrays.stream(before).map(pack.catalogue()::test).reduce(Stand.AS_FOUND, Stand::after, (a, b) -> b);
        return TestCost.minutes(pack, pack.catalogue().test(test), stand);
    }

    @Test
    void secondReadingOfTheSameRunWaitsForNothing() {
        double wait = HEAT_PUMP.catalogue().waitingMinutes("run");
        assertThat(wait).as("the compressor's delay and three minutes").isBetween(5.0, 12.0);
        double anew = minutes(HEAT_PUMP, "v.cc-in.run");
        assertThat(minutes(HEAT_PUMP, "v.cc-in.run", "v.fan-hot.run")).isCloseTo(anew - wait, within(1e-9));
        assertThat(minutes(HEAT_PUMP, "v.cc-in.run", "v.fan-hot.run", "told.hum")).as("a question stops nothing").isCloseTo(anew - wait, within(1e-9));
        assertThat(minutes(HEAT_PUMP, "v.cc-in.run", "v.fan-hot.run", "ohms-cc")).as("the power was off").isGreaterThanOrEqualTo(anew);
        assertThat(minutes(HEAT_PUMP, "v.cc-in.run", "v.fan-hot.run", "reseat-PF")).as("a plug was pulled").isCloseTo(anew, within(1e-9));
    }

    @Test
    void laterMomentOfTheSameRunWaitsForWhatIsLeft() {
        double left = (HEAT_PUMP.catalogue().seconds("late") - HEAT_PUMP.catalogue().seconds("run")) / 60;
        double anew = minutes(HEAT_PUMP, "v.DFT.late");
        assertThat(minutes(HEAT_PUMP, "v.DFT.late", "v.fan-hot.run")).isCloseTo(anew - HEAT_PUMP.catalogue().waitingMinutes("late") + left, within(1e-9)).isLessThan(anew);
        assertThat(minutes(HEAT_PUMP, "v.fan-hot.run", "v.DFT.late")).as("an earlier one wants a new call").isCloseTo(minutes(HEAT_PUMP, "v.fan-hot.run"), within(1e-9));
    }

    @Test
    void momentThatIsOverAtOnceIsWaitedForAnew() {
        assertThat(FURNACE.catalogue().lastsSeconds("warm-up")).as("an igniter warms for some seconds").isLessThan(60);
        assertThat(minutes(FURNACE, "v.HSI.warm-up", "v.HSI.warm-up")).isCloseTo(minutes(FURNACE, "v.HSI.warm-up"), within(1e-9));
    }
}
