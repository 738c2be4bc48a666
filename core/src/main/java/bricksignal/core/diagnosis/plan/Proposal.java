package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A test worth making. Immutable; what its outcomes look like is made out when somebody asks, for most proposals are only ranked. */
public final class Proposal {

    private static final double WORTH_A_LOOK = 0.5;

    /** Longer than this nobody waits while something else tells. */
    private static final double LONG_WAIT_MINUTES = 5;
    private static final double SEPARATES_BITS = 0.15;

    private final Test test;
    private final double minutes;
    private final double waits;
    private final double cost;
    private final double saving;
    private final double bits;
    private final Supplier<List<Branch>> looked;
    private volatile @Nullable List<Branch> branches;

    /**
     * A proposal.
     *
     * @param waits minutes of it in which nothing is done but wait or watch
     */
    Proposal(Test test, double minutes, double waits, double cost, double saving, double bits, Supplier<List<Branch>> branches) {
        this.test = test;
        this.minutes = minutes;
        this.waits = waits;
        this.cost = cost;
        this.saving = saving;
        this.bits = bits;
        this.looked = branches;
    }

    /**
     * One outcome.
     *
     * @param outcome its place among the outcomes of the test
     * @param looksLike what would be read
     * @param probability of this outcome now
     * @param suspects the hypotheses that lead to it, most likely first
     */
    public record Branch(int outcome, Prediction looksLike, double probability, List<HypothesisId> suspects) {
        public Branch {
            suspects = List.copyOf(suspects);
        }
    }

    /** What to do. */
    public Test test() {
        return test;
    }

    /** What it takes from how the unit stands now, minutes. */
    public double minutes() {
        return minutes;
    }

    /** Cost of making it: minutes and parts used, in the pack's currency. */
    public double cost() {
        return cost;
    }

    /** Expected cost of repair saved by knowing, less the test's own cost, in the pack's currency; may be negative. */
    public double saving() {
        return saving;
    }

    /** Expected information in bits, at least 0. */
    public double bits() {
        return bits;
    }

    /** Its outcomes with their probability, most likely first. */
    public List<Branch> branches() {
        List<Branch> known = branches;
        if (known == null) {
            known = List.copyOf(looked.get());
            branches = known;
        }
        return known;
    }

    /** True where nothing is done for a long time but wait or watch. */
    public boolean waitsLong() {
        return waits > LONG_WAIT_MINUTES;
    }

    /** True where it is done at once while the unit goes on as it does: something is looked at, listened to or asked. */
    public boolean whileItGoesOn() {
        return waits == 0 && test instanceof Test.Check check && (check.sense().onlyPerceives() || check.sense().onlyAsks());
    }

    /** True if this one has no place before the other: it is dominated by it, or a gauge goes on before a look. */
    boolean comesAfter(Proposal other) {
        return other.dominates(this) || other.looksBefore(this) || other.isDoneBefore(this);
    }

    /**
     * True where something that is done at once separates well, and the other would be waited for, or is a cord on a load or a part changed where a look or a meter
     * tells. Common practice; the figures are ours.
     */
    private boolean isDoneBefore(Proposal other) {
        boolean waited = other.waits > LONG_WAIT_MINUTES && waits <= LONG_WAIT_MINUTES;
        boolean dares = other.risk() > 1 && risk() <= 1;
        return (waited || dares) && cost < other.cost && bits >= SEPARATES_BITS;
    }

    /** True if this one costs no more, dares no more and tells at least as much, and is better in one of it. */
    private boolean dominates(Proposal other) {
        boolean noWorse = cost <= other.cost && bits >= other.bits && risk() <= other.risk();
        return noWorse && (cost < other.cost || bits > other.bits || risk() < other.risk());
    }

    /**
     * True for a look or a listen before a gauge is put on, where it tells at least as much for its cost and half as much in all:
     * the hose is looked at before the draft is measured. Common practice, no source; the half is ours.
     */
    private boolean looksBefore(Proposal other) {
        boolean gauge = other.test instanceof Test.Reading reading && reading.place() instanceof Place.Gauge;
        boolean look = test instanceof Test.Check check && check.sense().onlyPerceives();
        return gauge && look && cost < other.cost && bitsPerCost() >= other.bitsPerCost() && bits >= WORTH_A_LOOK * other.bits;
    }

    /** How much a test dares: to look and listen, to measure and touch, to change a part. */
    private int risk() {
        if (!(test instanceof Test.Check check)) {
            return test instanceof Test.Sequence ? 0 : 1;
        }
        if (check.change().kind() == Change.Kind.FED) {
            return 2;
        }
        return switch (check.sense()) {
            case LOOK, SMELL, HEAR, CYCLES, WARM, ASK, COMPLAINT -> 0;
            case SWAP, SUBSTITUTE -> 2;
            default -> 1;
        };
    }

    /** Information for its cost: de Kleer and Williams (1987), with the cost added. */
    public double bitsPerCost() {
        return bits / cost;
    }
}
