package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Refused;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.ProvingPage;
import bricksignal.casework.page.ProvingPage.Item;
import bricksignal.casework.page.ProvingPage.Kind;
import bricksignal.casework.page.ProvingPage.State;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.words.Message;
import bricksignal.packs.PackLibrary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What proves a repair is made of the model: what must be seen since the last part was changed. */
@Execution(ExecutionMode.CONCURRENT)
class ProvingRunTest {

    private static final Entry SAFE = new Entry.Safe(Entry.Safety.SAFETIES, true);
    private static final Entry NO_MONOXIDE = new Entry.Safe(Entry.Safety.MONOXIDE, true);
    private static final Entry HOSE = new Entry.Repaired("draft-hose");

    static Stream<String> packs() {
        return PackLibrary.ids().stream();
    }

    private static Item item(ProvingPage page, String id) {
        return page.items().stream().filter(item -> item.id().equals(id)).findFirst().orElseThrow();
    }

    private static String said(List<Message> messages) {
        return String.join(" | ", messages.stream().map(ENGLISH::words).toList());
    }

    @Test
    void nothingIsToBeProvenBeforeARepairButTheSafetiesAreSaid() {
        ProvingPage page = ProvingPage.of(with(FURNACE, new Entry.TestReading("draft-gauge", "0.3")));
        assertThat(page.due()).isFalse();
        assertThat(page.items()).extracting(Item::kind).containsOnly(Kind.SAFETY);
        assertThat(said(page.blocks())).contains("All safeties in circuit").contains("CO measured");
        assertThat(ProvingPage.blocks(with(FURNACE, SAFE, NO_MONOXIDE))).isEmpty();
        assertThat(said(ProvingPage.blocks(with(FURNACE, SAFE, NO_MONOXIDE, new Entry.Safe(Entry.Safety.SAFETIES, false))))).as("the last word counts")
                .contains("no");
    }

    @Test
    void eachItemBelongsToAMomentOfTheWalk() {
        ProvingPage page = ProvingPage.of(with(FURNACE, new Entry.Repaired("board")));
        assertThat(page.items()).filteredOn(item -> item.kind() == Kind.SETTING).isNotEmpty().allMatch(item -> item.walk() == ProvingPage.Walk.POWER_OFF);
        assertThat(page.items()).filteredOn(item -> item.kind() == Kind.RUN).allMatch(item -> item.walk() == ProvingPage.Walk.CALLED);
        assertThat(page.items()).filteredOn(item -> item.kind() == Kind.SAFETY).allMatch(item -> item.walk() == ProvingPage.Walk.BEFORE_LEAVING);
        assertThat(item(page, "v.L1.standby").walk()).as("power on, nothing called").isEqualTo(ProvingPage.Walk.STANDBY);
    }

    @Test
    void whatWasMeasuredBeforeTheRepairDoesNotCount() {
        Entry low = new Entry.TestReading("draft-gauge", "0.3");
        assertThat(item(ProvingPage.of(with(FURNACE, low, HOSE)), "draft-gauge").state()).isEqualTo(State.MISSING);
        Item after = item(ProvingPage.of(with(FURNACE, HOSE, low)), "draft-gauge");
        assertThat(after.state()).isEqualTo(State.BAD);
        assertThat(ENGLISH.words(after.due())).contains("in. w.c.");
        assertThat(said(ProvingPage.blocks(with(FURNACE, HOSE, low, SAFE, NO_MONOXIDE)))).contains("0.3 in. w.c.");
        assertThat(item(ProvingPage.of(with(FURNACE, HOSE, low, new Entry.TestReading("draft-gauge", "1.05"))), "draft-gauge").state()).isEqualTo(State.GOOD);
    }

    /** After the hose was renewed nothing is wrong any more; what was found is what stood before that. */
    @Test
    void whatWasFoundStandsInTheRecordAfterTheRepair() {
        Case now = with(FURNACE, new Entry.Pattern(null, "4 flashes"), new Entry.Answer("hear-inducer", true), new Entry.TestReading("draft-gauge", "0.3"),
                new Entry.Answer("see-hose", true), HOSE, new Entry.TestReading("draft-gauge", "1.05"));
        assertThat(ENGLISH.words(Details.concluded(now).verdict())).contains("hose").doesNotContain("nothing wrong");
        assertThat(Details.verdicts(now)).singleElement().satisfies(found -> assertThat(ENGLISH.words(found.part())).contains("hose"));
        assertThat(Details.verdicts(with(FURNACE))).as("nothing was repaired: what stands").hasSize(1);
    }

