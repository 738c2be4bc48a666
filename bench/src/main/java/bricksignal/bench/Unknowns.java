package bricksignal.bench;

import bricksignal.core.board.Effect;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Visits to units with a fault that the list does not hold: faults left out of the pack, and failures that no pack lists. How
 * often does the program say that it does not know, how often does it find what it is by the physics alone, and how often does it
 * prove a part that is sound; beside it, how often it says that it does not know of a fault that it does know. A left out
 * fault whose part has another fault in the model is passed over: naming that part would be right.
 */
final class Unknowns {

    private static final int MOST_TESTS = 40;

    private final Count leftOut = new Count();
    private final Count neverListed = new Count();
    private int falseAlarms;

    /** Visits of one kind. */
    private static final class Count {
        private int runs;
        private int saidSo;
        private int found;
        private int provenWrong;

        void add(CompiledPack pack, Diagnosis end, Fault truth) {
            Verdict verdict = ProofGate.verdict(end);
            Part named = pack.space().get(verdict.leader()).part();
            runs++;
            saidSo += verdict.status() == Verdict.Status.UNEXPLAINED ? 1 : 0;
            found += verdict.unlisted().stream().anyMatch(h -> samePlace(pack.space().get(h).fault(), truth)) ? 1 : 0;
            provenWrong += verdict.status() == Verdict.Status.PROVEN && !holds(pack.model(), named, truth) ? 1 : 0;
        }

        Map<String, Object> figures() {
            Map<String, Object> figures = new LinkedHashMap<>();
            figures.put("runs", runs);
            figures.put("saidSo", saidSo / (double) runs);
            figures.put("found", found / (double) runs);
            figures.put("provenWrong", provenWrong / (double) runs);
            return figures;
        }

        String text() {
            return String.format("%d visits, said so %.0f %%, found by the physics %.0f %%, a sound part proven %.0f %%", runs,
                    100.0 * saidSo / runs, 100.0 * found / runs, 100.0 * provenWrong / runs);
        }
    }

    void add(UnitModel model, long seed) {
        CompiledPack whole = CompiledPack.of(model, ErrorModel.defaults());
        for (int h = 0; h < model.faults().size(); h++) {
            Fault fault = model.faults().get(h);
            HypothesisId truth = whole.space().single(fault.id());
            boolean alone = model.faults().stream().filter(f -> f.part().equals(fault.part())).count() == 1;
            if (alone && !fault.effects().isEmpty() && fault.kind() == Fault.Kind.FAULT) {
                CompiledPack pack = CompiledPack.of(model.withFaults(model.faults().stream().filter(f -> !f.equals(fault)).toList()),
                        ErrorModel.defaults());
                leftOut.add(pack, led(pack, new Technician(whole, truth, seed * 13 + h)), fault);
                falseAlarms += unexplained(led(whole, new Technician(whole, truth, seed * 13 + h))) ? 1 : 0;
            }
        }
        long n = 0;
        for (Hypothesis unlisted : whole.runs().unlisted()) {
            neverListed.add(whole, led(whole, new Technician(whole, unlisted.id(), seed * 17 + n++)), unlisted.fault());
        }
    }

    /** Where the advice leads a visit. */
    private static Diagnosis led(CompiledPack pack, Technician technician) {
        Planner planner = Planner.of(pack, Policy.defaults());
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        Stand standing = Stand.AS_FOUND;
        Advice advice = Advice.of(diagnosis, planner, standing);
        for (int i = 0; i < MOST_TESTS && !advice.done() && !unexplained(diagnosis); i++) {
            Test test = advice.proposals().get(0).test();
            standing = standing.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            advice = Advice.of(diagnosis, planner, standing);
        }
        return diagnosis;
    }

    private static boolean unexplained(Diagnosis diagnosis) {
        return diagnosis.unexplained() > ProofGate.UNEXPLAINED;
    }

    /** True if a part is where the fault is: it holds the element, or one of its faults lies at the same place. */
    private static boolean holds(UnitModel model, Part part, Fault truth) {
        return truth.effects().stream().anyMatch(e -> e instanceof Effect.OnElement on && part.elements().contains(on.element())
                || e instanceof Effect.BoardDead dead && part.board().equals(dead.board())
                || e instanceof Effect.InputDeaf deaf && !part.board().isEmpty()
                && model.machine().board(part.board()).senses(deaf.input()))
                || model.faults().stream().anyMatch(fault -> fault.part().equals(part.id()) && samePlace(fault, truth));
    }

    private static boolean samePlace(Fault one, Fault other) {
        return one.effects().stream().anyMatch(a -> other.effects().stream().anyMatch(b -> place(a).equals(place(b))));
    }

    private static String place(Effect effect) {
        return effect instanceof Effect.OnElement on ? on.element() : effect instanceof Effect.OnParameter on ? on.parameter()
                : effect.toString();
    }

    Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("leftOut", leftOut.figures());
        figures.put("neverListed", neverListed.figures());
        figures.put("falseAlarms", falseAlarms / (double) leftOut.runs);
        return figures;
    }

    void print() {
        System.out.printf("faults left out of the list: %s%nfailures that no list names: %s%nof known faults it said so %.1f %%%n",
                leftOut.text(), neverListed.text(), 100.0 * falseAlarms / leftOut.runs);
    }
}
