package bricksignal.casework;

import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Refused;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.ProvingPage;
import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Stories of what ends a diagnosis: found, nothing dangerous left to do, lifted by whoever may, gone on. */
class StopsTest {

    private static final CaseUnit FURNACE = Units.FURNACE;
    private static final Signer GAS = new Signer("Ines (gas license SK-1)", Set.of(Stop.Licence.GAS), false);
    private static final Signer LEAD = new Signer("Odile", Set.of(), true);

    private static Case with(Case now, Entry entry, Signer signer) {
        return now.and(Admission.admit(now, filed("s" + now.lines().size(), entry, null), Set.of(), signer));
    }

    private static Case with(Case now, Entry entry) {
        return with(now, entry, Signer.NOBODY);
    }

    private static CaseUnit unitOf(Stop stop) {
        return switch (stop) {
            case STOVE_FIRE -> Units.shipped("f6-stove");
            case REFRIGERANT -> Units.shipped("f18-leak");
            default -> FURNACE;
        };
    }

    /** An instrument that reads a quarter of what burns stops, whatever it read before; less does not. */
    @Test
    void dangerThatIsMeasuredStops() {
        CaseUnit leak = Units.shipped("f18-leak");
        assertThat(Units.with(leak, new Entry.TestReading("sniffed", "24")).stops()).isEmpty();
        Case late = Units.with(leak, new Entry.TestReading("sniffed", "0"), new Entry.TestReading("sniffed", "40"));
        assertThat(late.stops()).containsOnlyKeys(Stop.REFRIGERANT);
        assertThat(Units.belief(late, "refrigerant-out")).as("the first zero does not explain it away").isGreaterThan(Units.belief(late, "sensor-drifts"));
    }

    /** Told by a person: it stands, forbids what it must, blocks the end as fixed, and goes by what was done and by nothing else. */
    @ParameterizedTest
    @EnumSource(Stop.class)
    void isFoundAndForbidsAndIsLiftedByWhoeverMay(Stop stop) {
        CaseUnit unit = unitOf(stop);
        Case found = with(fresh(unit), new Entry.Stopped(stop));
        CasePage page = CasePages.of(found);
        assertThat(page.stops()).singleElement().satisfies(one -> {
            assertThat(one.finding()).isEqualTo(stop);
            assertThat(one.now()).hasSize(stop.steps());
        });
        assertThat(found.advice().proposals()).allSatisfy(proposal -> assertThat(unit.pack().catalogue().safety().leaves(stop, proposal.test())).isTrue());
        assertThat(found.advice().proposals()).as("nothing that burns or runs but what takes the bypass out").filteredOn(proposal -> !(proposal.test()
                instanceof bricksignal.core.unit.Test.Check check && check.change().kind() == Change.Kind.TAKEN_OUT)).noneSatisfy(proposal -> assertThat(unit.pack().catalogue().safety().hazards(
                proposal.test())).contains(stop.left() == Stop.Left.POWER_OFF ? Hazard.MOVING : Hazard.FLAME));
        if (stop.left() == Stop.Left.NOTHING) {
            assertThat(found.advice().proposals()).isEmpty();
            assertThat(page.next()).isNull();
        }
        assertThat(Details.changes(found)).isEmpty();
        assertThat(ProvingPage.blocks(found)).contains(Message.of("prove.stopped", stop.says("what")));
        assertThatThrownBy(() -> Admission.admit(found, filed("t", new Entry.TakeBack(), "s0"), Set.of(), GAS)).isInstanceOf(Refused.class);
        Stop.Licence needed = stop.licence(unit.model().dangers());
        if (needed != Stop.Licence.NONE) {
            assertThatThrownBy(() -> with(found, new Entry.Lifted(stop, "put right", ""), Signer.NOBODY)).isInstanceOfSatisfying(Refused.class,
                    refused -> assertThat(((Message.Keyed) refused.says()).key()).isEqualTo("entry.needs-licence"));
        }
        Case lifted = with(found, new Entry.Lifted(stop, "put right", ""), new Signer("Who may", Set.of(needed), false));
        assertThat(lifted.stops()).isEmpty();
        assertThat(((Entry.Lifted) lifted.lines().get(1).filed().entry()).by()).isEqualTo("Who may");
        assertThat(ProvingPage.blocks(lifted)).doesNotContain(Message.of("prove.stopped", stop.says("what")));
    }

    /** A lead lets it go on by name where it is not about gas, carbon monoxide or fire. */
    @ParameterizedTest
    @EnumSource(Stop.class)
    void leadMayOnlyWhereNothingBurns(Stop stop) {
        Case found = with(fresh(unitOf(stop)), new Entry.Stopped(stop));
        boolean may = stop == Stop.WATER || stop == Stop.BYPASSED_SAFETY;
        assertThat(stop.leadMay()).isEqualTo(may);
        if (may) {
            assertThat(with(found, new Entry.Lifted(stop, "dried, megohms measured", ""), LEAD).stops()).isEmpty();
        } else {
            assertThatThrownBy(() -> with(found, new Entry.Lifted(stop, "it is fine", ""), LEAD)).isInstanceOf(Refused.class);
        }
    }

