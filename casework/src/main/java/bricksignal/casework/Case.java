package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.DangerTest;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A visit to a unit as far as it has come: its entries in the order received, what they tell, the belief, the advice. Immutable;
 * one entry more makes another case out of this one, computing only what is new. Safe for use by several threads.
 */
public final class Case {

    /** Measured: the advice and the first page of a case of the largest family, with all its suspects (docs/benchmarks.md). */
    private static final long BYTES_OF_A_PAGE = 150_000;
    /** An entry as it was written, what it tells, and its label on the page. */
    private static final long BYTES_OF_A_LINE = 1_500;

    private final CaseUnit unit;
    private final Policy policy;
    private final List<Line> lines;
    private final Diagnosis diagnosis;
    private final Diagnosis before;
    private final Stand standing;
    private final boolean powerCycled;
    private final @Nullable String call;
    private final Stamps stamps;
    private volatile @Nullable Map<Stop, Filed> stops;
    private volatile @Nullable Advice advice;
    private volatile @Nullable Verdict verdict;

    private Case(CaseUnit unit, Policy policy, List<Line> lines, Diagnosis diagnosis, Diagnosis before, Stand standing,
            boolean powerCycled, @Nullable String call, Stamps stamps) {
        this.unit = unit;
        this.policy = policy;
        this.lines = List.copyOf(lines);
        this.diagnosis = diagnosis;
        this.before = before;
        this.standing = standing;
        this.powerCycled = powerCycled;
        this.call = call;
        this.stamps = stamps;
    }

    /** A case with nothing entered yet. */
    public static Case of(CaseUnit unit, Policy policy) {
        Diagnosis nothing = Diagnosis.of(unit.pack());
        return new Case(unit, policy, List.of(), nothing, nothing, Stand.AS_FOUND, false, null, Stamps.NONE);
    }

    /** A case with these entries, oldest first. What this unit does not understand counts as nothing. */
    public static Case of(CaseUnit unit, Policy policy, List<Filed> entries) {
        return anew(of(unit, policy), entries);
    }

    /** The same with one entry more; what this unit does not understand counts as nothing. */
    public Case and(Filed filed) {
        if (goesOn(filed)) {
            return added(filed);
        }
        List<Filed> entries = new ArrayList<>(entries());
        entries.add(filed);
        return anew(of(unit, policy), entries);
    }

    /** The same under another policy. */
    public Case under(Policy other) {
        return other.equals(policy) ? this : new Case(unit, other, lines, diagnosis, before, standing, powerCycled, call, stamps);
    }

    public CaseUnit unit() {
        return unit;
    }

    /** About how many bytes it takes beside its unit, what it will have shown on a screen among it. For holding cases by weight. */
    public long bytes() {
        return BYTES_OF_A_PAGE + BYTES_OF_A_LINE * lines.size() + diagnosis.bytes() + before.bytes();
    }

    public Policy policy() {
        return policy;
    }

    /** The entries with what each tells, oldest first. */
    public List<Line> lines() {
        return lines;
    }

    /** The entries, oldest first. */
    public List<Filed> entries() {
        return lines.stream().map(Line::filed).toList();
    }

    /** What is believed. */
    public Diagnosis diagnosis() {
        return diagnosis;
    }

    /** What was believed before the last observation. */
    public Diagnosis before() {
        return before;
    }

    /** Whether the power was cycled before anybody looked. */
    public boolean powerCycled() {
        return powerCycled;
    }

    /** What was typed off the parts. */
    public Stamps stamps() {
        return stamps;
    }

    /** How the unit stands after the last reading. */
    public Stand standing() {
        return standing;
    }

    /** Weighs tests by the company's policy. */
    public Planner planner() {
        return Planner.of(unit.pack(), policy);
    }

    /** What was found that ends the diagnosis and is not put right yet, most dangerous first, each with the entry that found it. */
    public Map<Stop, Filed> stops() {
        Map<Stop, Filed> known = stops;
        if (known == null) {
            known = Stops.of(unit.model(), lines);
            stops = known;
        }
        return known;
    }