    /** What a visit takes by the book: each test as the unit stands then, each part and a try after it; and what its parts cost. */
    @Test
    void workByTheBookIsItsTestsAndItsParts() {
        Entry low = new Entry.TestReading("draft-gauge", "0.3");
        Part hose = FURNACE.model().part("draft-hose");
        Details.Concluded nothing = Details.concluded(with(FURNACE));
        Details.Concluded looked = Details.concluded(with(FURNACE, low));
        Details.Concluded done = Details.concluded(with(FURNACE, low, HOSE));
        assertThat(nothing.bookMinutes()).isZero();
        assertThat(looked.bookMinutes()).isEqualTo(TestCost.minutes(FURNACE.pack(), FURNACE.pack().catalogue().test("draft-gauge"), Stand.AS_FOUND)).isPositive();
        assertThat(looked.partsCost()).isZero();
        assertThat(done.bookMinutes() - looked.bookMinutes()).isCloseTo(hose.minutes() + Policy.defaults().verifyMinutes(), within(1e-9));
        assertThat(done.partsCost()).isEqualTo(hose.price()).isPositive();
    }

    @Test
    void jumperThatIsStillInIsTheFirstThingSaid() {
        ProvingPage page = ProvingPage.of(with(FURNACE, new Entry.ChangeIn(null, "R to W jumper"), HOSE, SAFE, NO_MONOXIDE));
        assertThat(page.items().get(0).kind()).isEqualTo(Kind.CHANGE);
        assertThat(said(page.blocks())).isEqualTo("Still in the unit: R to W jumper. Take it out and record it");
    }

    @Test
    void whatCameAndWentIsWatchedTwice() {
        Entry seldom = new Entry.Answer("ask.seldom", true);
        Entry round = new Entry.Answer("watch.cycles", false);
        assertThat(item(ProvingPage.of(with(FURNACE, HOSE, round)), "watch.cycles").state()).isEqualTo(State.GOOD);
        assertThat(item(ProvingPage.of(with(FURNACE, seldom, HOSE, round)), "watch.cycles").state()).isEqualTo(State.MISSING);
        assertThat(item(ProvingPage.of(with(FURNACE, seldom, HOSE, round, round)), "watch.cycles").state()).isEqualTo(State.GOOD);
        assertThat(item(ProvingPage.of(with(FURNACE, HOSE, new Entry.Answer("watch.cycles", true))), "watch.cycles").state()).isEqualTo(State.BAD);
    }

    @Test
    void runWatchedToItsEndShowsThatAllCame() {
        assertThat(item(ProvingPage.of(with(FURNACE, HOSE)), "watch.sequence").state()).isEqualTo(State.MISSING);
        Item missed = item(ProvingPage.of(with(FURNACE, HOSE, new Entry.Seen("inducer", true, 1), new Entry.Watched(300))), "watch.sequence");
        assertThat(missed.state()).isEqualTo(State.BAD);
        assertThat(ENGLISH.words(missed.found())).contains("flame never started");
    }

    /** Whether it still fails need not be asked of somebody who has just watched all of it come. */
    @Test
    void watchedRunAnswersWhetherItsCallStillFails() {
        List<Entry> run = Shown.by(FURNACE.pack(), FURNACE.pack().catalogue().test("watch.sequence"), FURNACE.pack().space().nothing());
        ProvingPage page = ProvingPage.of(with(FURNACE, Stream.concat(Stream.of(HOSE), run.stream()).toArray(Entry[]::new)));
        assertThat(calls(page)).containsEntry("Does this still fail: heating?", State.GOOD).containsEntry("Does this still fail: cooling?", State.MISSING);
        ProvingPage missed = ProvingPage.of(with(FURNACE, HOSE, new Entry.Seen("inducer", true, 1), new Entry.Watched(300)));
        assertThat(calls(missed)).containsEntry("Does this still fail: heating?", State.MISSING);
    }

    private static Map<String, State> calls(ProvingPage page) {
        return page.items().stream().filter(item -> ENGLISH.words(item.what()).startsWith("Does this")).collect(java.util.stream.Collectors.toMap(item -> ENGLISH.words(item.what()), Item::state));
    }

