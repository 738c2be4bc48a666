package bricksignal.casework;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.When;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A case from the field: what was seen, in this order, and what a good technician concludes from it. Common practice, no published
 * source; entered through casework as a person would.
 */
final class FieldCase {

    /** A technician who concludes thinks his cause more likely than any other by so much at least. */
    private static final double CLEARLY = 3;
    static final int LONGEST = 40;

    private final String name;
    private final CaseUnit unit;
    private final String truth;
    private final int count;
    private final List<Entry> seen = new ArrayList<>();
    private Set<String> never = Set.of();
    private String other = "";
    private boolean seldom;

    /**
     * A case.
     *
     * @param truth the fault that the unit has, by id
     * @param count observations that a practitioner needs to be sure
     */
    FieldCase(String name, CaseUnit unit, String truth, int count) {
        this.name = name;
        this.unit = unit;
        this.truth = truth;
        this.count = count;
    }

    FieldCase lamp(String pattern) {
        return lamp(null, pattern);
    }

    FieldCase lamp(@Nullable String board, String pattern) {
        seen.add(new Entry.Pattern(board, pattern));
        return this;
    }

    FieldCase reads(String test, String display) {
        seen.add(new Entry.TestReading(test, display));
        return this;
    }

    /** What stands on the part that the next reading is judged against. */
    FieldCase stamped(String test, String value) {
        seen.add(new Entry.Stamped(test, value));
        return this;
    }

    FieldCase yes(String check) {
        seen.add(new Entry.Answer(check, true));
        return this;
    }

    FieldCase no(String check) {
        seen.add(new Entry.Answer(check, false));
        return this;
    }

    /** Somebody was here so many days ago and reset it, and it ran. */
    FieldCase resetAt(double days) {
        seen.add(new Entry.Visited(days, null, true));
        return this;
    }

    /** A part was changed so many days ago, and it fails as it did before. */
    FieldCase changedInVain(double days, String part) {
        seen.add(new Entry.Visited(days, part, false, true));
        return this;
    }

    /** What the customer noticed, by question. */
    FieldCase told(String question, boolean yes) {
        seen.add(new Entry.Answer("told." + question, yes));
        return this;
    }

    /** A voltage or a resistance that no test foresees. */
    FieldCase free(MeterMode mode, String red, String black, String moment, String display) {
        seen.add(new Entry.FreeReading(black, red, mode, moment, display));
        return this;
    }

    /** Answered at another time. */
    FieldCase then(When when, String check, boolean yes) {
        seen.add(new Entry.Earlier(new Entry.Answer(check, yes), when));
        return this;
    }

    /** It came on, ran, and died: what went first, what stayed. */
    FieldCase died(double minutes, @Nullable String first, @Nullable String stays) {
        seen.add(new Entry.Died(minutes, first, stays));
        return this;
    }

    /** The fault comes and goes. */
    FieldCase seldom() {
        seldom = true;
        return this;
    }

    FieldCase twins(int alike) {
        for (int i = 0; i < alike; i++) {
            seen.add(new Entry.Twin("twin-" + i, true));
        }
        return this;
    }

    /** Parts that must not be proven at any moment, by id. */
    FieldCase never(String... parts) {
        never = Set.of(parts);
        return this;
    }

    /** A part that the conclusion leaves open beside that of the truth, by id. */
    FieldCase or(String part) {
        other = part;
        return this;
    }

    String part() {
        return unit.model().fault(truth).part();
    }

    /** Everything entered as it was seen. */
    void concludes() {
        Case now = Case.of(unit, bricksignal.core.diagnosis.plan.Policy.defaults());
        for (Entry entry : seen) {
            now = entered(now, entry);
            neverProven(now);
        }
        Diagnosis d = now.diagnosis();
        Hypothesis leader = d.hypothesis(d.leader());
        assertThat(leader.parts().stream().map(Part::id)).as("%s: led by %s at %.2f, then %s", name, d.leader().text(), d.belief(d.leader()),
                d.ranking().stream().limit(4).map(HypothesisId::text).toList()).contains(part());
        Map<String, Double> parts = new LinkedHashMap<>();
        d.hypotheses().forEach(h -> parts.merge(d.hypothesis(h).part().id(), d.belief(h), Double::sum));
        double concluded = parts.getOrDefault(part(), 0.0);
        assertThat(parts).as("%s: no other part is nearly as likely as %s", name, part()).allSatisfy((part, belief) ->
                assertThat(part.equals(part()) || part.equals(other) || belief * CLEARLY <= concluded).as("%s at %.2f", part, belief).isTrue());
    }

    /** From what was seen first, the program proposes and the unit answers: how many observations it takes to prove the part. */
    int observationsToProof(bricksignal.core.diagnosis.plan.Policy policy) {
        Case now = Case.of(unit, policy);
        for (Entry first : seen.stream().limit(1 + seen.stream().skip(1).takeWhile(FieldCase::isTold).count()).toList()) {
            now = entered(now, first);
        }
        for (int made = 1; made < LONGEST; made++) {
            neverProven(now);
            Advice advice = now.advice();
            if (!now.stops().isEmpty() || advice.verdict().status() == Verdict.Status.PROVEN && named(now).contains(part())) {
                return made;
            }
            if (advice.proposals().isEmpty()) {
                return LONGEST;
            }
            for (Entry entry : shows(now, advice.proposals().get(0).test())) {
                now = entered(now, entry);
            }
        }
        return LONGEST;
    }

    /** What the customer noticed is known before anything is seen. */
    private static boolean isTold(Entry entry) {
        return entry instanceof Entry.Answer answer && (answer.test().startsWith("told.") || answer.test().startsWith("complaint."));
    }

    /** Observations that a practitioner needs to be sure. */
    int count() {
        return count;
    }

    private void neverProven(Case now) {
        if (now.advice().verdict().status() == Verdict.Status.PROVEN) {
            assertThat(named(now)).as("%s: proven by the way", name).doesNotContainAnyElementsOf(never);
        }
    }

    private static List<String> named(Case now) {
        return now.advice().verdict().group().stream().flatMap(h -> now.diagnosis().hypothesis(h).parts().stream()).map(Part::id).toList();
    }

    private Case entered(Case now, Entry entry) {
        Case then = now.and(Units.filed("e" + (now.lines().size() + 1), entry, null));
        assertThat(then.lines().get(then.lines().size() - 1).filed().entry()).as("%s: %s is understood", name, entry).isEqualTo(entry);
        return then;
    }

    /** What the unit shows in a test, entered as a person would. */
    private List<Entry> shows(Case now, Test test) {
        boolean failing = now.diagnosis().hypotheses().contains(new HypothesisId.Failing(truth));
        HypothesisId shown = seldom && !failing ? new HypothesisId.Intermittent(truth) : unit.pack().space().single(truth);
        return Shown.by(unit.pack(), test, now.diagnosis().now(shown));
    }

    @Override
    public String toString() {
        return name;
    }
}
