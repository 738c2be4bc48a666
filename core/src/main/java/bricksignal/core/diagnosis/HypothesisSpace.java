package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
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

    /** Of one of them at most: where the list leaves little out, less is left (from memory). */
    private static final double MOST_UNLISTED = 0.0015;

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
    /** What each cause takes with it that dies for good, elements by id; none that takes nothing. */
    private final Map<HypothesisId, Set<String>> takes = new ConcurrentHashMap<>();

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
        this.nothing = faults.stream().filter(Hypothesis::nothing).map(Hypothesis::id).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no fault of '" + model.id() + "' stands for 'nothing wrong now'; "
                        + "declare one that does nothing"));
        faults.stream().filter(h -> isFuse(element(h.fault()))).forEach(h -> {
            HypothesisId renewed = new HypothesisId.Renewed(h.fault().id());
            listed.put(renewed, new Hypothesis(renewed, h.faults(), h.parts(), 1, h.prior(), nothing, Set.of()));
        });
        listed.keySet().forEach(id -> order.put(id, order.size()));
    }

    private boolean isFuse(String element) {
        return !element.isEmpty() && model.machine().circuit().element(element) instanceof Element.Conductor c && Double.isFinite(c.fuseAmps());
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

    /** What is left of a hypothesis when parts have been repaired: a board that its cause took with it is still dead. */
    private HypothesisId after(HypothesisId id, Standing standing) {
        Set<String> repaired = standing.repaired();
        if (repaired.isEmpty() || id instanceof HypothesisId.Unlisted) {
            return id;
        }
        if (id instanceof HypothesisId.Pair pair) {
            HypothesisId one = after(new HypothesisId.Single(pair.one()), standing);
            HypothesisId other = after(new HypothesisId.Single(pair.other()), standing);
            return one.equals(nothing) ? other : other.equals(nothing) ? one : id;
        }
        return !repaired.contains(get(id).part().id()) ? id : takes(id).stream().filter(element -> !standing.renewed().contains(element))
                .flatMap(element -> faults.stream().filter(h -> h.blamesBoard() && element(h.fault()).equals(element)))
                .map(Hypothesis::id).findFirst().orElse(nothing);
    }

    /**
     * Takes in what the run of a hypothesis takes with it, so that it can also be found gone. Of a listed one before anybody asks for places.
     *
     * @param gone elements by id, at least one
     */
    void takes(HypothesisId run, Set<String> gone) {
        takes.put(run, Set.copyOf(gone));
        if (run instanceof HypothesisId.Unlisted) {
            spend(run, gone, further);
        } else {
            List<Hypothesis> same = listed.values().stream().filter(h -> h.run().equals(run) && !(h.id() instanceof HypothesisId.Failing)
                    && !(h.id() instanceof HypothesisId.Spent)).toList();
            same.forEach(h -> spend(h.id(), gone, listed));
            listed.keySet().forEach(id -> order.putIfAbsent(id, order.size()));
        }
    }

    private void spend(HypothesisId id, Set<String> gone, Map<HypothesisId, Hypothesis> among) {
        Hypothesis cause = get(id);
        HypothesisId spent = new HypothesisId.Spent(id);
        among.put(spent, new Hypothesis(spent, cause.faults(), cause.parts(), 1, cause.prior(), new HypothesisId.Spent(cause.run()), gone));
    }

    /** What the run of a hypothesis takes with it, elements by id. */
    private Set<String> takes(HypothesisId id) {
        return takes.getOrDefault(get(id).run(), Set.of());
    }

    /** The elements of a part, by id. */
    Set<String> elements(String part) {
        return Set.copyOf(model.part(part).elements());
    }

    /** A hypothesis as it stands when that was done to the unit and seen of it: of a cause that took something with it, gone until it is renewed. */
    public HypothesisId standing(HypothesisId id, Standing standing) {
        HypothesisId left = after(id, standing);
        if (left instanceof HypothesisId.Pair pair) {
            return cured(model.fault(pair.one()), standing.renewed()) ? standing(new HypothesisId.Single(pair.other()), standing)
                    : cured(model.fault(pair.other()), standing.renewed()) ? standing(new HypothesisId.Single(pair.one()), standing) : left;
        }
        if (!standing.renewed().containsAll(takes(left))) {
            return new HypothesisId.Spent(left);
        }
        HypothesisId renewed = new HypothesisId.Renewed(get(left).fault().id());
        Hypothesis dead = listed.get(renewed);
        if (left instanceof HypothesisId.Single && dead != null && standing.renewed().contains(element(dead.fault()))) {
            return renewed;
        }
        return standing.failing() && left instanceof HypothesisId.Intermittent seldom ? new HypothesisId.Failing(seldom.fault()) : left;
    }

    /** True if a new one of that element is all that a fault needs: a fuse that was open by itself. */
    boolean cures(String element, Fault fault) {
        return isFuse(element) && element(fault).equals(element);
    }

    /** True if a fault is gone because a new one of what had died is in. */
    public boolean cured(Fault fault, Set<String> renewed) {
        return renewed.stream().anyMatch(element -> cures(element, fault));
    }

    /** The hypothesis itself, however it stands. */
    public HypothesisId cause(HypothesisId id) {
        return id instanceof HypothesisId.Spent spent ? spent.of() : id instanceof HypothesisId.Renewed renewed ? new HypothesisId.Single(renewed.fault())
                : id instanceof HypothesisId.Failing failing ? new HypothesisId.Intermittent(failing.fault()) : id;
    }

    /** The one element that a fault opens and does nothing else to; empty for any other. */
    private static String element(Fault fault) {
        return fault.effects().size() == 1 && fault.effects().get(0) instanceof Effect.OnElement on && on.mode() == Effect.Mode.OPEN ? on.element() : "";
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
                    List.of(UnlistedFailures.part()), 1, Math.min(UNLISTED / failures.size(), MOST_UNLISTED));
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
