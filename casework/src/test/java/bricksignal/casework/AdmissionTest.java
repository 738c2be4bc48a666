package bricksignal.casework;

import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.Details;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.Place;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class AdmissionTest {

    private static Filed admit(Case before, Entry entry) {
        return Admission.admit(before, filed("new", entry, null), Set.of("twin"));
    }

    private static void refused(Case before, Entry entry, String field, String key) {
        assertThatThrownBy(() -> admit(before, entry)).isInstanceOfSatisfying(Refused.class, refused -> {
            assertThat(refused.field()).isEqualTo(field);
            assertThat(((Message.Keyed) refused.says()).key()).isEqualTo(key);
            assertThat(Units.ENGLISH.sentence(refused.says())).endsWith(".").doesNotContain("{");
        });
    }

    /** An input stage that died between two supplies: a new board dies of them too, so that the change waits until they are apart. */
    @Test
    void whatDiedOfACauseIsNotChangedWhileTheCauseStands() {
        CaseUnit roof = Units.shipped("f15-relayboard");
        Case found = with(roof, new Entry.Pattern("board", "display 00"), new Entry.TestReading("v.Y.cool", "22"), new Entry.TestReading("v.Y-in.cool", "0"),
                new Entry.TestReading("between", "51"), new Entry.TestReading("across-y", "48"), new Entry.Answer("see-on-y", true),
                new Entry.TestReading("v.iso-Y.called", "0"), new Entry.Answer("see-on-r", false));
        assertThat(found.advice().verdict().leader().text()).as("and what it killed is dead from the start").isEqualTo("on-y-opposite.spent");
        assertThat(found.advice().verdict().damaged()).containsExactly("board");
        refused(found, new Entry.Repaired("board"), "part", "entry.cause-first");
        Case apart = found.and(admit(found, new Entry.Repaired("crossing")));
        assertThat(apart.advice().verdict().damaged()).doesNotContain("board");
    }

    @Test
    void visitDoesNotGrowWithoutEnd() {
        Case full = Case.of(FURNACE, bricksignal.core.diagnosis.plan.Policy.defaults(), IntStream.range(0, Admission.MOST_ENTRIES)
                .mapToObj(i -> filed("n" + i, new Entry.Note("again"), null)).toList());
        refused(full, new Entry.Note("once more"), "kind", "entry.full");
    }

    // --- a board is not replaced before it is proven -------------------------------------------------------------------------------

    /** Everything that condemns the board for the igniter output, as a careful technician finds it. */
    private static Case provenBoard() {
        Case now = with(FURNACE, new Entry.Pattern(null, "7 flashes"));
        for (int i = 0; i < 60 && now.advice().verdict().status() != Verdict.Status.PROVEN; i++) {
            var test = now.advice().proposals().get(0).test();
            var prediction = FURNACE.pack().predictions().of(test, FURNACE.pack().space().single("board-igniter"));
            if (test instanceof bricksignal.core.unit.Test.Sequence) {
                for (Observation seen : FURNACE.pack().seenOf(FURNACE.pack().unit(FURNACE.pack().space().single("board-igniter")))) {
                    Entry entry = seen instanceof Observation.Event e ? new Entry.Seen(e.channel(), e.begins(), e.afterCall())
                            : new Entry.Missed(((Observation.NotSeen) seen).channel(), ((Observation.NotSeen) seen).until());
                    now = now.and(filed("s" + i + entry.hashCode(), entry, null));
                }
                continue;
            }
            Entry entry = prediction instanceof bricksignal.core.diagnosis.Prediction.Chance chance
                    ? new Entry.Answer(test.id(), chance.yes() >= 0.5) : new Entry.TestReading(test.id(), typed(
                    ((bricksignal.core.diagnosis.Prediction.Number) prediction).mean()));
            now = now.and(filed("t" + i, entry, null));
        }
        return now;
    }

    private static String typed(double value) {
        return Double.isInfinite(value) ? "OL" : bricksignal.core.words.Digits.of(value);
    }

    @Test
    void boardThatIsNotProvenIsNotRepaired() {
        Case indicated = with(FURNACE, new Entry.Pattern(null, "7 flashes"));
        refused(indicated, new Entry.Repaired("board"), "part", "entry.board-not-proven");
        assertThat(Details.repairs(indicated)).filteredOn(r -> r.board()).allMatch(r -> !r.offered());
        assertThat(admit(indicated, new Entry.Repaired("igniter")).entry()).isEqualTo(new Entry.Repaired("igniter"));
    }

    @Test
    void boardThatIsProvenIsRepairedOnce() {
        Case proven = provenBoard();
        assertThat(proven.advice().verdict().status()).isEqualTo(Verdict.Status.PROVEN);
        assertThat(Details.repairs(proven)).filteredOn(r -> r.board()).anyMatch(r -> r.offered());
        Filed repaired = admit(proven, new Entry.Repaired("board"));
        refused(proven.and(repaired), new Entry.Repaired("board"), "part", "entry.repaired-already");
    }

    /** Nobody but a lead, by name and with a reason, lets a board go that is not proven; the record keeps that it was so. */
    @Test
    void leadLetsABoardBeChangedByNameAndReason() {
        Case indicated = with(FURNACE, new Entry.Pattern(null, "7 flashes"));
        Entry.Allowed leave = new Entry.Allowed("board", "the customer leaves tonight and we have one here", "somebody else");
        refused(indicated, leave, "kind", "entry.needs-lead");
        refused(indicated, new Entry.Ordered("board"), "part", "entry.board-not-proven");
        assertThatThrownBy(() -> Admission.admit(indicated, filed("new", new Entry.Allowed("igniter", "why not", ""), null), Set.of(), new Signer("Odile", Set.of(), true)))
                .hasMessageContaining("not-a-board");
        Filed kept = Admission.admit(indicated, filed("new", leave, null), Set.of(), new Signer("Odile", Set.of(), true));
        assertThat(kept.entry()).isEqualTo(new Entry.Allowed("board", leave.reason(), "Odile"));
        Case let = indicated.and(kept);
        assertThat(let.diagnosis().ranking()).as("it tells nothing of the unit").isEqualTo(indicated.diagnosis().ranking());
        assertThat(admit(let, new Entry.Ordered("board")).entry()).isEqualTo(new Entry.Ordered("board"));
        Case changed = let.and(admit(let, new Entry.Repaired("board")));
        Details.Concluded concluded = Details.concluded(changed);
        assertThat(concluded.proven()).isFalse();
        assertThat(Units.ENGLISH.sentence(concluded.allowed())).contains("Odile").contains("leaves tonight");
        assertThat(Details.concluded(indicated).allowed()).isEqualTo(Message.NOTHING);
        assertThat(let.and(filed("back", new Entry.TakeBack(), "new")).allowed("board")).as("leave is taken back").isEmpty();
    }

    @Test
    void partsAreOrderedAndBoardsOnceTheyAreProven() {
        Case proven = provenBoard();
        assertThat(proven.and(admit(proven, new Entry.Ordered("board"))).ordered()).containsExactly("board");
        Case fresh = fresh(FURNACE);
        assertThat(fresh.and(admit(fresh, new Entry.Ordered("igniter"))).ordered()).containsExactly("igniter");
    }

    // --- what cannot be done here is left ---------------------------------------------------------------------------------------------

    /** A place that nobody gets at, a tool that is not there: the plan goes on without what needs it, says so, and takes it up again when that is taken back. */
    @Test
    void whatCannotBeDoneHereIsProposedNoMore() {
        Case now = with(FURNACE, new Entry.Pattern(null, "7 flashes"));
        bricksignal.core.unit.Test first = now.advice().proposals().get(0).test();
        Case without = now.and(admit(now, new Entry.Unable(first.id(), Obstacle.REACH)));
        assertThat(without.advice().proposals()).isNotEmpty().noneMatch(p -> p.test().equals(first));
        assertThat(without.diagnosis().ranking()).as("it tells nothing of the unit").isEqualTo(now.diagnosis().ranking());
        assertThat(without.advice().verdict().items()).noneMatch(item -> item.tests().contains(first.id()));
        Case noMeter = now.and(admit(now, new Entry.Unable("v.HSI.warm-up", Obstacle.TOOL)));
        assertThat(noMeter.advice().proposals()).noneMatch(p -> p.test() instanceof bricksignal.core.unit.Test.Reading r && r.mode() == MeterMode.AC_VOLTS);
        Case notThere = now.and(admit(now, new Entry.Unable("v.HSI.warm-up", Obstacle.FITTED)));
        assertThat(FURNACE.pack().catalogue().tests()).filteredOn(test -> now.diagnosis().possible(test) && !notThere.diagnosis().possible(test)).as("the same two points, whatever the moment and the meter")
                .hasSizeGreaterThan(1).allMatch(test -> test instanceof bricksignal.core.unit.Test.Reading r && r.place().same(((bricksignal.core.unit.Test.Reading) FURNACE.pack()
                        .catalogue().test("v.HSI.warm-up")).place()));
        assertThat(without.and(filed("back", new Entry.TakeBack(), "new")).advice().proposals().get(0).test()).isEqualTo(first);
        refused(now, new Entry.Unable("danger.gas-smell", Obstacle.TOOL), "test", "entry.asked-first");
    }

    // --- one place says which meter modes stand between two points -----------------------------------------------------------------

    @ParameterizedTest
    @EnumSource(MeterMode.class)
    void meterStandsBetweenTwoPointsOrIsRefused(MeterMode mode) {
        Entry entry = new Entry.FreeReading("hsi-ret", "hsi-plug", mode, mode.dead() ? "off" : "standby", "1");
        if (mode.betweenPoints()) {
            assertThat(fresh(FURNACE).and(admit(fresh(FURNACE), entry)).lines().get(0).observations()).hasSize(1);
        } else {
            refused(fresh(FURNACE), entry, "mode", "entry.refused");
        }
    }

    @Test
    void withoutABlackPointItIsTheUsualOne() {
        Case now = fresh(FURNACE).and(admit(fresh(FURNACE), new Entry.FreeReading(null, "L1", MeterMode.AC_VOLTS, "standby", "120")));
        Observation.Reading reading = (Observation.Reading) now.lines().get(0).observations().get(0);
        assertThat(reading.test().place()).isEqualTo(new Place.Across("N", "L1"));
    }

    /** A meter on ohms on a live circuit is a hazard, and away from "power off" it reads nothing. */
    @Test
    void ohmsAreRefusedWhereThereIsVoltageOrThePowerIsOn() {
        refused(fresh(FURNACE), new Entry.FreeReading("N", "L1", MeterMode.OHMS, "standby", "5"), "moment", "entry.hazard");
        refused(fresh(FURNACE), new Entry.FreeReading("hsi-ret", "hsi-plug", MeterMode.OHMS, "standby", "5"), "moment",
                "entry.not-off");
        assertThat(admit(fresh(FURNACE), new Entry.FreeReading("hsi-ret", "hsi-plug", MeterMode.OHMS, "off", "52"))).isNotNull();
    }

    /** A pack that calls its moments otherwise keeps its cautions and its rules: roles count, not names. */
    @Test
    void packThatRenamesItsMomentsKeepsItsCautions() {
        CaseUnit renamed = Units.furnace("renamed", text -> text.replaceAll("(?m)^  \"off\":( +)\\{label", "  cold:$1{label")
                .replace("moment: \"off\"", "moment: cold").replaceAll("(?m)^  found:( +)\\{label", "  arrived:$1{label")
                .replace("moment: found", "moment: arrived").replace("moments: [\"off\"]", "moments: [cold]").replace(", found]", ", arrived]"));
        var before = Details.test(fresh(FURNACE), "ohms-igniter").safety();
        assertThat(before.cautions()).extracting(caution -> caution.hazard()).contains(Hazard.DEAD_WORK);
        assertThat(Details.test(fresh(renamed), "ohms-igniter").safety()).isEqualTo(before);
        assertThat(Details.before(fresh(renamed))).hasSameSizeAs(Details.before(fresh(FURNACE)));
        refused(fresh(renamed), new Entry.FreeReading("hsi-ret", "hsi-plug", MeterMode.OHMS, "standby", "5"), "moment",
                "entry.not-off");
    }

    @Test
    void lineVoltageIsToldWhereItIsWithinReach() {
        assertThat(told(fresh(FURNACE), "v.HSI.warm-up")).contains(Hazard.LINE);
        assertThat(told(fresh(FURNACE), "feed.inducer-motor")).as("a cord is put on what is off").contains(Hazard.DEAD_WORK);
    }

    private static List<Hazard> told(Case now, String test) {
        return Details.test(now, test).safety().cautions().stream().filter(caution -> !caution.told()).map(caution -> caution.hazard()).toList();
    }

    /** With the power off for one test, and off for the next: told once; live again: how the first ended, and what is new in full. */
    @Test
    void whatCanHurtIsToldWhereItBeginsAndHowItEndsWhereItDoes() {
        assertThat(told(fresh(FURNACE), "ohms-igniter")).contains(Hazard.DEAD_WORK);
        Case off = with(FURNACE, new Entry.TestReading("ohms-igniter", "50"));
        assertThat(told(off, "ohms-igniter")).doesNotContain(Hazard.DEAD_WORK);
        assertThat(Details.test(off, "ohms-igniter").safety().cautions()).as("by name").anyMatch(caution -> caution.hazard() == Hazard.DEAD_WORK && caution.told());
        assertThat(Details.test(off, "ohms-igniter").safety().ended()).isEmpty();
        assertThat(told(off, "v.HSI.warm-up")).contains(Hazard.LINE);
        assertThat(Details.test(off, "v.HSI.warm-up").safety().ended()).contains(Hazard.DEAD_WORK.after());
        Case lit = with(FURNACE, new Entry.Answer("see-flame", true));
        assertThat(Details.test(lit, "ohms-igniter").safety().ended()).as("carbon monoxide is measured before one leaves, not before the next test").isEmpty();
        Case back = off.and(filed("back", new Entry.TakeBack(), "e1"));
        assertThat(told(back, "ohms-igniter")).as("what was taken back told nothing").contains(Hazard.DEAD_WORK);
    }

    /** A yes to the smell of gas is no reading to be taken again. */
    @Test
    void outcomeThatEndsTheWorkSaysSo() {
        var outcomes = Details.test(fresh(FURNACE), "danger.gas-smell").outcomes();
        assertThat(outcomes).anySatisfy(outcome -> assertThat(Units.ENGLISH.sentence(outcome.ends())).startsWith("Stops the work"));
        assertThat(Details.test(fresh(FURNACE), "ohms-igniter").outcomes()).allMatch(outcome -> outcome.ends().equals(Message.NOTHING));
    }

    @Test
    void actsOfTheGasAreForWhoeverHasTheLicence() {
        assertThat(Details.test(fresh(FURNACE), "feed.gas-valve").safety().needs()).containsExactly(bricksignal.core.unit.Stop.Licence.GAS);
        assertThat(Details.test(fresh(FURNACE), "ohms-igniter").safety().needs()).isEmpty();
        assertThat(Details.repairs(with(FURNACE, new Entry.Repaired("igniter")))).anySatisfy(repair -> {
            assertThat(repair.part()).isEqualTo("gas-valve");
            assertThat(repair.needs()).containsExactly(bricksignal.core.unit.Stop.Licence.GAS);
        });
    }

    // --- what an entry is about ----------------------------------------------------------------------------------------------------

    @Test
    void correctionIsTheSameReadingWithAnotherNumber() {
        Case now = with(FURNACE, new Entry.TestReading("ohms-igniter", "OL"), new Entry.Note("x"));
        Filed corrected = Admission.admit(now, filed("c", new Entry.Correction("51"), "e1"), Set.of());
        assertThat(corrected.entry()).isEqualTo(new Entry.TestReading("ohms-igniter", "51"));
        assertThatThrownBy(() -> Admission.admit(now, filed("c", new Entry.Correction("51"), "e2"), Set.of()))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Admission.admit(now, filed("c", new Entry.TakeBack(), "nowhere"), Set.of()))
                .isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource({"TAKE_BACK", "CHANGE_OUT", "CORRECTION"})
    void entryAboutAnotherMustNameIt(String kind) {
        Entry entry = kind.equals("TAKE_BACK") ? new Entry.TakeBack() : kind.equals("CHANGE_OUT") ? new Entry.ChangeOut()
                : new Entry.Correction("1");
        refused(fresh(FURNACE), entry, "supersedes", "entry.supersedes-what");
    }

    @Test
    void onlyAChangeIsTakenOutAndOnlyOnce() {
        Case now = with(FURNACE, new Entry.Note("x"), new Entry.ChangeIn("try-jumper", null));
        assertThatThrownBy(() -> Admission.admit(now, filed("o", new Entry.ChangeOut(), "e1"), Set.of())).isInstanceOf(Refused.class);
        Case out = now.and(Admission.admit(now, filed("o", new Entry.ChangeOut(), "e2"), Set.of()));
        assertThatThrownBy(() -> Admission.admit(out, filed("p", new Entry.ChangeOut(), "e2"), Set.of())).isInstanceOf(Refused.class);
    }

    @Test
    void changeOfATestIsWhatTheTestPutsIn() {
        assertThat(admit(fresh(FURNACE), new Entry.ChangeIn("feed.inducer-motor", null))).isNotNull();
        refused(fresh(FURNACE), new Entry.ChangeIn(null, "rollout bridged"), "text", "entry.change-typed");
        refused(fresh(FURNACE), new Entry.ChangeIn("see-door", null), "test", "entry.no-change");
    }

    @Test
    void twinMustStandOnTheSite() {
        assertThat(admit(fresh(FURNACE), new Entry.Twin("twin", true))).isNotNull();
        refused(fresh(FURNACE), new Entry.Twin("stranger", true), "unit", "entry.no-twin");
    }

    @Test
    void recordingIsKeptWithItsFlashesFound() {
        var times = IntStream.range(0, 420).mapToObj(i -> i / 30.0).toList();
        var level = times.stream().map(t -> t % 3.8 < 0.3 || t % 3.8 >= 0.6 && t % 3.8 < 0.9 ? 120.0 : 40.0).toList();
        Filed kept = admit(fresh(FURNACE), new Entry.Film(null, new Trace(times, level, java.util.List.of(), java.util.List.of(), "")));
        assertThat(kept.entry()).isInstanceOfSatisfying(Entry.Filmed.class, filmed -> {
            assertThat(filmed.sighting().flashes().size()).isBetween(6, 8);
            assertThat(filmed.seconds()).isEqualTo(419 / 30.0);
        });
        var log = CasePages.of(fresh(FURNACE).and(kept)).log().get(0);
        assertThat(Units.ENGLISH.words(log.found())).startsWith("2 flashes");
    }

    @ParameterizedTest
    @CsvSource({"abc, typed.no-number", "NaN, typed.no-number", "1e400, typed.no-number", "99999, typed.beyond", "-5, typed.beyond"})
    void numberThatNoMeterShowsIsRefused(String reading, String why) {
        refused(fresh(FURNACE), new Entry.TestReading("v.R.standby", reading), "reading", why);
    }
}
