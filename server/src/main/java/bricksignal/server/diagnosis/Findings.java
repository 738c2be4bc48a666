package bricksignal.server.diagnosis;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.unit.UnitModel;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a log says: its entries with what each observed, the belief, the advice.
 *
 * @param entries in the order received, taken-back ones too
 * @param planner weighs tests by the company's policy
 * @param chains the unit's series chains
 * @param wasReset whether the power was cycled before anybody looked
 */
public record Findings(List<Logged> entries, Diagnosis diagnosis, Advice advice, Planner planner, List<Chain> chains, boolean wasReset) {

    /**
     * One entry of the log.
     *
     * @param observation what it tells the engine, or null for a note or a take-back
     * @param counts whether it still stands: neither taken back nor replaced
     */
    public record Logged(Entry entry, @Nullable Observation observation, boolean counts) {
    }

    /** Temporary changes that are still in the unit: put in and neither taken out nor taken back. */
    public List<Entry> changesLeftIn() {
        return entries.stream().filter(logged -> logged.counts() && logged.entry().kind() == Evidence.Kind.CHANGE_IN)
                .map(Logged::entry).toList();
    }

    UnitModel model() {
        return diagnosis.pack().model();
    }

    /** The verdict in one line, as it is kept when the visit is closed. */
    public String verdictInWords() {
        int leader = advice.verdict().leader();
        String label = diagnosis.hypothesis(leader).label();
        String status = switch (advice.verdict().status()) {
            case PROVEN -> "proven";
            case INDICATED -> "indicated, proof is missing";
            case NOT_YET -> "not proven";
            case UNEXPLAINED -> "the model does not explain what was found";
        };
        return label + " (" + status + ", " + Math.round(100 * advice.verdict().probability()) + " %)";
    }
}
