package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Refused;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.CommissioningPage;
import bricksignal.casework.page.CommissioningPage.SetUpStep;
import bricksignal.casework.page.CommissioningPage.State;
import bricksignal.casework.page.ProvingPage;
import bricksignal.casework.page.ReportPage;
import bricksignal.core.words.Message;
import bricksignal.packs.PackLibrary;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A new unit is set up in order, what it shows meanwhile is expected, and it is handed over when all of it is done and the run is proven. */
@Execution(ExecutionMode.CONCURRENT)
class CommissioningTest {

    private static final CaseUnit BOILER = Units.shipped("f5-boiler");

    static Stream<String> packs() {
        return PackLibrary.ids().stream();
    }

    private static SetUpStep step(Case now, String id) {
        return CommissioningPage.of(now).steps().stream().filter(step -> step.id().equals(id)).findFirst().orElseThrow();
    }

    private static String said(List<Message> messages) {
        return String.join(" | ", messages.stream().map(ENGLISH::words).toList());
    }

    /** Common practice: supply, fuel, vent, water and filter come before the first call; a family that names none of them has none to set up. */
    @ParameterizedTest
    @MethodSource("packs")
    void eachFamilySaysWhatIsDoneBeforeItRuns(String id) {
        List<SetUpStep> steps = CommissioningPage.of(fresh(Units.shipped(id))).steps();
        assertThat(steps).filteredOn(step -> step.setting() == null).hasSizeGreaterThanOrEqualTo(2);
        assertThat(steps).allSatisfy(step -> assertThat(step.state()).isEqualTo(State.OPEN));
        assertThat(steps).extracting(SetUpStep::id).doesNotHaveDuplicates();
    }

    @Test
    void aCodeOfWhatIsNotDoneYetIsExpectedAndIsNoFault() {
        assertThat(said(step(fresh(BOILER), "water-low").shows())).contains("E5").contains("water");
        String shows = "E5";
        Entry.Pattern lamp = new Entry.Pattern(null, "display E5");
        assertThat(CasePages.of(with(BOILER, lamp)).expected()).as("of a unit that ran before nothing is expected").isEmpty();
        Case fresh = with(BOILER, new Entry.NewUnit(), lamp);
        assertThat(said(CasePages.of(fresh).expected())).contains(shows).contains("System filled");
        assertThat(Units.belief(fresh, "water-low")).isGreaterThan(Units.belief(with(BOILER, lamp), "water-low"));
        Case filled = with(BOILER, new Entry.NewUnit(), lamp, new Entry.SetUp("water-low", true, null));
        assertThat(CasePages.of(filled).expected()).isEmpty();
    }

    @Test
    void itIsHandedOverWhenEachStepIsDoneAndTheRunIsProven() {
        assertThat(said(CommissioningPage.blocks(fresh(BOILER)))).contains("Say first that this unit is new");
        List<Entry> entries = new ArrayList<>(List.of(new Entry.NewUnit()));
        Case begun = with(BOILER, entries.toArray(Entry[]::new));
        assertThat(ProvingPage.of(begun).due()).isTrue();
        assertThat(said(CommissioningPage.blocks(begun))).contains("Not done yet: System filled").contains("Not done yet: Hottest water");
        CommissioningPage.of(begun).steps().forEach(step -> entries.add(step.setting() == null ? new Entry.SetUp(step.id(), !step.id().startsWith("factory"), null)
                : new Entry.SetTo(step.setting(), BOILER.model().setting(Objects.requireNonNull(step.setting())).factory(), BOILER.model().setting(Objects.requireNonNull(step.setting())).factory(), "Outdoor reset: 115 °F")));
        Case done = with(BOILER, entries.toArray(Entry[]::new));
        assertThat(CommissioningPage.of(done).open()).isZero();
        assertThat(step(done, "factory-bridge").state()).isEqualTo(State.NOT_HERE);
        assertThat(ENGLISH.words(step(done, "setting.hottest").told())).isEqualTo("found 150, left 150: Outdoor reset: 115 °F");
        assertThat(said(CommissioningPage.blocks(done))).as("the safeties are said as after a repair").contains("All safeties in circuit").doesNotContain("Not done yet");
        assertThat(ReportPage.of(done).commissioning()).hasSameSizeAs(CommissioningPage.of(done).steps());
        assertThat(ReportPage.of(done).found()).as("nothing was found, so no cause is named").isEmpty();
        assertThat(ReportPage.of(with(BOILER)).commissioning()).isEmpty();
        assertThat(ReportPage.of(with(BOILER)).found()).hasSize(1);
    }

    @Test
    void aStepThatIsNoneIsRefusedAndAUnitBecomesNewOnce() {
        assertThatThrownBy(() -> Admission.admit(fresh(BOILER), filed("a", new Entry.SetUp("water-low", true, null), null), Set.of())).isInstanceOf(Refused.class)
                .hasMessageContaining("entry.not-new");
        Case begun = with(BOILER, new Entry.NewUnit());
        assertThatThrownBy(() -> Admission.admit(begun, filed("a", new Entry.NewUnit(), null), Set.of())).isInstanceOf(Refused.class).hasMessageContaining("entry.new-already");
        assertThatThrownBy(() -> Admission.admit(begun, filed("a", new Entry.SetUp("wheels", true, null), null), Set.of())).isInstanceOf(Refused.class)
                .hasMessageContaining("wheels");
    }
}
