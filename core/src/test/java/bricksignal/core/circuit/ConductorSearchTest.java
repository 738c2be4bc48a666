package bricksignal.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A small circuit, its ways counted by hand: R -limit- a -rollout- b -pin- W, a -spare- W, and a coil from W to C. */
class ConductorSearchTest {

    private static final double INF = Double.POSITIVE_INFINITY;
    private static final Circuit CIRCUIT = new Circuit("C", 60, List.of(new Element.Source("v", "R", "C", 24, 1, 0),
            conductor("limit", "R", "a", true), conductor("rollout", "a", "b", true), conductor("pin", "b", "W", true),
            conductor("spare", "a", "W", false), new Element.Load("coil", "W", "C", 100, 0)));

    private static Element.Conductor conductor(String id, String a, String b, boolean closed) {
        return new Element.Conductor(id, a, b, 0.05, closed, INF);
    }

    @Test
    void onlyConductorsAreFollowedAndTheNearestComeFirst() {
        ConductorSearch search = ConductorSearch.from(CIRCUIT, "R", c -> true, net -> true);
        assertThat(search.nets()).containsExactly("R", "a", "b", "W");
        assertThat(search.wayTo("W")).as("the shortest way, through the spare contact").containsExactly("R", "a", "W");
        assertThat(search.wayTo("C")).as("a coil does not conduct for this").isEmpty();
    }

    @Test
    void openContactsMayBeLeftOut() {
        ConductorSearch search = ConductorSearch.from(CIRCUIT, "R", Element.Conductor::closed, net -> true);
        assertThat(search.wayTo("W")).containsExactly("R", "a", "b", "W");
    }

    @Test
    void searchStopsAtNetsThatAreNotToBeEntered() {
        assertThat(ConductorSearch.from(CIRCUIT, "R", Element.Conductor::closed, net -> !net.equals("b")).nets())
                .containsExactly("R", "a");
        assertThat(ConductorSearch.from(CIRCUIT, "C", c -> true, net -> true).wayTo("C")).containsExactly("C");
    }
}
