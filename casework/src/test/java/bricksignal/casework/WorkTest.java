package bricksignal.casework;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.ChangeOutPage;
import bricksignal.casework.page.PastPage;
import bricksignal.casework.page.ReportPage;
import bricksignal.casework.page.RunDump;
import bricksignal.casework.page.WayOutPage;
import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** The work after the verdict, as data. */
class WorkTest {

    private final CaseUnit unit = Units.FURNACE;
    private final List<Filed> entries = new ArrayList<>();

    private String add(Entry entry) {
        return add(entry, null);
    }

    private String add(Entry entry, @org.jspecify.annotations.Nullable String supersedes) {
        String id = UUID.randomUUID().toString();
        entries.add(new Filed(id, 1_764_000_000_000L + entries.size(), supersedes, entry));
        return id;
    }

    private Case now() {
        return Case.of(unit, Policy.defaults(), entries);
    }

    private WayOutPage ways() {
        return WayOutPage.of(now(), Rates.defaults(), null, false);
    }

    @Test
    void unitInGoodOrderHasNoWayOut() {
        assertThat(WayOutPage.of(now(), Rates.defaults(), 5.0, true).ways()).allSatisfy(way -> assertThat(way.expected()).isPositive());
    }

    @Test
    void waysStandAsTheyStoodBeforeTheRepair() {
        add(new Entry.TestReading("ohms-igniter", "OL"));
        List<WayOutPage.WayLine> before = ways().ways();
        add(new Entry.Repaired("igniter"));
        assertThat(ways().ways()).isEqualTo(before);
    }

    @Test
    void lastFigureOfANameCountsWithItsReason() {
        add(new Entry.TestReading("ohms-igniter", "OL"));
        add(new Entry.Figure("price.igniter", 90, "raised"));
        String second = add(new Entry.Figure("price.igniter", 70, "raised less"));
        assertThat(ways().figures()).anySatisfy(figure -> {
            assertThat(figure.what()).isEqualTo("price.igniter");
            assertThat(figure.value()).isEqualTo(70);
            assertThat(figure.said()).isEqualTo("raised less");
        });
        add(new Entry.TakeBack(), second);
        assertThat(ways().figures()).anySatisfy(figure -> assertThat(figure.value()).isEqualTo(90));
    }

    @Test
    void spareConductorIsOfferedWhereAConductorIsBad() {
        add(new Entry.Spare("thermostat cable", "blue"));
        add(new Entry.TestReading("ohms-igniter", "OL"));
        assertThat(ways().spares()).as("an igniter is no conductor").isEmpty();
        entries.remove(1);
        add(new Entry.TestReading("v.W.purge", "0"));
        add(new Entry.TestReading("v.tstat-W.purge", "26"));
        assertThat(ways().spares()).containsExactly(Message.of("way.spare", Message.said("blue"), Message.said("thermostat cable")));
    }

    @Test
    void oneConductorOnTwoTerminalsIsAProblemAndAColourAloneIsNone() {
        add(new Entry.Terminal("W", "white 3"));
        add(new Entry.Terminal("Y", "white 3"));
        assertThat(ChangeOutPage.of(now(), unit.model(), "").problems()).hasSize(1);
        add(new Entry.Terminal("Y", "white 4"));
        add(new Entry.Terminal("G", "brown"));
        add(new Entry.Terminal("R", "brown"));
        assertThat(ChangeOutPage.of(now(), unit.model(), "").problems()).as("the last word on a terminal counts").isEmpty();
    }

