package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.DrawingPage;
import bricksignal.casework.page.ReportPage;
import bricksignal.casework.page.RungStep;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.drawing.Symbol;
import bricksignal.packs.PackLibrary;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The ladder diagram on a visit: how a healthy unit stands at the moment, what was found, what is suspected, what is ruled out. */
class DrawingPageTest {

    private static final CaseUnit FURNACE = CaseUnit.of("f1", PackLibrary.ready("f1-furnace"));

    private static Case seen(Entry... entries) {
        return Case.of(FURNACE, Policy.defaults(), Units.filed(entries));
    }

    private static DrawingPage drawn(Case now, String moment) {
        return DrawingPage.of(now, moment, ENGLISH::words);
    }

    private static DrawingPage.DrawnPart mark(DrawingPage page, String element) {
        return page.marks().stream().filter(mark -> mark.element().equals(element)).findFirst().orElseThrow();
    }

    @Test
    void contactsStandAsInAHealthyUnitAtTheMoment() {
        DrawingPage standby = drawn(seen(), "standby");
        DrawingPage trial = drawn(seen(), "trial");
        assertThat(mark(standby, "relay-gas").state().closed()).isFalse();
        assertThat(mark(trial, "relay-gas").state().closed()).isTrue();
        assertThat(mark(standby, "thermostat").state().closed()).as("nobody calls").isFalse();
        assertThat(mark(trial, "thermostat").symbol()).isEqualTo(Symbol.SWITCH);
        assertThat(mark(trial, "relay-gas").label()).containsExactly("gas relay");
        assertThat(mark(trial, "p1-3").label()).containsExactly("P1 pin 3");
        assertThat(trial.wires().stream().filter(DrawingPage.DrawnWire::live).count()).as("more has voltage in the trial than at rest")
                .isGreaterThan(standby.wires().stream().filter(DrawingPage.DrawnWire::live).count());
    }

    @Test
    void whatWasReadStandsAtItsPlaceBesideWhatIsExpected() {
        DrawingPage page = drawn(seen(new Entry.TestReading("v.PSI.purge", "0")), "purge");
        DrawingPage.DrawnPlace spot = page.spots().stream().filter(s -> s.net().equals("PSI")).findFirst().orElseThrow();
        assertThat(ENGLISH.words(java.util.Objects.requireNonNull(spot.expected()))).startsWith("27.");
        assertThat(ENGLISH.words(java.util.Objects.requireNonNull(spot.found()))).isEqualTo("0 V AC");
        assertThat(page.spots()).filteredOn(s -> s.net().equals("HLI")).allSatisfy(s -> assertThat(s.found()).isNull());
    }

    @Test
    void suspectsAreMarkedAndWhatIsRuledOutIsDrawnThrough() {
        Case now = seen(new Entry.TestReading("v.HLI.purge", "27"), new Entry.TestReading("v.ps-com.purge", "27"), new Entry.TestReading("v.ps-no.purge", "0"));
        DrawingPage page = drawn(now, "purge");
        assertThat(mark(page, "draft-switch").state().suspected()).isGreaterThan(0.1);
        assertThat(mark(page, "limit").state().sound()).as("27 V behind it").isTrue();
        assertThat(mark(page, "draft-switch").state().sound()).isFalse();
    }

    @Test
    void rungOfTheNextTestHasItsProbesOnIt() {
        List<Entry> entries = new ArrayList<>(List.of(new Entry.Pattern(null, "4 flashes"), new Entry.TestReading("draft-gauge", "0.95"), new Entry.TestReading("v.HLI.purge", "27.2")));
        CasePage page = CasePages.of(seen(entries.toArray(Entry[]::new)));
        for (int i = 0; i < 9 && page.next() != null && page.next().red() == null; i++) {
            entries.add(page.next().sequence() ? new Entry.Watched(60) : new Entry.Answer(page.next().id(), false));
            page = CasePages.of(seen(entries.toArray(Entry[]::new)));
        }
        assertThat(page.next()).isNotNull();
        assertThat(page.next().red()).as("a voltage is asked for at last: %s", entries).isNotNull();
        assertThat(page.next().rung()).extracting(RungStep::net).contains(page.next().red());
        assertThat(page.next().rung().get(0).by()).as("begins at the rail").isNull();
        assertThat(page.next().rung().subList(1, page.next().rung().size())).allSatisfy(step -> assertThat(step.by()).isNotNull());
    }

    @Test
    void rungOfTheLikeliestCauseGoesThroughIt() {
        CasePage page = CasePages.of(seen(new Entry.TestReading("v.HLI.purge", "27"), new Entry.TestReading("v.ps-com.purge", "27"), new Entry.TestReading("v.ps-no.purge", "0")));
        assertThat(page.rung()).extracting(step -> ENGLISH.words(step.what())).contains("pressure switch");
    }

    /** A cracked hose does not lie in the circuit: no rung of something else stands under "where it sits". */
    @Test
    void causeOutsideTheCircuitHasNoRung() {
        Case hose = seen(new Entry.TestReading("v.ps-no.purge", "0"), new Entry.TestReading("draft-gauge", "0.2"), new Entry.Answer("see-hose", true));
        assertThat(hose.diagnosis().hypothesis(hose.diagnosis().leader()).fault().id()).isEqualTo("hose-leaks");
        assertThat(CasePages.of(hose).where()).isEmpty();
        assertThat(CasePages.of(hose).rung()).as("for the work: around what is likeliest of what is drawn").isNotEmpty();
        assertThat(ReportPage.of(hose).rung()).isEmpty();
    }

    @Test
    void causeInTheCircuitHasItsRung() {
        Case igniter = seen(new Entry.TestReading("v.HSI.warm-up", "119"), new Entry.Answer("see-glow", false), new Entry.TestReading("ohms-igniter", "OL"));
        assertThat(CasePages.of(igniter).where()).extracting(step -> ENGLISH.words(step.what())).contains("hot-surface igniter");
        assertThat(ReportPage.of(igniter).rung()).extracting(step -> ENGLISH.words(step.what())).contains("hot-surface igniter");
    }

    @Test
    void momentThatTheUnitDoesNotHaveIsRefused() {
        assertThatThrownBy(() -> drawn(seen(), "never")).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("never");
    }

    @Test
    void nothingOnTheDrawingIsAnId() {
        for (String family : List.of("f1-furnace", "f14-rooftop", "f13-multisplit")) {
            DrawingPage page = DrawingPage.of(Case.of(CaseUnit.of(family, PackLibrary.ready(family)), Policy.defaults()), PackLibrary.ready(family).model().moments().get(0).id(), ENGLISH::words);
            assertThat(page.marks().stream().flatMap(mark -> mark.label().stream())).noneMatch(label -> label.contains("drawing."));
            assertThat(page.ends()).filteredOn(end -> !end.ground()).allSatisfy(end -> assertThat(end.label()).isNotBlank());
        }
    }
}
