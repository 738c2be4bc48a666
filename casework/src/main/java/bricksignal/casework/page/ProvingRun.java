package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Commissioning;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.page.ProvingPage.Item;
import bricksignal.casework.page.ProvingPage.Kind;
import bricksignal.casework.page.ProvingPage.State;
import bricksignal.casework.page.ProvingPage.Walk;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.Judgement;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.SettingTest;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Acceptance;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out what proves a repair: common practice of careful technicians; no published source. */
final class ProvingRun {

    /** Rounds of several cycles that are watched: more for what came and went (common practice, from memory). */
    private static final int ROUNDS_OF_SELDOM = 2;
    private static final double SAFETY_MINUTES = 2;
    private static final double SETTING_MINUTES = 1;

    private final Case now;
    private final CompiledPack pack;
    private final UnitModel model;
    private final List<Line> counting;
    private final List<Line> since;
    private final List<Observation> seen;
    private final List<Part> repaired;
    private final boolean fresh;
    /** In the order of one walk: at each of its moments the run that is watched first, then what is quickest. */
    private final List<Item> items;

    ProvingRun(Case now) {
        this.now = now;
        this.pack = now.unit().pack();
        this.model = now.unit().model();
        this.counting = now.lines().stream().filter(Line::counts).toList();
        int last = -1;
        for (int i = 0; i < counting.size(); i++) {
            last = counting.get(i).filed().entry() instanceof Entry.Repaired ? i : last;
        }
        this.since = counting.subList(last + 1, counting.size());
        this.seen = now.diagnosis().sinceRepair();
        this.repaired = now.diagnosis().repaired().stream().map(model::part).toList();
        this.fresh = Commissioning.begun(now);
        this.items = items().sorted(Comparator.comparing(Item::walk).thenComparing(item -> item.kind() != Kind.RUN).thenComparingDouble(Item::minutes)).toList();
    }

    ProvingPage page() {
        return new ProvingPage(due(), items, blocks());
    }

    /** Nothing temporary in it, nothing out of its limits, and the safeties said to be in. */
    List<Message> blocks() {
        return Stream.concat(now.stops().keySet().stream().map(stop -> Message.of("prove.stopped", stop.says("what"))), itemBlocks()).toList();
    }

    private Stream<Message> itemBlocks() {
        return items.stream().filter(item -> item.state() == State.BAD || item.kind() == Kind.SAFETY && item.state() == State.MISSING).map(ProvingRun::block);
    }

    private static Message block(Item item) {
        if (item.state() == State.MISSING) {
            return Message.of("prove.unsaid", item.what());
        }
        return item.kind() == Kind.CHANGE ? Message.of("prove.still-in", item.what()) : Message.of("prove.not-so", item.what(), item.found());
    }

    /** There is a run to prove after a repair, and of a new unit. */
    private boolean due() {
        return fresh || !repaired.isEmpty();
    }

    private Stream<Item> items() {
        Stream<Item> always = Stream.of(changes(), safeties()).flatMap(all -> all);
        return !due() ? always : Stream.of(always, runs(), limits(), calls(), plugs(), settings(), untested()).flatMap(all -> all);
    }

    /** What is still in comes out first: a run with a jumper in it proves nothing. */
    private Stream<Item> changes() {
        return now.changesIn().stream().map(filed -> new Item(filed.id(), Kind.CHANGE, Walk.POWER_OFF, now.change((Entry.ChangeIn) filed.entry()), State.BAD, Message.of("prove.out"),
                Message.of("prove.in"), 0, List.of()));
    }

    private Stream<Item> safeties() {
        boolean burns = model.dangers().burns();
        return Stream.of(Entry.Safety.values()).filter(safety -> burns || safety != Entry.Safety.MONOXIDE).map(safety -> {
            Boolean said = since.stream().flatMap(line -> line.filed().entry() instanceof Entry.Safe safe && safe.what() == safety ? Stream.of(safe.yes())
                    : Stream.<Boolean>empty()).reduce((first, last) -> last).orElse(null);
            return new Item(safety.name(), Kind.SAFETY, Walk.BEFORE_LEAVING, Message.of("prove." + safety), state(said, true), Message.of("yes"), yesOrNo(said),
                    SAFETY_MINUTES, List.of());
        });
    }

    /** The run watched by the clock to its end, and several cycles of it. */
    private Stream<Item> runs() {
        return pack.catalogue().tests().stream().flatMap(test -> test instanceof Test.Sequence ? Stream.of(watched(test))
                : test instanceof Test.Check check && check.sense() == Test.Sense.CYCLES ? Stream.of(cycles(check)) : Stream.empty());
    }

