package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.List;

/**
 * What was observed, in order, and how the unit stood at each observation, and which observations before belong to the same watched run.
 * Immutable; one observation more changes nothing of what stands before it.
 *
 * @param entries in order
 * @param standing how the unit stands now
 */
record Evidence(List<Entry> entries, Standing standing) {

    static final Evidence NONE = new Evidence(List.of(), Standing.AS_FOUND);

    /**
     * One observation.
     *
     * @param together what belongs together up to this one: what was seen of one watched run, of the twins, what was read of one place while nothing was changed, or
     *     else it alone
     * @param before how the unit stood
     */
    record Entry(List<Observation> together, Standing before) {

        Observation observation() {
            return together.get(together.size() - 1);
        }

        /** The hypothesis as it was when this was observed. */
        HypothesisId then(HypothesisSpace space, HypothesisId id) {
            return space.standing(id, before);
        }
    }

    /** The same with one observation more. */
    Evidence and(Observation observation, HypothesisSpace space) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(observation instanceof Observation.Earlier ? new Entry(List.of(observation), Standing.AS_FOUND)
                : new Entry(together(observation), standing));
        return new Evidence(List.copyOf(more), standing.after(observation, space));
    }

    List<Observation> observations() {
        return entries.stream().map(Entry::observation).toList();
    }

    /** Something seen a second time is of another run. */
    private List<Observation> together(Observation observation) {
        List<Observation> together = new ArrayList<>();
        if (observation instanceof Observation.Twin) {
            observations().stream().filter(Observation.Twin.class::isInstance).forEach(together::add);
        } else if (observation instanceof Observation.Reading reading) {
            entries.stream().filter(entry -> entry.before().equals(standing)).map(Entry::observation).filter(before -> before instanceof Observation.Reading same
                    && same.test().equals(reading.test())).forEach(together::add);
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