    @Test
    void stageIsCompleteOnceItCameAndEndedWhereItEndsByItself() {
        Entry lit = new Entry.Seen("igniter", true, 20);
        assertThat(complete(HOSE, new Entry.Seen("inducer", true, 1), lit)).contains("inducer").doesNotContain("igniter");
        assertThat(complete(HOSE, lit, new Entry.Seen("igniter", false, 31))).contains("igniter");
        assertThat(complete(HOSE, new Entry.Missed("igniter", 60))).isEmpty();
    }

    private static List<String> complete(Entry... entries) {
        return CasePages.of(with(FURNACE, entries)).sequence().stream().filter(CasePage.ChannelLine::complete).map(CasePage.ChannelLine::channel).toList();
    }

    @Test
    void itemsStandInTheOrderOfOneWalkWithTheRunFirst() {
        List<Item> items = ProvingPage.of(with(FURNACE, HOSE)).items();
        assertThat(items).extracting(Item::walk).isSorted();
        assertThat(items.stream().filter(item -> item.walk() == ProvingPage.Walk.CALLED).findFirst().orElseThrow().kind()).isEqualTo(Kind.RUN);
    }

    /** A new board comes with the factory's switches. */
    @Test
    void settingsOfANewBoardAreLookedAtAgain() {
        Entry board = new Entry.Repaired("board");
        String setting = FURNACE.model().settings().get(0).id();
        assertThat(item(ProvingPage.of(with(FURNACE, board)), setting).state()).isEqualTo(State.MISSING);
        Item left = item(ProvingPage.of(with(FURNACE, board, new Entry.SetTo(setting, "1 off, 2 off", "1 off, 2 on"))), setting);
        assertThat(left.state()).isEqualTo(State.GOOD);
        assertThat(ENGLISH.words(left.found())).isEqualTo("1 off, 2 on");
        assertThat(ProvingPage.of(with(FURNACE, HOSE)).items()).extracting(Item::kind).doesNotContain(Kind.SETTING);
        assertThatThrownBy(() -> Admission.admit(fresh(FURNACE), filed("s", new Entry.SetTo(setting, "1 off, 2 off", "3 up"), null), Set.of()))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(ENGLISH.words(refused.says())).contains("no position '3 up'").contains("1 on, 2 on"));
        assertThatThrownBy(() -> Admission.admit(fresh(FURNACE), filed("s", new Entry.SetTo("colour", "a", "b"), null), Set.of())).isInstanceOf(Refused.class);
    }

    /** The inducer never ran, so nothing after it did: what it kept from its current is measured. */
    @Test
    void whatNeverHadPowerIsMeasured() {
        ProvingPage page = ProvingPage.of(with(FURNACE, new Entry.Pattern(null, "4 flashes"), new Entry.Answer("hear-inducer", false),
                new Entry.TestReading("v.ind-hot.purge", "120"), new Entry.TestReading("ohms-inducer", "OL"), new Entry.Repaired("inducer")));
        assertThat(page.items()).filteredOn(item -> ENGLISH.words(item.what()).startsWith("Not tested yet")).isNotEmpty();
    }

    /** A unit in good order passes the proving run of its own family, whatever part was changed, with nothing left to show. */
    @ParameterizedTest
    @MethodSource("packs")
    void unitInGoodOrderPassesItsProvingRun(String id) {
        assertPassesItsProvingRun(Units.shipped(id));
    }

    /** Each zone alone, and the tank: whatever may be called for. */
    @Test
    void eachZoneIsProvenAlone() {
        CaseUnit zones = Units.composed("f5-boiler", Map.of("zones", "two", "tank", "tank"));
        assertThat(ProvingPage.of(with(zones, new Entry.Repaired("zone-two"))).items().stream().map(item -> ENGLISH.words(item.what())))
                .contains("Does this still fail: heating of the first zone?", "Does this still fail: heating of the second zone?", "Does this still fail: hot water?");
        assertPassesItsProvingRun(zones);
        assertThat(ProvingPage.of(with(Units.shipped("f5-boiler"), new Entry.Repaired("board"))).items()).as("what can be called for alone needs no word of its own")
                .noneMatch(item -> ENGLISH.words(item.what()).startsWith("Does this still fail"));
    }

    /** What no meter shows is asked: the gap of the electrode after a repair, and whether the building sees its unit again. */
    @Test
    void whatIsSeenIsAskedInTheProvingRunToo() {
        Item gap = item(ProvingPage.of(with(Units.shipped("f3-vehicle"), new Entry.Repaired("board"))), "see-gap");
        assertThat(gap.kind()).isEqualTo(Kind.QUESTION);
        assertThat(ENGLISH.words(gap.due())).isEqualTo("no");
        CaseUnit relays = Units.shipped("f15-relayboard");
        assertThat(item(ProvingPage.of(with(relays, new Entry.Repaired("board"))), "see-building").state()).isEqualTo(State.MISSING);
        assertThat(item(ProvingPage.of(with(relays, new Entry.Repaired("board"), new Entry.Answer("see-building", false))), "see-building").state()).isEqualTo(State.BAD);
    }

    /** Radiant floors at 115 °F burn at 140; fin tube at 180 °F stays cold at 125. */
    @Test
    void waterIsAsWarmAsTheEmitterWantsIt() {
        CaseUnit boiler = Units.shipped("f5-boiler");
        Entry.SetTo floor = new Entry.SetTo("hottest", "150", "115");
        assertThat(ENGLISH.words(item(ProvingPage.of(with(boiler, new Entry.Repaired("board"))), "supply-felt").due())).contains("125").contains("175");
        Item due = item(ProvingPage.of(with(boiler, floor, new Entry.Repaired("board"), new Entry.TestReading("supply-felt", "150"))), "supply-felt");
        assertThat(ENGLISH.words(due.due())).contains("90").contains("140");
        assertThat(due.state()).isEqualTo(State.BAD);
    }

    private static void assertPassesItsProvingRun(CaseUnit unit) {
        Part board = unit.model().parts().stream().filter(part -> part.kind() == Part.Kind.BOARD).findFirst().orElseThrow();
        List<Entry> entries = new ArrayList<>(List.of(new Entry.Answer("ask.seldom", true), new Entry.Repaired(board.id())));
        ProvingPage before = ProvingPage.of(with(unit, entries.toArray(Entry[]::new)));
        assertThat(before.items()).extracting(Item::kind).contains(Kind.RUN, Kind.READING, Kind.SETTING, Kind.SAFETY);
        assertThat(before.items()).extracting(Item::state).containsOnly(State.MISSING);
        before.items().forEach(item -> entries.addAll(shown(unit, item)));
        ProvingPage after = ProvingPage.of(with(unit, entries.toArray(Entry[]::new)));
        assertThat(after.items()).filteredOn(item -> item.state() != State.GOOD).extracting(item -> item.id() + ": " + ENGLISH.words(item.found()) + ", due "
                + ENGLISH.words(item.due())).isEmpty();
        assertThat(after.blocks()).isEmpty();
    }

    private static List<Entry> shown(CaseUnit unit, Item item) {
        boolean yes = ENGLISH.words(item.due()).equals("yes");
        return switch (item.kind()) {
            case READING -> List.of(new Entry.TestReading(item.id(), typed(unit, item.id())));
            case QUESTION -> List.of(new Entry.Answer(item.id(), yes), new Entry.Answer(item.id(), yes));
            case RUN -> run(unit);
            case SETTING -> List.of(new Entry.SetTo(item.id(), unit.model().setting(item.id()).factory(), unit.model().setting(item.id()).factory()));
            case SAFETY -> List.of(new Entry.Safe(Entry.Safety.valueOf(item.id()), true));
            case CHANGE -> throw new AssertionError("nothing was put in");
        };
    }

    private static String typed(CaseUnit unit, String test) {
        double nominal = unit.pack().predictions().nominalValue((Reading) unit.pack().catalogue().test(test));
        return Double.isInfinite(nominal) ? "OL" : String.valueOf(Math.round(nominal * 1000) / 1000.0);
    }

    private static List<Entry> run(CaseUnit unit) {
        List<Entry> run = new ArrayList<>();
        unit.pack().seenInSequence().forEach(channel -> SequenceModel.of(unit.pack(), channel.id()).edges(unit.pack().space().nothing(), true).stream()
                .findFirst().ifPresent(at -> run.add(new Entry.Seen(channel.id(), true, at))));
        run.add(new Entry.Watched(7000));
        return run;
    }
}