    private Item watched(Test sequence) {
        Line last = since.stream().filter(line -> line.filed().entry() instanceof Entry.Watched).reduce((first, other) -> other).orElse(null);
        List<Observation> missed = seen.stream().filter(Observation.NotSeen.class::isInstance).toList();
        State state = !missed.isEmpty() ? State.BAD : last == null ? State.MISSING : State.GOOD;
        Message found = missed.isEmpty() ? last == null ? Message.NOTHING : Message.of("prove.all-came")
                : Message.items(Message.Joint.COMMA, missed.stream().map(one -> Message.of("log.missed", Message.said(model.channel(
                ((Observation.NotSeen) one).channel()).label()))).toList());
        return item(sequence, Kind.RUN, state, Message.of("prove.all-comes"), found);
    }

    private Item cycles(Test.Check cycles) {
        List<Boolean> rounds = answers(cycles);
        int needed = cameAndWent() ? ROUNDS_OF_SELDOM : 1;
        State state = rounds.contains(true) ? State.BAD : rounds.size() < needed ? State.MISSING : State.GOOD;
        return item(cycles, Kind.QUESTION, state, needed > 1 ? Message.of("prove.twice", Message.of("no")) : Message.of("no"),
                rounds.isEmpty() ? Message.NOTHING : Message.of(rounds.contains(true) ? "yes" : "no"));
    }

    /** Somebody said, or saw, before the repair that it comes and goes. */
    private boolean cameAndWent() {
        return now.diagnosis().observations().stream().anyMatch(o -> o instanceof Observation.Died || o instanceof Observation.Answer answer && answer.yes()
                && answer.test().sense().tellsOfTime());
    }

    private Stream<Item> limits() {
        Map<String, String> positions = left(counting);
        return model.acceptance().stream().map(one -> model.limit(one, positions)).map(limit -> {
            if (limit.answer() != null) {
                return question((Test.Check) pack.catalogue().test(limit.test()), Message.said(limit.label()), limit.answer());
            }
            Test.Reading test = (Test.Reading) pack.catalogue().test(limit.test());
            Observation.Reading last = last(test);
            State state = last == null ? State.MISSING : limit.accepts(last.value()) ? State.GOOD : State.BAD;
            return item(test, Message.said(limit.label()), state, band(test, limit), last);
        });
    }

    /** Where settings were left, by those lines of the log. */
    private static Map<String, String> left(List<Line> lines) {
        Map<String, String> left = new LinkedHashMap<>();
        lines.forEach(line -> {
            if (line.filed().entry() instanceof Entry.SetTo set) {
                left.put(set.setting(), set.left());
            }
        });
        return left;
    }

    private Message band(Test.Reading test, Acceptance limit) {
        Message least = TestPage.amount(now, test, limit.least());
        Message most = TestPage.amount(now, test, limit.most());
        return Double.isInfinite(limit.least()) ? Message.of("prove.at-most", most) : Double.isInfinite(limit.most()) ? Message.of("prove.at-least", least)
                : Message.of("prove.band", least, most);
    }

    /** Each thing that can be called for comes. A call whose run was watched to its end, with all of it on time, has shown that by itself. */
    private Stream<Item> calls() {
        List<String> watched = pack.catalogue().tests().stream().filter(test -> test instanceof Test.Sequence && watched(test).state() == State.GOOD).map(this::scenario).toList();
        return questions(check -> check.sense() == Test.Sense.COMPLAINT && !CustomerTest.asks(check)).map(check -> {
            Item asked = question(check, Message.of("prove.call", Message.said(String.valueOf(model.scenario(scenario(check)).called()))), false);
            return asked.state() == State.MISSING && watched.contains(scenario(check)) ? asked.shown(Message.of("prove.all-came")) : asked;
        });
    }

    private String scenario(Test test) {
        return model.moment(test.moment()).scenario();
    }

    /** The plugs of what was changed, and those that were pulled or pushed on the way, wiggled once more. */
    private Stream<Item> plugs() {
        return questions(check -> check.sense() == Test.Sense.RESEAT && touched(check.connector())).map(check -> question(check, check.label(), false));
    }

    private boolean touched(String connector) {
        boolean handled = now.diagnosis().observations().stream().anyMatch(o -> o instanceof Observation.Reading r && r.test().setup().unplugged().contains(connector)
                || o instanceof Observation.Answer a && a.test().connector().equals(connector));
        List<String> pins = model.connector(connector).conductors();
        return handled || repaired.stream().flatMap(part -> part.elements().stream()).flatMap(element -> model.machine().circuit().element(element).nets().stream())
                .anyMatch(net -> pins.stream().anyMatch(pin -> model.machine().circuit().element(pin).nets().contains(net)));
    }

