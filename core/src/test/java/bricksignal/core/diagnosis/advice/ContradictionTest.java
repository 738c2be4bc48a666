package bricksignal.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ContradictionTest {

    private static final CompiledPack CHAIN = ChainUnit.of(5, 0);

    /** The definition, every hypothesis asked about everything. */
    private static Set<Set<Observation>> byDefinition(Diagnosis diagnosis) {
        List<Observation> seen = diagnosis.sinceRepair();
        Set<Set<Observation>> found = new LinkedHashSet<>();
        for (int i = 0; i < seen.size(); i++) {
            for (int j = i + 1; j < seen.size(); j++) {
                Observation one = seen.get(i);
                Observation other = seen.get(j);
                boolean oneExplained = diagnosis.hypotheses().stream().anyMatch(h -> !diagnosis.contradicts(one, h));
                boolean otherExplained = diagnosis.hypotheses().stream().anyMatch(h -> !diagnosis.contradicts(other, h));
                boolean together = diagnosis.hypotheses().stream().anyMatch(h -> !diagnosis.contradicts(one, h)
                        && !diagnosis.contradicts(other, h));
                if (oneExplained && otherExplained && !together) {
                    found.add(Set.of(one, other));
                }
            }
        }
        return found;
    }

    @Property(tries = 150)
    void shortcutFindsWhatTheDefinitionSays(@ForAll long seed) {
        Random random = new Random(seed);
        List<Observation> seen = new ArrayList<>();
        double[] shown = {0, 24, 24, 11};
        for (int i = 0; i < 2 + random.nextInt(6); i++) {
            seen.add(ChainUnit.volts(CHAIN, "n" + random.nextInt(6), shown[random.nextInt(shown.length)] + 0.01 * i));
        }
        Diagnosis diagnosis = Diagnosis.of(CHAIN, seen);
        Set<Set<Observation>> found = new LinkedHashSet<>();
        Contradiction.of(diagnosis).forEach(c -> found.add(Set.of(c.one(), c.other())));
        assertThat(found).isEqualTo(byDefinition(diagnosis));
    }

    @Test
    void deadUpstreamOfALivePointContradicts() {
        Observation dead = ChainUnit.volts(CHAIN, "n1", 0);
        Observation live = ChainUnit.volts(CHAIN, "n4", 24);
        assertThat(Contradiction.of(Diagnosis.of(CHAIN, List.of(dead, live)))).singleElement().satisfies(c -> assertThat(Set.of(
                c.one(), c.other())).isEqualTo(Set.of(dead, live)));
    }

    @Test
    void readingThatNothingExplainsContradictsNoOther() {
        Diagnosis diagnosis = Diagnosis.of(CHAIN, List.of(ChainUnit.volts(CHAIN, "n1", 11), ChainUnit.volts(CHAIN, "n4", 24)));
        assertThat(Contradiction.of(diagnosis)).isEmpty();
    }
}
