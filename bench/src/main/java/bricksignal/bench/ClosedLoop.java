package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Whole visits against the virtual unit: by our advice, and by the habits it competes with. */
final class ClosedLoop {

    private static final int MOST_TESTS = 60;
    private static final int MOST_REPAIRS = 4;

    private final CompiledPack pack;
    private final Policy policy;
    private final Planner planner;
    private final List<Observation> before;

    ClosedLoop(CompiledPack pack, Policy policy) {
        this(pack, policy, List.of());
    }

    /**
     * Visits of which something is known before.
     *
     * @param before what is known before anything is seen
     */
    ClosedLoop(CompiledPack pack, Policy policy, List<Observation> before) {
        this.pack = pack;
        this.policy = policy;
        this.planner = Planner.of(pack, policy);
        this.before = before;
    }

    /** The advice leads until it gives a verdict. */
    Outcome advised(Technician technician) {
        Measured m = measure(technician, Diagnosis.of(pack, before).and(technician.lamps()));
        return verdict(technician, m.diagnosis(), m.minutes(), m.tests(), m.parts());
    }

    /** How a visit ended with a stranger: the verdict, and what it took. */
    record Visit(Diagnosis diagnosis, Verdict verdict, int tests, double minutes) {
    }

    /** The advice leads until it has no more to ask. */
    Visit visited(Technician technician, Random customer) {
        Measured m = measure(technician, Diagnosis.of(pack, technician.found(customer)));
        return new Visit(m.diagnosis(), ProofGate.verdict(m.diagnosis(), policy.school()), m.tests(), m.minutes());
    }

    /** What was measured until the advice had no more to ask. */
    private record Measured(Diagnosis diagnosis, double minutes, int tests, double parts) {
    }

    private Measured measure(Technician technician, Diagnosis start) {
        Diagnosis diagnosis = start;
        Stand standing = Stand.AS_FOUND;
        double minutes = 0;
        double parts = 0;
        int tests = 0;
        Set<String> skipped = new LinkedHashSet<>();
        Advice advice = Advice.of(diagnosis, planner, standing);
        while (!advice.done() && tests < MOST_TESTS) {
            Optional<Test> next = advice.proposals().stream().map(Proposal::test).filter(t -> !skipped.contains(t.id())).findFirst();
            if (next.isEmpty()) {
                break;
            }
            Test test = next.get();
            if (technician.skips(test)) {
                skipped.add(test.id());
                continue;
            }
            minutes += TestCost.minutes(pack, test, standing);
            parts += TestCost.partsUsed(pack, test);
            standing = standing.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            tests++;
            advice = Advice.of(diagnosis, planner, standing);
        }
        return new Measured(diagnosis, minutes, tests, parts);
    }

    /**
     * A visit to a unit with more than one fault: what is named is repaired and the visit goes on with what is left, until
     * nothing is the matter or four parts were repaired. Right if every bad part was among the repaired, and no sound board.
     */
    Outcome untilItRuns(Technician technician) {
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        double minutes = 0;
        double cost = 0;
        int tests = 0;
        boolean falseBoard = false;
        for (int repair = 0; repair < MOST_REPAIRS; repair++) {
            Measured m = measure(technician, diagnosis);
            minutes += m.minutes();
            tests += m.tests();
            cost += m.parts();
            diagnosis = m.diagnosis();
            Hypothesis named = pack.space().get(ProofGate.verdict(diagnosis).leader());
            if (named.nothing()) {
                break;
            }
            for (Part part : named.parts()) {
                falseBoard |= part.kind() == Part.Kind.BOARD && !technician.truth().parts().contains(part);
                technician.repair(part.id());
                minutes += part.minutes();
                cost += part.price() + (part.stocked() ? 0 : policy.tripCost());
                diagnosis = diagnosis.and(new Observation.Repaired(part.id()));
            }
            minutes += policy.verifyMinutes();
            diagnosis = diagnosis.and(technician.make(pack.catalogue().test("watch.reset")));
        }
        return new Outcome(technician.left().isEmpty(), falseBoard, tests, minutes, cost + minutes * policy.labourPerMinute(), 1);
    }

