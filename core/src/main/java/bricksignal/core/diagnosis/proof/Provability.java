package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.Abreast;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleConsumer;

/**
 * Can every fault of a pack be proven? In an ideal session every lamp is read, the sequence is watched, every test is made and shows what the fault most
 * likely shows, as often as it makes sense; no part is changed to try. What is not proven then never will be: a mistake of the pack, which must not declare
 * what cannot be proven.
 */
public final class Provability {

    /** A cause is told as a rival down to this probability: a board asks for nearly all of it. */
    private static final double RIVAL = 0.002;

    private Provability() {
    }

    /**
     * How the ideal session of a fault ended.
     *
     * @param fault by id
     * @param proven whether its part, or a group that holds it, was proven
     * @param status of the verdict
     * @param named the parts that were named, by id
     * @param rivals other causes that were still alive
     * @param shown what the proof rests on
     * @param open what no test could close
     */
    public record Session(String fault, boolean proven, Verdict.Status status, List<String> named, List<HypothesisId> rivals,
            List<Message> shown, List<Message> open) {
        public Session {
            named = List.copyOf(named);
            rivals = List.copyOf(rivals);
            shown = List.copyOf(shown);
            open = List.copyOf(open);
        }
    }

    /** The ideal session of every listed fault, in the order of the pack. */
    public static List<Session> of(CompiledPack pack) {
        return of(pack, share -> { });
    }

    /**
     * The same.
     *
     * @param progress told which share of the work is done, 0 to 1, from several threads; what it throws breaks the work off
     */
    public static List<Session> of(CompiledPack pack, DoubleConsumer progress) {
        return Abreast.each(pack.space().faults(), hypothesis -> session(pack, hypothesis), progress);
    }

    private static Session session(CompiledPack pack, Hypothesis hypothesis) {
        Diagnosis ideal = ideal(pack, hypothesis.id());
        Verdict verdict = ProofGate.verdict(ideal);
        List<String> named = verdict.group().stream().flatMap(h -> pack.space().get(h).parts().stream()).map(Part::id).distinct().toList();
        boolean proven = verdict.status() == Verdict.Status.PROVEN && named.contains(hypothesis.part().id());
        return new Session(hypothesis.fault().id(), proven, verdict.status(), named,
                ideal.ranking().stream().filter(h -> !verdict.group().contains(h) && ideal.belief(h) > RIVAL).toList(),
                items(verdict, true), items(verdict, false));
    }

    private static List<Message> items(Verdict verdict, boolean proven) {
        return verdict.items().stream().filter(item -> item.proven() == proven).map(ProofItem::what).distinct().toList();
    }

    /** What is believed after the ideal session of a hypothesis. */
    static Diagnosis ideal(CompiledPack pack, HypothesisId id) {
        Diagnosis ideal = Diagnosis.ofSingles(pack);   // a fault that explains all that is seen leaves nothing for a second one
        for (String board : pack.model().charts().keySet()) {
            Optional<LampPattern> lamp = pack.predictions().lampShares(ideal.now(id), board).entrySet().stream().max(Map.Entry.comparingByValue())
                    .map(Map.Entry::getKey);
            ideal = lamp.isEmpty() ? ideal : ideal.and(new Observation.Lamp(board, weights(pack, board, lamp.get()), false));
        }
        List<Test> made = pack.catalogue().tests().stream().filter(test -> test instanceof Test.Reading
                || test instanceof Test.Check check && !check.sense().changesAPart()).toList();
        ideal = answered(ideal, made.stream().filter(Provability::watches).toList(), id);   // what it was seen to do comes before what is measured
        ideal = ideal.and(pack.seenOf(pack.unit(ideal.now(id))));   // and a run watched before it was seen to fail would have to be watched again
        List<Test> measured = made.stream().filter(test -> !watches(test)).toList();
        List<Test> renewing = measured.stream().filter(Provability::renews).toList();
        HypothesisId found = ideal.now(id);
        ideal = ideal.and(measured.stream().filter(test -> !renews(test)).flatMap(test -> pack.likeliest(test, found).stream()).toList());
        ideal = answered(ideal, measured.stream().filter(test -> !renews(test)).toList(), id);
        ideal = answered(ideal, renewing, id);
        ideal = answered(ideal, measured, id);   // what is renewed shows otherwise what was measured before
        for (ProofItem item : ProofGate.verdict(ideal).items()) {
            ideal = item.again() ? ideal.and(pack.likeliest(pack.catalogue().test(item.tests().get(0)), ideal.now(id))) : ideal;
        }
        return ideal;
    }

    private static boolean renews(Test test) {
        return test instanceof Test.Check check && check.renews().isPresent();
    }

    private static boolean watches(Test test) {
        return test instanceof Test.Check check && check.sense().watches();
    }

    /** Each of the tests as often as it makes sense. */
    private static Diagnosis answered(Diagnosis before, List<Test> tests, HypothesisId id) {
        Diagnosis ideal = before;
        for (Test test : tests) {
            while (!ideal.answered(test)) {
                ideal = ideal.and(before.pack().likeliest(test, ideal.now(id)));
            }
        }
        return ideal;
    }

    private static Map<LampPattern, Double> weights(CompiledPack pack, String board, LampPattern shown) {
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        pack.model().chart(board).patterns().forEach(pattern -> weights.put(pattern, 0.0));
        weights.put(shown, 1.0);
        return weights;
    }
}
