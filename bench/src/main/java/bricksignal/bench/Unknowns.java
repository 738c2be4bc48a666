package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Visits to units with a fault that the model was not told of: how often does the program say that it does not know, and how
 * often does it prove a part that is sound; beside it, how often it says that it does not know of a fault that it does know. A fault whose part has another fault in the model is passed over: naming that part would be right.
 */
final class Unknowns {

    private static final int MOST_TESTS = 40;

    private int runs;
    private int saidSo;
    private int falseAlarms;
    private int provenWrong;
    final java.util.List<String> details = new java.util.ArrayList<>();

    void add(UnitModel model, long seed) {
        CompiledPack whole = CompiledPack.of(model, ErrorModel.defaults());
        for (int h = 0; h < whole.faults(); h++) {
            Fault fault = model.faults().get(h);
            boolean alone = model.faults().stream().filter(f -> f.part().equals(fault.part())).count() == 1;
            if (alone && !fault.effects().isEmpty() && fault.kind() == Fault.Kind.FAULT) {
                CompiledPack pack = CompiledPack.of(without(model, fault), ErrorModel.defaults());
                Diagnosis unknown = led(pack, new Technician(whole, h, seed * 13 + h));
                runs++;
                saidSo += unexplained(unknown) ? 1 : 0;
                provenWrong += ProofGate.verdict(unknown).status() == Verdict.Status.PROVEN ? 1 : 0;
                details.add(model.id()+" "+fault.id()+" -> "+ProofGate.verdict(unknown).status()+" "+pack.hypothesis(ProofGate.verdict(unknown).leader()).id()+" tests "+unknown.observations().size()+" unlisted: "+unknown.unlisted().entrySet().stream().limit(2).map(e->pack.hypothesis(e.getKey()).label()+String.format(" %.2g",e.getValue())).toList());
                falseAlarms += unexplained(led(whole, new Technician(whole, h, seed * 13 + h))) ? 1 : 0;
            }
        }
    }

    /** Where the advice leads a visit. */
    private static Diagnosis led(CompiledPack pack, Technician technician) {
        Planner planner = Planner.of(pack, Policy.defaults());
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        Setup standing = Setup.AS_IT_IS;
        Advice advice = Advice.of(diagnosis, planner, standing);
        for (int i = 0; i < MOST_TESTS && !advice.done() && !unexplained(diagnosis); i++) {
            Test test = advice.proposals().get(0).test();
            standing = TestCost.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            advice = Advice.of(diagnosis, planner, standing);
        }
        return diagnosis;
    }

    private static boolean unexplained(Diagnosis diagnosis) {
        return diagnosis.unexplained() > ProofGate.UNEXPLAINED;
    }

    private static UnitModel without(UnitModel model, Fault fault) {
        List<Fault> faults = new ArrayList<>(model.faults());
        faults.remove(fault);
        return model.withFaults(faults);
    }

    Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("runs", runs);
        figures.put("saidSo", saidSo / (double) runs);
        figures.put("falseAlarms", falseAlarms / (double) runs);
        figures.put("provenWrong", provenWrong / (double) runs);
        return figures;
    }

    void print() {
        System.out.printf("faults the model does not know: %d visits, said so %.0f %%, a sound part proven %.0f %%; of known faults "
                + "it said so %.1f %%%n", runs, 100.0 * saidSo / runs, 100.0 * provenWrong / runs,
                100.0 * falseAlarms / runs);
    }
}