    /** True for a test that may be made as the unit stands: all of them, or those that what was found leaves. */
    public boolean mayBeMade(Test test) {
        return Stops.leave(unit, stops().keySet(), test);
    }

    /** What is asked before anything is touched and was not answered yet. */
    public List<Test.Check> askedFirst() {
        return unit.pack().catalogue().tests().stream().filter(test -> test instanceof Test.Check && DangerTest.comesFirst(test)
                && diagnosis.observations().stream().noneMatch(o -> o.made(test))).map(Test.Check.class::cast).toList();
    }

    /** What to do next, and what can be said. */
    public Advice advice() {
        Advice known = advice;
        if (known == null) {
            known = Advice.of(diagnosis, planner(), standing).only(this::mayBeMade);
            advice = known;
        }
        return known;
    }

    /** What can be said; for a case of which no advice is asked, without weighing what to do next. */
    public Verdict verdict() {
        Advice known = advice;
        Verdict said = known == null ? verdict : known.verdict();
        if (said == null) {
            said = ProofGate.verdict(diagnosis, policy.school());
            verdict = said;
        }
        return said;
    }

    /** Temporary changes that are in the unit: put in and neither taken out nor taken back. */
    public List<Filed> changesIn() {
        return lines.stream().filter(line -> line.counts() && line.filed().entry() instanceof Entry.ChangeIn).map(Line::filed)
                .toList();
    }

    /** That a lead lets a board be changed that is not proven, the last time it was said. */
    public Optional<Entry.Allowed> allowed(String board) {
        return lines.stream().filter(Line::counts).flatMap(line -> line.filed().entry() instanceof Entry.Allowed allowed && allowed.part().equals(board)
                ? Stream.of(allowed) : Stream.empty()).reduce((first, last) -> last);
    }

    /** The parts that are ordered, by id. */
    public List<String> ordered() {
        return lines.stream().filter(Line::counts).flatMap(line -> line.filed().entry() instanceof Entry.Ordered ordered ? Stream.of(ordered.part()) : Stream.empty())
                .distinct().toList();
    }

    /** What a temporary change is. */
    public Message change(Entry.ChangeIn change) {
        String text = change.text();
        return text != null ? Message.said(text) : new EntryReader(unit.pack(), stamps).change(String.valueOf(change.test()));
    }

    /** What was entered of the run that is being watched: since the last one that was watched to its end. */
    public List<Entry> run() {
        List<Entry> run = new ArrayList<>();
        for (Line line : lines) {
            if (line.counts() && line.filed().entry() instanceof Entry.Watched) {
                run.clear();
            } else if (line.counts() && (line.filed().entry() instanceof Entry.Seen
                    || line.filed().entry() instanceof Entry.Missed)) {
                run.add(line.filed().entry());
            }
        }
        return run;
    }

    /** The entry of that name in this case, or null. */
    public @Nullable Line line(String id) {
        return lines.stream().filter(line -> line.filed().id().equals(id)).findFirst().orElse(null);
    }