    /** After three flashes, a popped rollout and scorch marks nobody is told to call for heat. */
    @Test
    void scorchedRolloutCallsForNothing() {
        Case now = fresh(FURNACE);
        for (Entry entry : List.of(new Entry.Answer("danger.gas-smell", false), new Entry.Pattern(null, "3 flashes"), new Entry.Answer("see-button", true),
                new Entry.Answer("see-scorch", true))) {
            now = with(now, entry);
        }
        assertThat(now.stops()).containsOnlyKeys(Stop.ROLLOUT);
        assertThat(now.advice().proposals()).extracting(p -> p.test().id()).doesNotContain("watch.sequence").isNotEmpty();
        Case stopped = now;
        assertThatThrownBy(() -> with(stopped, new Entry.Watched(200))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> with(stopped, new Entry.ChangeIn("try-jumper", null))).isInstanceOf(Refused.class);
    }

    @Test
    void lampThatSaysFlameWithoutACallStops() {
        Case now = with(fresh(FURNACE), new Entry.Pattern(null, "2 flashes"));
        assertThat(now.stops()).containsOnlyKeys(Stop.FLAME_WITHOUT_CALL);
        assertThat(with(now, new Entry.TestReading("v.MV.after", "0")).lines()).as("volts at the valve with no call").hasSize(2);
    }

    /** A whiff that comes back is a smell. */
    @Test
    void whiffThatComesBackIsALeak() {
        Case now = with(fresh(FURNACE), new Entry.Stopped(Stop.GAS_WHIFF));
        now = with(now, new Entry.Lifted(Stop.GAS_WHIFF, "aired, instrument 0", ""), GAS);
        now = with(now, new Entry.Stopped(Stop.GAS_WHIFF));
        assertThat(now.stops()).containsOnlyKeys(Stop.GAS_SMELL);
    }

    @ParameterizedTest
    @CsvSource({"ROOM, 4, ''", "ROOM, 9, CO_ROOM", "ROOM, 70, CO_ROOM", "FLUE, 90, ''", "FLUE, 400, ''", "FLUE, 401, CO_FLUE"})
    void carbonMonoxideIsJudgedWhereItWasMeasured(Entry.Monoxide.Where where, double ppm, String stop) {
        Case now = with(fresh(FURNACE), new Entry.Monoxide(where, ppm));
        assertThat(now.stops().keySet().stream().map(Stop::name)).isEqualTo(stop.isEmpty() ? List.of() : List.of(stop));
    }

    @Test
    void jumperAcrossASafetyThatSomebodyLeftStops() {
        assertThat(with(fresh(FURNACE), new Entry.Answer("see-left.limit", true)).stops()).containsOnlyKeys(Stop.BYPASSED_SAFETY);
        assertThat(with(fresh(FURNACE), new Entry.Answer("see-left.limit", false)).stops()).isEmpty();
    }

    @Test
    void gasIsSmeltForBeforeAnythingElse() {
        CasePage first = CasePages.of(fresh(FURNACE));
        assertThat(first.purpose()).isEqualTo(Advice.Purpose.SAFETY);
        assertThat(first.next()).satisfies(next -> assertThat(next.id()).isEqualTo("danger.gas-smell"));
        assertThat(Details.before(fresh(FURNACE)).get(0).id()).isEqualTo("danger.gas-smell");
        assertThat(CasePages.of(with(fresh(FURNACE), new Entry.Answer("danger.gas-smell", false))).purpose()).isNotEqualTo(Advice.Purpose.SAFETY);
        assertThat(with(fresh(FURNACE), new Entry.Answer("danger.gas-smell", true)).stops()).containsOnlyKeys(Stop.GAS_SMELL);
    }

    /** It weighs all causes alike. */
    @Test
    void questionOfDangerMovesNoSuspect() {
        Case before = fresh(FURNACE);
        Case after = with(before, new Entry.Answer("danger.gas-smell", false));
        assertThat(before.diagnosis().hypotheses()).allSatisfy(h -> assertThat(after.diagnosis().belief(h)).isCloseTo(before.diagnosis().belief(h),
                org.assertj.core.api.Assertions.within(1e-9)));
    }

    @ParameterizedTest
    @CsvSource({"It smells of gas in the cellar, GAS_SMELL", "Smell gas when it lights, GAS_SMELL", "Smells like rotten eggs, GAS_SMELL", "CO alarm went off twice, CO_ROOM",
        "The carbon monoxide detector beeps, CO_ROOM", "We all have headaches since it runs, CO_ROOM", "Smoke from the unit, BURNT", "Cellar was flooded, WATER",
        "Fire in the hopper, STOVE_FIRE", "No heat since the storm, ''", "Gas valve clicks and no flame, ''", "Smokehouse is cold, ''", "Company ill at ease with the noise, ''"})
    void wordsOfDangerInAComplaintStop(String complaint, String stop) {
        List<Stop> found = Complaint.dangers(complaint, one -> Units.ENGLISH.words(Message.of("complaint." + one)));
        assertThat(found.stream().map(Stop::name).limit(1)).isEqualTo(stop.isEmpty() ? List.of() : List.of(stop));
    }

    /** The page for a person of the trade is what the models say now; {@code bin/pack safety} writes it. */
    @Test
    void safetyPageIsCurrent() throws IOException {
        Path page = Path.of("..", "docs", "safety.md");
        String made = bricksignal.packs.SafetyPage.of(Units.ENGLISH::words);
        if (Boolean.getBoolean("brick.write-safety")) {
            Files.writeString(page, made);
        }
        assertThat(Files.readString(page)).as("run bin/pack safety").isEqualTo(made);
    }
}
