package bricksignal.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class IsolationTest {

    private static final Control BUILDING = new Control("relay board", "24V", "GND", 40, 8, List.of(new Control.Terminal("DO1", Function.COOL, 0),
            new Control.Terminal("DO2", Function.FAN, 0), new Control.Terminal("DO3", Function.HEAT, 0)));
    private static final Control ROOF = new Control("rooftop", "R", "C", 75, 20, List.of(new Control.Terminal("Y1", Function.COOL, 12),
            new Control.Terminal("G", Function.FAN, 6), new Control.Terminal("W1", Function.HEAT, 10), new Control.Terminal("Y2", Function.COOL_SECOND, 12)));

    private static Control drawn(String label, Random random, boolean outputs) {
        List<Function> functions = new ArrayList<>(List.of(Function.values()));
        Collections.shuffle(functions, random);
        List<Control.Terminal> terminals = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(functions.size()); i++) {
            terminals.add(new Control.Terminal("T" + (i + 1), functions.get(i), outputs ? 0 : 2 + 10 * random.nextDouble()));
        }
        return new Control(label, random.nextBoolean() ? "R" : "24V", random.nextBoolean() ? "C" : "GND", 20 + 80 * random.nextDouble(),
                10 * random.nextDouble(), terminals);
    }

    /** Two hundred pairs of controls: no plan crosses; and a conductor that is landed on the other supply is found and named, wherever it is. */
    @Test
    void noPlanCrossesAndEveryPlantedCrossingIsFound() {
        Random random = new Random(17);
        int planted = 0;
        for (int pair = 0; pair < 200; pair++) {
            Control building = drawn("relay board", random, true);
            Control unit = drawn("rooftop", random, false);
            IsolationPlan plan = IsolationPlan.of(building, unit, 1.5, new Cable(50, 18));
            assertThat(Isolation.crossings(plan)).isEmpty();
            if (plan.wires().isEmpty()) {
                continue;
            }
            Wire wire = plan.wires().get(random.nextInt(plan.wires().size()));
            Control other = wire.supply() == Wire.Side.BUILDING ? unit : building;
            Wire astray = wire.landing(IsolationPlan.at(other, random.nextBoolean() ? other.hot() : other.common()));
            assertThat(Isolation.crossings(plan.with(astray, wire))).as(astray.toString()).containsExactly(astray);
            planted++;
        }
        assertThat(planted).isGreaterThan(150);
    }

    @Test
    void eachFunctionHasItsRelayAndItsFourConductors() {
        IsolationPlan plan = IsolationPlan.of(BUILDING, ROOF, 2, new Cable(100, 18));
        assertThat(plan.relays()).extracting(IsolationPlan.Relay::input).containsExactly("Y1", "G", "W1");
        assertThat(plan.wires()).hasSize(12);
        assertThat(plan.wires()).contains(new Wire("relay board DO1", "K1 A1", Wire.Side.BUILDING, "yellow"),
                new Wire("rooftop R", "K1 11", Wire.Side.UNIT, "red"), new Wire("K3 14", "rooftop W1", Wire.Side.UNIT, "white"));
        assertThat(plan.alone()).containsExactly(new IsolationPlan.Alone(Wire.Side.UNIT, Function.COOL_SECOND, "Y2"));
    }

    /** By hand: 8 + 3 x 2 VA on 40; 20 + 12 + 6 + 10 on 75; 167 % of 1.67 A and of 3.1 A, at most 4.2 A: fuses of 2 and 4 A. */
    @Test
    void eachTransformerCarriesWhatHangsOnItWithEverythingCalled() {
        IsolationPlan plan = IsolationPlan.of(BUILDING, ROOF, 2, new Cable(100, 18));
        assertThat(plan.loads()).containsExactly(new IsolationPlan.Load(Wire.Side.BUILDING, 14, 40, true, true, 2),
                new IsolationPlan.Load(Wire.Side.UNIT, 48, 75, true, true, 4));
        Control small = new Control("relay board", "24V", "GND", 10, 8, BUILDING.terminals());
        assertThat(IsolationPlan.of(small, ROOF, 2, new Cable(100, 18)).loads().get(0)).isEqualTo(new IsolationPlan.Load(Wire.Side.BUILDING, 14, 10,
                false, true, 0));
    }

    /** 100 ft of 18 AWG there and back is 1.554 ohms (NFPA 70 chapter 9 table 8: 7.77 a thousand feet, from memory). */
    @Test
    void longThinCableLeavesTheCoilTooLittle() {
        assertThat(new Cable(100, 18).loopOhms()).isCloseTo(1.554, within(1e-9));
        IsolationPlan plan = IsolationPlan.of(BUILDING, ROOF, 2, new Cable(100, 18));
        assertThat(plan.coilVolts()).isCloseTo(24 - 0.25 * 1.554, within(1e-9));
        assertThat(plan.pullsIn()).isTrue();
        assertThat(IsolationPlan.of(BUILDING, ROOF, 6, new Cable(500, 22)).pullsIn()).isFalse();
        assertThatThrownBy(() -> new Cable(10, 17)).hasMessageContaining("17").hasMessageContaining("18");
    }

    @Test
    void terminalsThatCannotBeToldApartAreRefused() {
        assertThatThrownBy(() -> new Control("relay board", "R", "R", 40, 0, List.of())).hasMessageContaining("one name");
        assertThatThrownBy(() -> new Control("relay board", "R", "C", 40, 0, List.of(new Control.Terminal("Y", Function.COOL, 0),
                new Control.Terminal("Y2", Function.COOL, 0)))).hasMessageContaining("the same");
        assertThatThrownBy(() -> new Control("relay board", "R", "C", 0, 0, List.of())).hasMessageContaining("0.0 VA");
    }
}
