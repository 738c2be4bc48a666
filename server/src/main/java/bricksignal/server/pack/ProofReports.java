package bricksignal.server.pack;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.proof.Provability;
import bricksignal.core.unit.Fault;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import bricksignal.server.problem.Compiling;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.ExecutionException;
import org.springframework.stereotype.Service;

/** How each fault of a unit is proven. Made once for a text, which takes some seconds. */
@Service
class ProofReports {

    private static final int MOST = 40;

    private final AsyncCache<String, List<FaultProof>> reports = Caffeine.newBuilder().maximumSize(MOST)
            .executor(Workers.onAllCoresButOne()).buildAsync();

    /**
     * A fault and its proof.
     *
     * @param part that is blamed, as people call it
     * @param share of all its failures, by its own data
     * @param shown what the proof rests on
     * @param open what no test closes; empty where it is proven
     */
    record FaultProof(String id, Message fault, @Phrase String part, double share, boolean proven, List<Message> shown, List<Message> open) {
    }

    /**
     * The report of a unit, the commonest fault first.
     *
     * @param key names its text
     * @throws Compiling if that takes longer than somebody should wait
     */
    List<FaultProof> of(String key, CompiledPack pack) {
        try {
            return Patience.await(reports.get(key, text -> made(pack)), () -> 0);
        } catch (ExecutionException failed) {
            throw new IllegalStateException("the proofs of " + key + " cannot be made", failed.getCause());
        }
    }

    private static List<FaultProof> made(CompiledPack pack) {
        double all = pack.model().faults().stream().mapToDouble(ProofReports::weight).sum();
        return Provability.of(pack).stream().map(visit -> {
            Fault fault = pack.model().fault(visit.fault());
            return new FaultProof(fault.id(), fault.label(), pack.model().part(fault.part()).label(), weight(fault) / all, visit.proven(), visit.shown(), visit.open());
        }).sorted(Comparator.comparingDouble(FaultProof::share).reversed()).toList();
    }

    private static double weight(Fault fault) {
        return fault.weight() + fault.intermittent();
    }
}
