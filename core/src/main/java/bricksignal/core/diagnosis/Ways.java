package bricksignal.core.diagnosis;

import bricksignal.core.board.run.Snapshot;
import bricksignal.core.board.run.Timeline;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The ways that the boards of a unit in good order go: by region, the states that it comes to. A board in any other state has stopped,
 * and may hold its outputs or let them go, each kind its own way.
 */
record Ways(Map<String, Set<String>> states) {

    /** The ways in some runs of the unit in good order. */
    static Ways of(Stream<Timeline> runs) {
        Map<String, Set<String>> states = new LinkedHashMap<>();
        runs.flatMap(run -> run.intervals().stream()).forEach(interval -> interval.unit().states()
                .forEach((region, state) -> states.computeIfAbsent(region, key -> new LinkedHashSet<>()).add(state)));
        return new Ways(states);
    }

    /** The states out of their way in which the boards of a unit stand in its runs, by region. */
    Map<String, Set<String>> left(Stream<Timeline> runs) {
        Map<String, Set<String>> left = new LinkedHashMap<>(of(runs).states);
        left.replaceAll((region, visited) -> visited.stream().filter(state -> !states.getOrDefault(region, Set.of()).contains(state)).collect(Collectors.toCollection(LinkedHashSet::new)));
        left.values().removeIf(Set::isEmpty);
        return left;
    }

    /** True while none of the boards has stopped. */
    boolean lead(Snapshot unit) {
        return unit.states().entrySet().stream().allMatch(region -> states.getOrDefault(region.getKey(), Set.of()).contains(region.getValue()));
    }
}
