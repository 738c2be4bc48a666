package bricksignal.casework.page;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.packs.PackLibrary;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Two blocks side by side: terminals that one conductor joins stand against each other, and what they say is compared. */
class CablePageTest {

    private static final CaseUnit MINISPLIT = CaseUnit.of("f12-minisplit", PackLibrary.ready("f12-minisplit"));

    private static Case with(Entry... entries) {
        List<Filed> filed = new ArrayList<>();
        for (Entry entry : entries) {
            filed.add(new Filed("e" + filed.size(), 1_764_000_000_000L, null, entry));
        }
        return Case.of(MINISPLIT, Policy.defaults(), filed);
    }

    private static CablePage.ConductorRow row(Case now, String conductor) {
        CablePage cable = CablePage.of(now).get(0);
        return cable.conductors().stream().filter(row -> row.conductor().equals(conductor)).findFirst().orElseThrow();
    }

    @Test
    void outdoorAndIndoorTerminalsStandAgainstEachOther() {
        List<CablePage> cables = CablePage.of(with());
        assertThat(cables).singleElement().satisfies(cable -> {
            assertThat(List.of(cable.from(), cable.to())).containsExactlyInAnyOrder("outdoor terminal block", "indoor terminal block");
            assertThat(cable.conductors()).extracting(CablePage.ConductorRow::conductor).contains("wire-1", "wire-3", "wire-4");
            assertThat(cable.conductors()).allSatisfy(row -> assertThat(row.near().net().charAt(0)).isEqualTo(cable.conductors().get(0).near().net().charAt(0)));
        });
    }

    @Test
    void endsThatDifferAreTheFinding() {
        assertThat(row(with(new Entry.TestReading("v.I3.run", "230")), "wire-3").differs()).as("one end alone says nothing").isFalse();
        assertThat(row(with(new Entry.TestReading("v.I3.run", "230"), new Entry.TestReading("v.O3.run", "0")), "wire-3").differs()).isTrue();
        assertThat(row(with(new Entry.TestReading("v.I3.run", "230"), new Entry.TestReading("v.O3.run", "226")), "wire-3").differs()).isFalse();
        assertThat(row(with(new Entry.TestReading("v.I3.run", "0.8"), new Entry.TestReading("v.O3.run", "0")), "wire-3").differs()).as("nearly nothing").isFalse();
    }

    /** A voltage that the rules of safety withdraw has no place on the page, and is in no other's way. */
    @ParameterizedTest
    @MethodSource("families")
    void everyEndHasATestThatMayBeMade(String family) {
        CaseUnit unit = CaseUnit.of(family, PackLibrary.ready(family));
        List<String> tests = unit.pack().catalogue().tests().stream().map(bricksignal.core.unit.Test::id).toList();
        assertThat(CablePage.of(Case.of(unit, Policy.defaults()))).allSatisfy(cable -> assertThat(cable.conductors()).allSatisfy(row ->
                assertThat(tests).contains(row.near().test(), row.far().test())));
    }

    static List<String> families() {
        return PackLibrary.ids();
    }

    /** A permuted conductor is named from what both ends read: line comes back on the signal's number. */
    @Test
    void swappedConductorsAreNamed() {
        Case now = with(new Entry.TestReading("v.I3.run", "230"), new Entry.TestReading("v.O3.run", "0"), new Entry.TestReading("ohms-wire-3", "OL"),
                new Entry.TestReading("ohms-cross", "0.2"));
        assertThat(now.advice().verdict().leader().text()).isEqualTo("wires-swapped");
        assertThat(now.diagnosis().belief(now.diagnosis().leader())).isGreaterThan(0.8);
    }
}