    /** A new board comes with the factory's switches, and so does a new unit: each is looked at again. */
    private Stream<Item> settings() {
        boolean newBoard = repaired.stream().anyMatch(part -> part.kind() == Part.Kind.BOARD);
        List<String> handled = now.diagnosis().observations().stream().flatMap(o -> o instanceof Observation.Answer a && a.yes() && SettingTest.looksAtASetting(a.test())
                ? Stream.of(a.test().id()) : Stream.<String>empty()).toList();
        Map<String, String> positions = left(since);
        return model.settings().stream().filter(setting -> newBoard || fresh || handled.contains(SettingTest.idOf(setting))).map(setting -> {
            String position = positions.get(setting.id());
            return new Item(setting.id(), Kind.SETTING, Walk.POWER_OFF, Message.said(setting.label()), position == null ? State.MISSING : State.GOOD, Message.of("prove.set"),
                    position == null ? Message.NOTHING : Message.said(position), SETTING_MINUTES, List.of());
        });
    }

    /** What never had power in the fault, and was therefore never tested, takes its current now. */
    private Stream<Item> untested() {
        return neverFed().stream().flatMap(part -> reading(part).stream()).filter(test -> model.acceptance().stream().noneMatch(limit -> limit.test().equals(test.id())))
                .map(test -> {
                    Observation.Reading last = last(test);
                    Prediction.Number nominal = (Prediction.Number) pack.predictions().nominal(test);
                    State state = last == null ? State.MISSING : Judgement.of(pack, last).kind() == Judgement.Kind.NOMINAL ? State.GOOD : State.BAD;
                    return item(test, Message.of("prove.untested", test.label()), state, TestPage.amount(now, test, nominal.mean()), last);
                });
    }

    private List<Part> neverFed() {
        return now.beforeRepairs().stream().flatMap(before -> before.verdict().untested().stream()).distinct().map(model::part).toList();
    }

    /** What shows on a clamp that a part works. */
    private Optional<Test.Reading> reading(Part part) {
        return model.readings().stream().filter(test -> !test.mode().dead() && test.place() instanceof Place.Through through && part.elements().contains(through.element()))
                .min(Comparator.comparingDouble(test -> TestCost.minutes(pack, test, Stand.AS_FOUND)));
    }

    private Stream<Test.Check> questions(Predicate<Test.Check> asked) {
        return pack.catalogue().tests().stream().flatMap(test -> test instanceof Test.Check check && asked.test(check) ? Stream.of(check) : Stream.<Test.Check>empty());
    }

    private Item question(Test.Check check, Message what, boolean due) {
        Boolean said = answers(check).stream().reduce((first, last) -> last).orElse(null);
        return new Item(check.id(), Kind.QUESTION, walk(check), what, state(said, due), Message.of(due ? "yes" : "no"), yesOrNo(said),
                TestCost.minutes(pack, check, Stand.AS_FOUND), TestPage.cautions(pack, check));
    }

    private List<Boolean> answers(Test.Check check) {
        return seen.stream().flatMap(o -> o instanceof Observation.Answer answer && answer.made(check) ? Stream.of(answer.yes()) : Stream.<Boolean>empty()).toList();
    }

    private Observation.@Nullable Reading last(Test.Reading test) {
        return seen.stream().flatMap(o -> o instanceof Observation.Reading reading && reading.made(test) ? Stream.of(reading) : Stream.<Observation.Reading>empty())
                .reduce((first, last) -> last).orElse(null);
    }

    /** By the moment of a test: what is watched or asked about belongs to the run. */
    private Walk walk(Test test) {
        Moment moment = model.moment(test.moment());
        boolean asks = test instanceof Test.Sequence || test instanceof Test.Check check && check.sense().onlyAsks();
        return moment.role() == Moment.Role.POWER_OFF ? Walk.POWER_OFF : asks ? Walk.CALLED : moment.role() == Moment.Role.AFTER_CALL ? Walk.CALL_ENDED
                : pack.catalogue().seconds(moment.id()) < model.scenario(moment.scenario()).firstAfterPower() ? Walk.STANDBY : Walk.CALLED;
    }

    private Item item(Test.Reading test, Message what, State state, Message due, Observation.@Nullable Reading last) {
        return new Item(test.id(), Kind.READING, walk(test), what, state, due, last == null ? Message.NOTHING : TestPage.amount(now, test, last.value()),
                new Message.Unit(test.mode(), false), new Message.Unit(test.mode(), true), TestCost.minutes(pack, test, Stand.AS_FOUND), TestPage.cautions(pack, test));
    }

    private Item item(Test test, Kind kind, State state, Message due, Message found) {
        return new Item(test.id(), kind, walk(test), test.label(), state, due, found, TestCost.minutes(pack, test, Stand.AS_FOUND), TestPage.cautions(pack, test));
    }

    private static State state(@Nullable Boolean said, boolean due) {
        return said == null ? State.MISSING : said == due ? State.GOOD : State.BAD;
    }

    private static Message yesOrNo(@Nullable Boolean said) {
        return said == null ? Message.NOTHING : Message.of(said ? "yes" : "no");
    }
}