    /** The case as it stood before each repair that counts, oldest first. */
    public List<Case> beforeRepairs() {
        List<Case> before = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).counts() && lines.get(i).filed().entry() instanceof Entry.Repaired) {
                before.add(of(unit, policy, entries().subList(0, i)));
            }
        }
        return before;
    }

    /** True where an entry only adds to what is known: it takes nothing back and changes nothing that was said before. */
    private boolean goesOn(Filed filed) {
        boolean twinAgain = filed.entry() instanceof Entry.Twin twin && lines.stream().anyMatch(line ->
                line.filed().entry() instanceof Entry.Twin other && other.unit().equals(twin.unit()));
        boolean ofAll = filed.entry() instanceof Entry.PowerCycled || complaint(filed.entry()) != null || filed.entry() instanceof Entry.Stamped;
        return filed.supersedes() == null && !ofAll && !twinAgain;
    }

    private Case added(Filed filed) {
        Line line = line(filed, true);
        List<Line> more = new ArrayList<>(lines);
        more.add(line);
        Diagnosis now = diagnosis;
        Diagnosis last = before;
        Stand stands = standing;
        for (Observation observation : line.observations()) {
            last = now;
            now = now.and(observed(observation));
            stands = observation instanceof Observation.Repaired ? Stand.AS_FOUND : observation.about().map(stands::after).orElse(stands);
        }
        return new Case(unit, policy, more, now, last, stands, powerCycled, call, stamps);
    }

    private Line line(Filed filed, boolean counts) {
        try {
            EntryReader.Told told = new EntryReader(unit.pack(), stamps).read(filed.entry(), run());
            return new Line(filed, told.observations(), told.lamp(), counts);
        } catch (Refused refused) {
            return new Line(EntryReader.unread(filed, refused), List.of(), null, counts);
        }
    }

    private Observation observed(Observation observation) {
        return observation instanceof Observation.Lamp lamp ? new Observation.Lamp(lamp.board(), lamp.weights(), powerCycled, call) : observation;
    }

    /** The run that a yes to the question what fails picks; null for any other entry, and for what this unit does not understand. */
    private @Nullable String complaint(Entry entry) {
        return entry instanceof Entry.Answer answer && answer.yes() ? unit.pack().catalogue().tests().stream()
                .filter(test -> test.id().equals(answer.test()) && test instanceof Test.Check check && check.sense() == Test.Sense.COMPLAINT && !CustomerTest.asks(check))
                .map(test -> unit.model().moment(test.moment()).scenario()).findFirst().orElse(null) : null;
    }

    private static Case anew(Case empty, List<Filed> entries) {
        Set<String> out = outdated(entries);
        boolean cycled = entries.stream().filter(e -> e.entry() instanceof Entry.PowerCycled && !out.contains(e.id()))
                .reduce((first, last) -> last).map(e -> ((Entry.PowerCycled) e.entry()).yes()).orElse(false);
        String usual = empty.unit.model().scenarios().get(0).id();
        String call = entries.stream().filter(e -> !out.contains(e.id())).map(e -> empty.complaint(e.entry())).filter(Objects::nonNull)
                .reduce((first, last) -> last).filter(run -> !run.equals(usual)).orElse(null);
        Case now = new Case(empty.unit, empty.policy, List.of(), empty.diagnosis, empty.before, empty.standing, cycled, call,
                stamps(empty.unit, entries, out));
        for (Filed filed : entries) {
            if (out.contains(filed.id())) {
                List<Line> more = new ArrayList<>(now.lines);
                more.add(now.line(filed, false));
                now = new Case(now.unit, now.policy, more, now.diagnosis, now.before, now.standing, cycled, call, now.stamps);
            } else {
                now = now.added(filed);
            }
        }
        return now;
    }

    /** What was typed off the parts; what this unit does not understand counts as nothing. */
    private static Stamps stamps(CaseUnit unit, List<Filed> entries, Set<String> out) {
        EntryReader reader = new EntryReader(unit.pack(), Stamps.NONE);
        Stamps stamps = Stamps.NONE;
        for (Filed filed : entries) {
            if (filed.entry() instanceof Entry.Stamped stamped && !out.contains(filed.id())) {
                stamps = reader.and(stamps, stamped);
            }
        }
        return stamps;
    }

    /** The entries of a log that still stand: neither taken back nor replaced. Nothing is reasoned of them. */
    public static List<Filed> standing(List<Filed> entries) {
        Set<String> out = outdated(entries);
        return entries.stream().filter(filed -> !out.contains(filed.id())).toList();
    }

    /** What was taken back or replaced, and what was said of a twin before the last time. */
    private static Set<String> outdated(List<Filed> entries) {
        Set<String> out = new HashSet<>();
        for (int i = entries.size() - 1; i >= 0; i--) {
            String target = entries.get(i).supersedes();
            if (target != null && !out.contains(entries.get(i).id())) {
                out.add(target);
            }
        }
        Map<String, String> lastOfTwin = new LinkedHashMap<>();
        for (Filed filed : entries) {
            if (filed.entry() instanceof Entry.Twin twin && !out.contains(filed.id())) {
                String before = lastOfTwin.put(twin.unit(), filed.id());
                if (before != null) {
                    out.add(before);
                }
            }
        }
        return out;
    }
}
