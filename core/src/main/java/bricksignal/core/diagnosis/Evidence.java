package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What was observed, in order, and how the unit stood at each observation: what had been repaired by then, whether it had been
 * seen to fail, and which observations before belong to the same watched run. Immutable; one observation more changes nothing of
 * what stands before it.
 *
 * @param entries in order
 * @param repaired the parts that are repaired now, by id
 * @param failing whether the unit is seen to fail now
 */
record Evidence(List<Entry> entries, Set<String> repaired, boolean failing) {

    static final Evidence NONE = new Evidence(List.of(), Set.of(), false);

    /**
     * One observation.
     *
     * @param together what belongs together up to this one: what was seen of one watched run, or of the twins, or else it alone
     * @param repairedBefore parts that were repaired before it
     * @param failingBefore whether the unit had been seen to fail before it
     */
    record Entry(List<Observation> together, Set<String> repairedBefore, boolean failingBefore) {

        Observation observation() {
            return together.get(together.size() - 1);
        }

        /** The hypothesis as it was when this was observed. */
        HypothesisId then(HypothesisSpace space, HypothesisId id) {
            HypothesisId left = space.after(id, repairedBefore);
            return failingBefore ? space.failing(left) : left;
        }
    }

    /** The same with one observation more. */
    Evidence and(Observation observation) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(observation instanceof Observation.Earlier ? new Entry(List.of(observation), Set.of(), false)
                : new Entry(together(observation), repaired, failing));
        Set<String> parts = new LinkedHashSet<>(repaired);
        boolean repair = observation instanceof Observation.Repaired;
        if (observation instanceof Observation.Repaired done) {
            parts.add(done.part());
        }
        return new Evidence(List.copyOf(more), java.util.Collections.unmodifiableSet(parts),
                !repair && (failing || WatchTest.seenToFail(observation)));
    }

    List<Observation> observations() {
        return entries.stream().map(Entry::observation).toList();
    }

    /** Something seen a second time is of another run. */
    private List<Observation> together(Observation observation) {
        List<Observation> together = new ArrayList<>();
        if (observation instanceof Observation.Twin) {
            observations().stream().filter(Observation.Twin.class::isInstance).forEach(together::add);
        } else if (observation.ofTheSequence() && !entries.isEmpty()) {
            List<Observation> before = entries.get(entries.size() - 1).together();
            boolean sameRun = before.stream().allMatch(Observation::ofTheSequence)
                    && before.stream().noneMatch(seen -> edge(seen).equals(edge(observation)));
            together.addAll(sameRun ? before : List.of());
        }
        together.add(observation);
        return List.copyOf(together);
    }

    private static String edge(Observation seen) {
        return seen instanceof Observation.Event event ? event.channel() + event.begins()
                : ((Observation.NotSeen) seen).channel() + true;
    }
}
