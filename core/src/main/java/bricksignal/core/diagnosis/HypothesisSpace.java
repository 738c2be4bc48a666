package bricksignal.core.diagnosis;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Everything that may be the matter with a unit: its listed faults, the same as intermittent ones and gone half as far, pairs of faults, and the
 * failures that its physics allows although no list names them. Safe for use by several threads.
 */
public final class HypothesisSpace {

    /** Share of the prior that all pairs of faults have together (from memory: seldom, and never forgotten). */
    static final double PAIRS = 0.03;

    /** Share that all failures have together which the pack does not list, beside those it does (from memory). */
    private static final double UNLISTED = 0.02;

    /** Of the faults that have a size so many have gone only half as far as the pack has them (from memory). */
    private static final double MILDER = 0.15;

    private final UnitModel model;
    private final double total;
    private final Map<HypothesisId, Hypothesis> listed = new LinkedHashMap<>();
    private final Map<HypothesisId, Integer> order = new LinkedHashMap<>();
    private final List<Hypothesis> faults;
    private final List<Hypothesis> considered;
    private final HypothesisId nothing;
    private final Map<HypothesisId, Hypothesis> further = new ConcurrentHashMap<>();

    HypothesisSpace(UnitModel model) {
        this.model = model;
        this.total = model.faults().stream().mapToDouble(f -> f.weight() + f.intermittent()).sum() / (1 - PAIRS);
        Map<String, Fault> milder = new LinkedHashMap<>();
        model.faults().forEach(fault -> fault.milder(model.machine()).ifPresent(half -> milder.put(fault.id(), half)));
        model.faults().forEach(fault -> put(new HypothesisId.Single(fault.id()), fault, 1,
                fault.weight() * (milder.containsKey(fault.id()) ? 1 - MILDER : 1)));
        this.faults = List.copyOf(listed.values());
        model.faults().stream().filter(fault -> fault.intermittent() > 0).forEach(fault -> put(
                new HypothesisId.Intermittent(fault.id()), fault, WatchTest.DUTY, fault.intermittent()));
        milder.forEach((id, half) -> put(new HypothesisId.Milder(id), half, 1, half.weight() * MILDER));
        this.considered = List.copyOf(listed.values());
        model.faults().stream().filter(fault -> fault.intermittent() > 0).forEach(fault -> put(
                new HypothesisId.Failing(fault.id()), fault, WatchTest.DUTY_FAILING, fault.intermittent()));
        listed.keySet().forEach(id -> order.put(id, order.size()));
        this.nothing = faults.stream().filter(Hypothesis::nothing).map(Hypothesis::id).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no fault of '" + model.id() + "' stands for 'nothing wrong now'; "
                        + "declare one that does nothing"));
    }

    /** The listed faults that stay, in the order of the pack. */
    public List<Hypothesis> faults() {
        return faults;
    }

    /** What every belief considers: the listed faults, then those of them that may be intermittent, then those that may be milder. */
    public List<Hypothesis> considered() {
        return considered;
    }

    /** What is run for all of them: an intermittent fault as if it stayed. */
    List<HypothesisId> runs() {
        return considered.stream().filter(h -> !h.intermittent()).map(Hypothesis::id).toList();
    }

    /** "Nothing wrong now". */
    public HypothesisId nothing() {
        return nothing;
    }

    /**
     * The hypothesis of that identity.
     *
     * @throws IllegalArgumentException if this unit knows no such thing
     */
    public Hypothesis get(HypothesisId id) {
        Hypothesis known = listed.get(id);
        if (known == null) {
            known = id instanceof HypothesisId.Pair pair ? further.computeIfAbsent(pair, p -> made(pair)) : further.get(id);
        }
        if (known == null) {
            throw new IllegalArgumentException("this unit has no hypothesis '" + id.text() + "'");
        }
        return known;
    }

    /** The listed fault of that name. */
    public HypothesisId single(String fault) {
        return new HypothesisId.Single(model.fault(fault).id());
    }

    /**
     * Two listed faults at once.
     *
     * @throws IllegalArgumentException if they are one and the same, or not listed
     */
    public HypothesisId.Pair pair(String one, String other) {
        int first = model.faults().indexOf(model.fault(one));
        int second = model.faults().indexOf(model.fault(other));
        if (first == second) {
            throw new IllegalArgumentException("'" + one + "' cannot be a pair with itself");
        }
        return first < second ? new HypothesisId.Pair(one, other) : new HypothesisId.Pair(other, one);
    }

    /** The prior of a pair of two hypotheses, without making it: all pairs together have {@link #PAIRS}. */
    static double pairPrior(Hypothesis one, Hypothesis other) {
        return 2 * PAIRS * one.prior() * other.prior();
    }

    /** Probability that a part is bad as well where something else was found: the prior of a pair against that of its other fault. */
    public double badBeside(String part) {
        return 2 * PAIRS * faults().stream().filter(h -> h.part().id().equals(part)).mapToDouble(Hypothesis::prior).sum();
    }

    /** What is left of a hypothesis when parts have been repaired. */
    public HypothesisId after(HypothesisId id, Set<String> repairedParts) {
        if (repairedParts.isEmpty() || id instanceof HypothesisId.Unlisted) {
            return id;
        }
        if (id instanceof HypothesisId.Pair pair) {
            HypothesisId one = after(new HypothesisId.Single(pair.one()), repairedParts);
            HypothesisId other = after(new HypothesisId.Single(pair.other()), repairedParts);
            return one.equals(nothing) ? other : other.equals(nothing) ? one : id;
        }
        return repairedParts.contains(get(id).part().id()) ? nothing : id;
    }

    /** The hypothesis while the unit is seen to fail: an intermittent fault is then nearly always there. */
    HypothesisId failing(HypothesisId id) {
        return id instanceof HypothesisId.Intermittent seldom ? new HypothesisId.Failing(seldom.fault()) : id;
    }

    /** Where a listed hypothesis stands among all that are listed, from 0; -1 for a pair and for what is not listed. */
    public int place(HypothesisId id) {
        return order.getOrDefault(id, -1);
    }

    /** All listed hypotheses by place. */
    List<Hypothesis> byPlace() {
        return List.copyOf(listed.values());
    }

    /** Takes in failures that no list names; they share one prior. */
    List<Hypothesis> admit(List<Fault> failures) {
        List<Hypothesis> made = new ArrayList<>();
        for (Fault failure : failures) {
            Hypothesis hypothesis = new Hypothesis(new HypothesisId.Unlisted(failure.id()), List.of(failure),
                    List.of(UnlistedFailures.part()), 1, UNLISTED / failures.size());
            further.put(hypothesis.id(), hypothesis);
            made.add(hypothesis);
        }
        return List.copyOf(made);
    }

    private void put(HypothesisId id, Fault fault, double duty, double weight) {
        listed.put(id, new Hypothesis(id, List.of(fault), List.of(model.part(fault.part())), duty, weight / total));
    }

    private Hypothesis made(HypothesisId.Pair pair) {
        Hypothesis one = get(single(pair.one()));
        Hypothesis other = get(single(pair.other()));
        Hypothesis first = one.prior() >= other.prior() ? one : other;
        Hypothesis second = first.equals(one) ? other : one;
        return new Hypothesis(pair, List.of(first.fault(), second.fault()), List.<Part>of(first.part(), second.part()), 1,
                pairPrior(one, other));
    }
}
