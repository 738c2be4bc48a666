package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Whole visits against the virtual unit: by our advice, and by the habits it competes with. */
final class ClosedLoop {

    private static final int MOST_TESTS = 60;

    private final CompiledPack pack;
    private final Policy policy;
    private final Planner planner;

    ClosedLoop(CompiledPack pack, Policy policy) {
        this.pack = pack;
        this.policy = policy;
        this.planner = Planner.of(pack, policy);
    }

    /** The advice leads until it gives a verdict. */
    Outcome advised(Technician technician) {
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        Setup standing = Setup.AS_IT_IS;
        double minutes = 0;
        int tests = 0;
        Advice advice = Advice.of(diagnosis, planner, standing);
        while (!advice.done() && tests < MOST_TESTS) {
            Test test = advice.proposals().get(0).test();
            minutes += TestCost.minutes(pack, test, standing);
            standing = TestCost.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            tests++;
            advice = Advice.of(diagnosis, planner, standing);
        }
        return verdict(technician, diagnosis, minutes, tests);
    }

    /** Every point in the order of the sequence, until one suspect is all but certain. */
    Outcome inSequence(Technician technician) {
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        Setup standing = Setup.AS_IT_IS;
        double minutes = 0;
        int tests = 0;
        List<Test> order = new ArrayList<>(pack.tests());
        order.sort(Comparator.comparingDouble(test -> pack.momentSeconds(test.moment())));
        Diagnosis start = diagnosis;
        order.removeIf(test -> !start.possible(test));
        for (Test test : order) {
            if (diagnosis.belief(diagnosis.ranking().get(0)) > ProofGate.ENOUGH) {
                break;
            }
            minutes += TestCost.minutes(pack, test, standing);
            standing = TestCost.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            tests++;
        }
        return verdict(technician, diagnosis, minutes, tests);
    }

    /** The part that the chart names first, then the next, then whatever is most likely, until the unit runs. */
    Outcome byChart(Technician technician) {
        List<Observation> lamps = technician.lamps();
        Set<String> order = new LinkedHashSet<>();
        for (Observation observation : lamps) {
            Observation.Lamp lamp = (Observation.Lamp) observation;
            LampPattern seen = lamp.weights().entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
            pack.model().chart(lamp.board()).code(seen).map(Chart.Code::names).ifPresent(order::addAll);
        }
        Diagnosis diagnosis = Diagnosis.of(pack, lamps);
        diagnosis.ranking().forEach(h -> order.add(pack.hypotheses().get(h).part().id()));
        return replace(technician, order);
    }

    /** Parts in the order of their price, until the unit runs. */
    Outcome byPrice(Technician technician) {
        Set<String> order = new LinkedHashSet<>();
        pack.model().parts().stream().sorted(Comparator.comparingDouble(part -> cost(part))).forEach(p -> order.add(p.id()));
        return replace(technician, order);
    }

    private Outcome replace(Technician technician, Set<String> order) {
        double cost = 0;
        double minutes = 0;
        boolean falseBoard = false;
        boolean first = true;
        boolean right = false;
        for (String id : order) {
            Part part = pack.model().part(id);
            cost += cost(part);
            minutes += part.minutes() + policy.verifyMinutes();
            if (part.equals(technician.truth().part())) {
                right = first;
                break;
            }
            falseBoard |= part.kind() == Part.Kind.BOARD;
            first = false;
        }
        return new Outcome(right, falseBoard, 0, minutes, cost);
    }

    /** After the verdict the named part is replaced; where it was not the cause the next in belief follows. */
    private Outcome verdict(Technician technician, Diagnosis diagnosis, double minutes, int tests) {
        List<Integer> group = ProofGate.verdict(diagnosis).group();
        Part named = pack.hypotheses().get(group.get(0)).part();
        Part cause = technician.truth().part();
        boolean right = named.equals(cause)
                || group.stream().anyMatch(h -> pack.hypotheses().get(h).equals(technician.truth()));
        Set<String> order = new LinkedHashSet<>();
        diagnosis.ranking().forEach(h -> order.add(pack.hypotheses().get(h).part().id()));
        Outcome after = replace(technician, order);
        boolean falseBoard = named.kind() == Part.Kind.BOARD && !named.equals(cause);
        return new Outcome(right, falseBoard, tests, minutes + after.minutes(),
                minutes * policy.labourPerMinute() + after.cost());
    }

    private double cost(Part part) {
        return part.price() + (part.minutes() + policy.verifyMinutes()) * policy.labourPerMinute()
                + (part.stocked() ? 0 : policy.tripCost());
    }
}
