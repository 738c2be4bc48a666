package bricksignal.core.diagnosis;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;

/**
 * How a unit stands between two observations, by what was done to it and seen of it.
 *
 * @param repaired the parts that were repaired on this visit, by id
 * @param failing whether it was seen to fail since the last repair
 * @param renewed what dies for good and is new, elements by id: a new fuse that holds
 */
record Standing(Set<String> repaired, boolean failing, Set<String> renewed) {

    static final Standing AS_FOUND = new Standing(Set.of(), false, Set.of());

    Standing {
        repaired = Collections.unmodifiableSet(new LinkedHashSet<>(repaired));
        renewed = Collections.unmodifiableSet(new LinkedHashSet<>(renewed));
    }

    /** How it stands after an observation. */
    Standing after(Observation observation, HypothesisSpace space) {
        if (observation instanceof Observation.Repaired done) {
            return new Standing(with(repaired, Set.of(done.part()), true), false, with(renewed, space.elements(done.part()), true));
        }
        boolean nowFailing = failing || WatchTest.seenToFail(observation);
        if (observation instanceof Observation.Answer answer && answer.test().renews().isPresent()) {
            return new Standing(repaired, nowFailing, with(renewed, Set.of(answer.test().renews().get()), answer.yes()));
        }
        return nowFailing == failing ? this : new Standing(repaired, nowFailing, renewed);
    }

    private static Set<String> with(Set<String> some, Set<String> these, boolean there) {
        Set<String> more = new LinkedHashSet<>(some);
        if (there) {
            more.addAll(these);
        } else {
            more.removeAll(these);
        }
        return more;
    }
}