    /** As numbers are printed now so, now so, only letters and digits tell; a revision that was not typed is asked for. */
    @Test
    void numbersOfTwoBoardsAreCompared() {
        add(new Entry.Plate(Entry.PlateOf.PART_NUMBER, "sk-4410 b"));
        assertThat(numbers()).isEmpty();
        add(new Entry.Plate(Entry.PlateOf.NEW_PART_NUMBER, "SK4410B"));
        add(new Entry.Plate(Entry.PlateOf.TWIN_PART_NUMBER, "SK4411B"));
        assertThat(numbers()).containsExactly(Message.of("change.number-only.new"), Message.of("change.number.twin", Message.said("SK4411B"), Message.said("sk-4410 b")));
        add(new Entry.Plate(Entry.PlateOf.REVISION, "3"));
        add(new Entry.Plate(Entry.PlateOf.NEW_REVISION, "4"));
        add(new Entry.Plate(Entry.PlateOf.TWIN_PART_NUMBER, "SK.4410.b"));
        add(new Entry.Plate(Entry.PlateOf.TWIN_REVISION, " 3"));
        assertThat(numbers()).containsExactly(Message.of("change.revision.new", Message.said("4"), Message.said("3")), Message.of("change.same.twin"));
    }

    private List<Message> numbers() {
        return ChangeOutPage.of(now(), unit.model(), "").numbers();
    }

    @Test
    void terminalOfItsOwnHasNoPlaceOnTheNewBoard() {
        add(new Entry.Terminal("EAC", "purple 9"));
        assertThat(ChangeOutPage.of(now(), unit.model(), "").map()).anySatisfy(move -> {
            assertThat(move.from()).isEqualTo("EAC");
            assertThat(move.to()).isNull();
            assertThat(move.conductor()).isEqualTo("purple 9");
        });
    }

    @Test
    void reportPutsEachEntryInItsPlaceOnce() {
        add(new Entry.TestReading("ohms-igniter", "OL"));
        add(new Entry.Note("cat in the cabinet"));
        add(new Entry.SetTo("off-delay", "1 off, 2 on", "1 off, 2 off"));
        add(new Entry.Terminal("W", "white 3"));
        add(new Entry.Figure("unit-price", 5000, "quoted"));
        add(new Entry.Repaired("igniter"));
        ReportPage report = ReportPage.of(now());
        assertThat(report.measured()).hasSize(1);
        assertThat(report.notes()).hasSize(1);
        assertThat(report.settings()).hasSize(1);
        assertThat(report.change()).hasSize(1);
        assertThat(report.done()).hasSize(1);
        assertThat(report.found()).hasSize(1);
        assertThat(report.proving()).isNotEmpty();
    }

    @Test
    void pastSaysWhatStandsAndNothingThatWasTakenBack() {
        add(new Entry.Repaired("igniter"));
        String jumper = add(new Entry.ChangeIn(null, "jumper R to W"));
        add(new Entry.ChangeOut(), jumper);
        String lent = add(new Entry.Lent("igniter", "7"));
        PastPage past = PastPage.of(unit, entries);
        assertThat(past.changed()).hasSize(1);
        assertThat(past.stillIn()).isEmpty();
        assertThat(past.borrowed()).hasSize(1);
        add(new Entry.GivenBack(), lent);
        assertThat(PastPage.of(unit, entries).borrowed()).isEmpty();
        add(new Entry.Repaired("part-that-is-gone"));
        assertThat(PastPage.of(unit, entries).changed()).as("by its own name where the unit has none of that any more").contains(Message.said("part-that-is-gone"));
    }

    @Test
    void pastTellsSparesRemarksAndWhatCameBackUnused() {
        add(new Entry.Spare("thermostat cable", "blue"));
        add(new Entry.Note("loud inducer"));
        add(new Entry.Along("igniter"));
        add(new Entry.Along("rollout"));
        add(new Entry.Repaired("igniter"));
        PastPage past = PastPage.of(unit, entries);
        assertThat(past.spares()).containsExactly(Message.of("way.spare", Message.said("blue"), Message.said("thermostat cable")));
        assertThat(past.notes()).containsExactly(Message.said("loud inducer"));
        assertThat(past.unused()).containsExactly(PastPage.part(unit, "rollout"));
    }

    @Test
    void runDumpHoldsWhatIsDueAndWhatWasSeen() {
        add(new Entry.Seen("inducer", true, 2.5));
        String dump = RunDump.of(now());
        assertThat(dump).contains("$scope module in_good_order $end", "$scope module seen $end", "#2500");
    }
}
