package bricksignal.core.circuit.solve;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** Kirchhoff's current law holds at every net of any network, open contacts and floating nets included. */
class KirchhoffPropertyTest {

    @Property(tries = 300)
    void currentsAtEveryNetSumToTheLeak(@ForAll long seed, @ForAll @IntRange(min = 3, max = 24) int nets) {
        Circuit circuit = random(seed, nets);
        Solution solution = Solution.of(circuit);
        Map<String, Phasor> sums = new LinkedHashMap<>();
        for (Element element : circuit.elements()) {
            Phasor i = solution.amps(element.id());
            if (element instanceof Element.Transformer t) {
                add(sums, t.s1(), i, 1);
                add(sums, t.s2(), i, -1);
                add(sums, t.p1(), i, -1 / t.ratio());
                add(sums, t.p2(), i, 1 / t.ratio());
            } else {
                add(sums, element.nets().get(0), i, 1);
                add(sums, element.nets().get(1), i, -1);
            }
        }
        sums.forEach((net, sum) -> {
            if (!net.equals(circuit.reference())) {
                Phasor leak = solution.volts(net).times(new Phasor(Network.LEAK_SIEMENS, 0));
                assertThat(sum.plus(leak).magnitude()).as("residual at %s", net).isLessThan(1e-9);
            }
        });
    }

    @Property(tries = 300)
    void voltagesAreNeverNaN(@ForAll long seed, @ForAll @IntRange(min = 3, max = 24) int nets) {
        Circuit circuit = random(seed, nets);
        Solution solution = Solution.of(circuit);
        assertThat(circuit.nets()).allSatisfy(net -> assertThat(solution.volts(net).magnitude()).isFinite());
        assertThat(circuit.nets()).allSatisfy(net -> assertThat(solution.directVolts(net, circuit.reference())).isFinite());
    }

    private static void add(Map<String, Phasor> sums, String net, Phasor current, double weight) {
        sums.merge(net, current.times(new Phasor(weight, 0)), Phasor::plus);
    }

    private static Circuit random(long seed, int nets) {
        Random random = new Random(seed);
        List<Element> elements = new ArrayList<>();
        elements.add(new Element.Source("line", "n1", "n0", 120, 0, 0.2));
        elements.add(new Element.Transformer("t", "n1", "n0", "n2", "n0", 1 + 9 * random.nextDouble(), 0.5, 9, false));
        for (int i = 0; i < nets * 2; i++) {
            String a = "n" + random.nextInt(nets);
            String b = "n" + random.nextInt(nets);
            if (!a.equals(b)) {
                elements.add(element("e" + i, a, b, random));
            }
        }
        return new Circuit("n0", 60, elements);
    }

    private static Element element(String id, String a, String b, Random random) {
        double size = Math.pow(10, 4 * random.nextDouble());
        return switch (random.nextInt(4)) {
            case 0 -> new Element.Load(id, a, b, size, random.nextBoolean() ? size / 2 : 0);
            case 1 -> new Element.Capacitor(id, a, b, size * 1e-9);
            default -> new Element.Conductor(id, a, b, 0.02 + random.nextDouble(), random.nextBoolean(),
                    Double.POSITIVE_INFINITY);
        };
    }
}
