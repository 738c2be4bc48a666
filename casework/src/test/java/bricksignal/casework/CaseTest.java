package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.ROOFTOP;
import static bricksignal.casework.Units.belief;
import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.Details;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.When;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class CaseTest {

    private static final Entry HOSE = new Entry.Pattern(null, "4 flashes");
    private static final Entry OPEN_IGNITER = new Entry.TestReading("ohms-igniter", "OL");

    /** One entry more gives the belief that everything computed anew gives, whatever was entered, taken back or corrected. */
    @Property(tries = 60)
    void oneEntryMoreIsAsEverythingAnew(@ForAll("logs") List<Filed> log) {
        Case grown = fresh(FURNACE);
        for (Filed filed : log) {
            grown = grown.and(filed);
        }
        Case anew = Case.of(FURNACE, Policy.defaults(), log);
        assertSameBelief(grown.diagnosis(), anew.diagnosis());
        List<Observation> counted = new ArrayList<>();
        grown.lines().stream().filter(Line::counts).forEach(line -> counted.addAll(line.observations()));
        Diagnosis whole = Diagnosis.of(FURNACE.pack(), grown.diagnosis().observations());
        assertSameBelief(grown.diagnosis(), whole);
        assertThat(grown.diagnosis().observations()).hasSameSizeAs(counted);
        assertThat(grown.powerCycled()).isEqualTo(anew.powerCycled());
    }

    private static void assertSameBelief(Diagnosis one, Diagnosis other) {
        assertThat(one.hypotheses()).isEqualTo(other.hypotheses());
        one.hypotheses().forEach(id -> assertThat(one.belief(id)).as(id.text()).isCloseTo(other.belief(id), within(1e-12)));
        assertThat(one.unexplained()).isCloseTo(other.unexplained(), within(1e-12));
        one.unlisted().forEach((id, odds) -> assertThat(odds).isCloseTo(other.unlisted().get(id), within(1e-9 * (1 + odds))));
    }

    @Provide
    Arbitrary<List<Filed>> logs() {
        List<Entry> entries = List.of(HOSE, new Entry.Pattern(null, "heartbeat"), OPEN_IGNITER, new Entry.TestReading("ohms-igniter", "52"),
                new Entry.TestReading("v.R.standby", "27"), new Entry.TestReading("v.PSI.purge", "0.1"),
                new Entry.TestReading("draft-gauge", "0.39"), new Entry.Answer("see-hose", true), new Entry.Answer("see-door", false),
                new Entry.FreeReading(null, "SEC", MeterMode.AC_VOLTS, "standby", "14"), new Entry.PowerCycled(true),
                new Entry.PowerCycled(false), new Entry.Seen("inducer", true, 2), new Entry.Seen("flame", true, 26),
                new Entry.Seen("flame", false, 31), new Entry.Watched(120), new Entry.Twin("u1", true), new Entry.Twin("u1", false),
                new Entry.Repaired("igniter"), new Entry.Answer("watch.cycles", true), new Entry.Note("x"),
                new Entry.ChangeIn("try-jumper", null), new Entry.Answer("gone", true),
                new Entry.Answer("complaint.cooling", true), new Entry.Answer("complaint.thermostat", false),
                new Entry.Earlier(HOSE, When.LAST_NIGHT), new Entry.Died(6, "IND", "R"), new Entry.Visited(3, "igniter", true),
                new Entry.Stamped("draft-gauge", "0.35"), new Entry.Stamped("draft-gauge", "0.70"), new Entry.Stamped("gone", "1"));
        Arbitrary<Entry> any = Arbitraries.of(entries);
        return any.list().ofMinSize(1).ofMaxSize(14).flatMap(list -> Arbitraries.integers().between(-3 * list.size(), list.size() - 1)
                .map(taken -> {
                    List<Filed> log = new ArrayList<>(filed(list.toArray(new Entry[0])));
                    if (taken >= 0) {
                        log.add(filed("back", new Entry.TakeBack(), "e" + (taken + 1)));
                    }
                    return log;
                }));
    }

    @Test
    void takingBackATakingBackMakesTheEntryCountAgain() {
        Case with = with(FURNACE, OPEN_IGNITER);
        Case without = with.and(filed("b", new Entry.TakeBack(), "e1"));
        Case again = without.and(filed("c", new Entry.TakeBack(), "b"));
        assertThat(belief(without, "igniter-open")).isEqualTo(belief(fresh(FURNACE), "igniter-open"));
        assertThat(belief(again, "igniter-open")).isEqualTo(belief(with, "igniter-open"));
        assertThat(again.lines()).as("nothing is removed").hasSize(3);
    }

    @Test
    void powerThatWasCycledChangesWhatTheLampSaidBefore() {
        Case found = with(FURNACE, new Entry.Pattern(null, "heartbeat"));
        Case reset = found.and(filed("r", new Entry.PowerCycled(true), null));
        assertThat(belief(reset, "igniter-open")).isGreaterThan(1.5 * belief(found, "igniter-open"));
    }

    /** A lamp that only waits is as it should be in the usual run of nobody; whoever called for no cooling has cooling called for just now. */
    @Test
    void complaintPicksTheRunInWhichTheLampIsRead() {
        Entry waits = new Entry.Pattern("unit-board", "slow");
        Case heating = with(ROOFTOP, waits, new Entry.Answer("complaint.heating", true));
        Case cooling = with(ROOFTOP, waits, new Entry.Answer("complaint.cooling", true));
        assertThat(belief(heating, "field-w-open")).isGreaterThan(0.1).isGreaterThan(20 * belief(heating, "field-y-open"));
        assertThat(belief(cooling, "field-y-open")).isGreaterThan(0.3).isGreaterThan(20 * belief(cooling, "field-w-open"));
        Case back = cooling.and(filed("b", new Entry.TakeBack(), "e2"));
        assertThat(belief(back, "field-y-open")).as("taken back").isEqualTo(belief(with(ROOFTOP, waits), "field-y-open"));
    }

    /** What is complained of speaks by itself against what does nothing in that call. */
    @Test
    void complaintIsEvidence() {
        Case cooling = with(ROOFTOP, new Entry.Answer("complaint.cooling", true));
        assertThat(belief(cooling, "charge-low")).isGreaterThan(1.5 * belief(fresh(ROOFTOP), "charge-low"));
        assertThat(belief(cooling, "electrode-gap")).isLessThan(0.5 * belief(fresh(ROOFTOP), "electrode-gap"));
    }

    @Test
    void lastWordOnATwinCounts() {
        Case now = with(ROOFTOP, new Entry.Twin("a", true), new Entry.Twin("b", true), new Entry.Twin("a", false));
        assertThat(now.lines().stream().map(Line::counts)).containsExactly(false, true, true);
    }

    /** What should have come, is seen by a person and was not tapped did not come; a second run is another one. */
    @Test
    void watchedRunTellsWhatDidNotCome() {
        Case now = with(FURNACE, new Entry.Seen("inducer", true, 2), new Entry.Watched(120));
        List<String> missed = now.lines().get(1).observations().stream().map(o -> ((Observation.NotSeen) o).channel()).toList();
        assertThat(missed).contains("igniter", "flame", "blower").doesNotContain("inducer", "draft");
        assertThat(now.run()).isEmpty();
        Case early = with(FURNACE, new Entry.Seen("inducer", true, 2), new Entry.Watched(8));
        assertThat(early.lines().get(1).observations()).as("nothing else was due").isEmpty();
        Case second = now.and(filed("s", new Entry.Seen("inducer", true, 3), null)).and(filed("w", new Entry.Watched(120), null));
        assertThat(second.lines().get(3).observations()).hasSameSizeAs(now.lines().get(1).observations());
    }

    /** An entry that the unit does not understand (any more) is shown, can be taken back, counts as nothing and breaks nothing. */
    @Test
    void entryThatTheUnitDoesNotUnderstandBreaksNothing() {
        Case now = with(FURNACE, new Entry.TestReading("renamed-test", "27"), new Entry.Unread("SNIFFED", "{}", "unknown"), OPEN_IGNITER,
                new Entry.Repaired("gone"), new Entry.FreeReading("C", "gone", MeterMode.AC_VOLTS, "standby", "1"),
                new Entry.ChangeIn("gone", null), new Entry.Seen("gone", true, 3));
        assertThat(belief(now, "igniter-open")).isEqualTo(belief(with(FURNACE, OPEN_IGNITER), "igniter-open"));
        CasePage page = CasePages.of(now);
        assertThat(page.log()).hasSize(7);
        assertThat(ENGLISH.words(page.log().get(0).what())).contains("From an older version");
        assertThat(ENGLISH.words(page.log().get(0).found())).contains("renamed-test");
        Case back = now.and(filed("b", new Entry.TakeBack(), "e1"));
        assertThat(back.lines().get(0).counts()).isFalse();
    }

    /** The same draft is low for a switch that wants 0.70 and in order for one that wants 0.26; whichever is typed first. */
    @Test
    void draftIsJudgedAgainstWhatStandsOnTheSwitch() {
        Entry draft = new Entry.TestReading("draft-gauge", "0.36");
        Case high = with(FURNACE, HOSE, new Entry.Stamped("draft-gauge", "0.70"), draft);
        Case low = with(FURNACE, HOSE, draft, new Entry.Stamped("draft-gauge", "0.26"));
        assertThat(belief(high, "hose-leaks")).isEqualTo(belief(with(FURNACE, HOSE, draft), "hose-leaks")).isGreaterThan(0.3);
        assertThat(belief(low, "hose-leaks")).isLessThan(0.02);
        CasePage.LogLine line = CasePages.of(low).log().get(1);
        assertThat(ENGLISH.words(line.found())).as("as it was typed").isEqualTo("0.36 in. w.c.");
        assertThat(ENGLISH.words(line.due())).as("0.95 of the pack's own, at its ratio").isEqualTo("0.35 in. w.c.");
        assertThat(ENGLISH.words(line.judgement())).contains("138% of the draft on the switch").contains("0.26 in. w.c.");
    }

    /** No reading finds a bridge across a limit; who sees one is told what it means. */
    @Test
    void bridgedSafetyIsSaidToBeOne() {
        CasePage bridged = CasePages.of(with(FURNACE, new Entry.Answer("see-left.limit", true)));
        assertThat(ENGLISH.words(bridged.log().get(0).judgement())).contains("a safety is bypassed").contains("not run the unit like this");
        CasePage sound = CasePages.of(with(FURNACE, new Entry.Answer("see-left.limit", false)));
        assertThat(ENGLISH.words(sound.log().get(0).judgement())).doesNotContain("bypassed");
        assertThat(Details.before(Case.of(FURNACE, Policy.defaults()))).extracting(line -> line.id()).contains("see-left.limit");
    }

    @Test
    void stampThatStandsOnNothingCountsAsNothing() {
        Case now = with(FURNACE, new Entry.Stamped("ohms-igniter", "50"), new Entry.Stamped("draft-gauge", "-1"));
        assertThat(now.stamps().typed()).isEmpty();
        assertThat(CasePages.of(now).log()).allSatisfy(l -> assertThat(ENGLISH.words(l.what())).contains("From an older version"));
    }

    @Test
    void whatWasSoThenIsShownWithItsTime() {
        Case now = with(FURNACE, new Entry.Earlier(HOSE, When.BEFORE_RESET), new Entry.Died(11, "IND", "R"), new Entry.Visited(2, "igniter", true));
        List<CasePage.LogLine> log = CasePages.of(now).log();
        assertThat(ENGLISH.words(log.get(0).what())).isEqualTo("Before the reset: Lamp, as found");
        assertThat(ENGLISH.words(log.get(1).found())).startsWith("after 11 min, ").contains("dropped out first").contains("still present");
        assertThat(ENGLISH.words(log.get(2).found())).isEqualTo("2 days ago, changed: hot-surface igniter, reset since, and it ran");
    }

    @Test
    void temporaryChangeIsInUntilItIsOut() {
        Case in = with(FURNACE, new Entry.ChangeIn("try-jumper", null), new Entry.ChangeIn(null, "door switch held"));
        assertThat(CasePages.of(in).changes()).extracting(change -> ENGLISH.words(change.what())).containsExactly(
                "R to W jumped at the board with the thermostat quiet", "door switch held");
        Case out = in.and(filed("o", new Entry.ChangeOut(), "e1"));
        assertThat(CasePages.of(out).changes()).extracting(change -> ENGLISH.words(change.what())).containsExactly("door switch held");
    }

    @Test
    void suspectsShowWhatTheyWereBeforeTheLastReading() {
        Case now = with(FURNACE, HOSE, OPEN_IGNITER);
        CasePage.Suspect first = CasePages.of(now).suspects().get(0);
        assertThat(first.before()).isEqualTo(now.before().belief(now.diagnosis().leader()));
        assertThat(first.before()).isNotEqualTo(first.probability());
    }

    @Test
    void everySuspectIsShownOrCleared() {
        CasePage page = CasePages.of(with(FURNACE, HOSE, new Entry.Answer("see-hose", true)));
        assertThat(page.suspects().size() + page.cleared().size()).isGreaterThanOrEqualTo(FURNACE.pack().space().considered().size());
        assertThat(page.suspects().stream().mapToDouble(CasePage.Suspect::probability).sum()).isBetween(0.5, 1.0 + 1e-9);
    }

    @Test
    void planSaysWhatComesAfterEachOutcome() {
        List<Details.Way> plan = Details.plan(with(FURNACE, HOSE));
        assertThat(plan).hasSizeGreaterThanOrEqualTo(2);
        assertThat(plan.stream().mapToDouble(Details.Way::probability).sum()).isBetween(0.9, 1.0001);
    }

    @Test
    void looksBeforeThePowerAreTheMostTellingFirstAndAskedOnce() {
        List<String> before = Details.before(with(FURNACE, HOSE)).stream().map(t -> t.id()).toList();
        assertThat(before).contains("see-hose").doesNotContain("see-glow");
        assertThat(Details.before(with(FURNACE, HOSE, new Entry.Answer("see-hose", false))).stream().map(t -> t.id()))
                .doesNotContain("see-hose");
    }

    /** Whoever looks goes to each place once; the smell of gas is asked wherever that is. */
    @Test
    void looksBeforePowerGoFromPlaceToPlace() {
        List<Details.LookLine> looks = Details.before(Case.of(FURNACE, Policy.defaults()));
        assertThat(looks.get(0).danger()).isTrue();
        List<String> walk = looks.stream().filter(look -> !look.danger()).map(look -> ENGLISH.words(look.place())).toList();
        List<String> stops = IntStream.range(0, walk.size()).filter(i -> i == 0 || !walk.get(i).equals(walk.get(i - 1))).mapToObj(walk::get).toList();
        assertThat(stops).doesNotHaveDuplicates().contains("At the burner", "At the blower", "At the vent and inducer", "At the thermostat");
        assertThat(looks).filteredOn(look -> look.id().equals("see-hose")).extracting(look -> ENGLISH.words(look.place())).containsExactly("At the vent and inducer");
    }

    /** One tap answers what is as in a healthy unit: a yes for what runs there, a no for what is broken, and never a danger. */
    @Test
    void looksBeforePowerSayWhatAHealthyUnitAnswers() {
        Map<String, Details.LookLine> looks = Details.before(Case.of(FURNACE, Policy.defaults())).stream().collect(Collectors.toMap(Details.LookLine::id, look -> look));
        assertThat(looks.get("see-hose").healthy()).as("no hose is off").isFalse();
        assertThat(looks.values()).filteredOn(Details.LookLine::danger).extracting(Details.LookLine::id).containsExactly("danger.gas-smell");
        assertThat(looks.values()).filteredOn(Details.LookLine::healthy).as("what runs in a healthy unit").isNotEmpty();
    }
}
