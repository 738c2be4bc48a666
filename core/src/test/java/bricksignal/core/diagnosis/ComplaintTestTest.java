package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;

class ComplaintTestTest {

    @Test
    void callThatFailsAloneIsToldOfMostAndOneThatDoesNotFailLeast() {
        double alone = ComplaintTest.yes(Set.of("cooling"), "cooling");
        double too = ComplaintTest.yes(Set.of("cooling", "heating"), "cooling");
        double nothing = ComplaintTest.yes(Set.of(), "cooling");
        double another = ComplaintTest.yes(Set.of("heating"), "cooling");
        assertThat(alone).isGreaterThan(too);
        assertThat(too).isGreaterThan(nothing);
        assertThat(nothing).isGreaterThan(another);
        assertThat(another).isPositive();
    }
}