    /** Somebody who knows what is the matter and only repairs it: what no diagnosis can beat. */
    Outcome knowing(Technician technician) {
        Set<String> order = new LinkedHashSet<>();
        technician.truth().parts().forEach(part -> order.add(part.id()));
        return replace(technician, order);
    }

    /** Every point in the order of the sequence, all of them, and then the verdict. */
    Outcome everything(Technician technician) {
        return inSequence(technician, 2);
    }

    /** Every point in the order of the sequence, until one suspect is all but certain. */
    Outcome inSequence(Technician technician) {
        return inSequence(technician, ProofGate.ENOUGH);
    }

    private Outcome inSequence(Technician technician, double enough) {
        Diagnosis diagnosis = Diagnosis.of(pack, technician.lamps());
        Stand standing = Stand.AS_FOUND;
        double minutes = 0;
        int tests = 0;
        List<Test> order = new ArrayList<>(pack.catalogue().tests());
        order.sort(Comparator.comparingDouble(test -> pack.catalogue().seconds(test.moment())));
        Diagnosis start = diagnosis;
        order.removeIf(test -> !start.possible(test) || !measures(test));
        for (Test test : order) {
            if (diagnosis.belief(diagnosis.leader()) > enough) {
                break;
            }
            minutes += TestCost.minutes(pack, test, standing);
            standing = standing.after(test);
            diagnosis = diagnosis.and(technician.make(test));
            tests++;
        }
        return verdict(technician, diagnosis, minutes, tests, 0);
    }

    /** A habit of measuring does not swap parts or watch cycles. */
    static boolean measures(Test test) {
        return !(test instanceof Test.Check check && (check.sense() == Test.Sense.SUBSTITUTE || check.sense().watches())
                || test instanceof Test.Sequence);
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
        diagnosis.ranking().forEach(h -> order.add(pack.space().get(h).part().id()));
        return replace(technician, order);
    }

    /** Parts in the order of their price, until the unit runs. */
    Outcome byPrice(Technician technician) {
        Set<String> order = new LinkedHashSet<>();
        pack.model().parts().stream().sorted(Comparator.comparingDouble(part -> planner.repairCost(part.id()))).forEach(p -> order.add(p.id()));
        return replace(technician, order);
    }

    /** Replaces parts in this order until every part that is bad was replaced. */
    private Outcome replace(Technician technician, Set<String> order) {
        Set<Part> bad = new LinkedHashSet<>(technician.truth().parts());
        double cost = 0;
        double minutes = 0;
        boolean falseBoard = false;
        boolean first = true;
        boolean right = false;
        for (String id : order) {
            Part part = pack.model().part(id);
            cost += planner.repairCost(part.id());
            minutes += part.minutes() + policy.verifyMinutes();
            boolean wasBad = bad.remove(part);
            right |= wasBad && first;
            falseBoard |= !wasBad && part.kind() == Part.Kind.BOARD;
            first = false;
            if (bad.isEmpty()) {
                break;
            }
        }
        return new Outcome(right, falseBoard, 0, minutes, cost, 1);
    }

    /** After the verdict the named part is replaced; where it was not the cause the next in belief follows. */
    private Outcome verdict(Technician technician, Diagnosis diagnosis, double minutes, int tests, double parts) {
        Verdict verdict = ProofGate.verdict(diagnosis);
        List<HypothesisId> group = verdict.group();
        boolean named = verdict.status() == Verdict.Status.PROVEN || verdict.status() == Verdict.Status.INDICATED;
        Set<String> order = new LinkedHashSet<>();
        if (named) {
            pack.space().get(group.get(0)).parts().forEach(p -> order.add(p.id()));
        }
        order.addAll(planner.repairOrder(diagnosis));
        List<Part> first = named ? pack.space().get(group.get(0)).parts() : List.of(pack.model().part(order.iterator().next()));
        List<Part> causes = technician.truth().parts();
        boolean right = first.containsAll(causes) || group.stream().anyMatch(h -> pack.space().get(h).equals(technician.truth()));
        Outcome after = replace(technician, order);
        boolean falseBoard = first.stream().anyMatch(p -> p.kind() == Part.Kind.BOARD && !causes.contains(p));
        return new Outcome(right, falseBoard, tests, minutes + after.minutes(),
                minutes * policy.labourPerMinute() + parts + after.cost(), verdict.probability());
    }
}
