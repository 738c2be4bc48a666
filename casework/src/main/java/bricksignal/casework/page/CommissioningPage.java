package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Commissioning;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Predictions;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Setting up a unit that never ran before, in order: what is done before it runs, then its settings. What it must show when it runs is its proving run.
 *
 * @param begun whether somebody said that the unit is new
 * @param open how many steps are not done
 */
public record CommissioningPage(boolean begun, List<SetUpStep> steps, long open) {

    /** A pattern is worth expecting where the lamp shows it so much of the time. */
    private static final double OFTEN = 0.2;

    /** How a step stands. */
    public enum State { OPEN, DONE, NOT_HERE }

    /**
     * A step.
     *
     * @param setting the setting that it is about, by id; null for what is done before the unit runs
     * @param stands the state in words
     * @param told what was said or set; empty where nothing was
     * @param shows what a lamp shows as long as it is not done, and only then; nothing where a person would see no difference
     * @param entry the entry that said so, by id; null where it is open
     * @param needs the licences of whoever does it
     */
    public record SetUpStep(String id, @Nullable String setting, @Phrase String what, State state, Message stands, Message told, List<Message> shows, @Nullable String entry, List<Stop.Licence> needs) {
    }

    /** The page of a case. */
    public static CommissioningPage of(Case now) {
        UnitModel model = now.unit().model();
        List<SetUpStep> steps = Stream.concat(Commissioning.steps(model).stream().map(fault -> step(now, fault)), model.settings().stream().map(setting -> step(now, setting))).toList();
        return new CommissioningPage(Commissioning.begun(now), steps, steps.stream().filter(step -> step.state() == State.OPEN).count());
    }

    private static SetUpStep step(Case now, Fault fault) {
        return step(now, fault.id(), null, fault.commission(), shows(now, fault), List.copyOf(now.unit().pack().catalogue().safety().licences(now.unit().model().part(fault.part()))));
    }

    private static SetUpStep step(Case now, UnitModel.Setting setting) {
        SetUpStep said = step(now, Commissioning.step(setting.id()), setting.id(), setting.label(), List.of(), List.of());
        return last(now, entry -> entry instanceof Entry.SetTo set && set.setting().equals(setting.id())).map(line -> new SetUpStep(said.id(), setting.id(), said.what(), State.DONE, says(State.DONE),
                set((Entry.SetTo) line.filed().entry()), List.of(), line.filed().id(), List.of())).orElse(said);
    }

    private static SetUpStep step(Case now, String id, @Nullable String setting, String what, List<Message> shows, List<Stop.Licence> needs) {
        Optional<Line> line = last(now, entry -> entry instanceof Entry.SetUp set && set.step().equals(id));
        Optional<Entry.SetUp> said = line.map(one -> (Entry.SetUp) one.filed().entry());
        State state = said.map(set -> set.fitted() ? State.DONE : State.NOT_HERE).orElse(State.OPEN);
        return new SetUpStep(id, setting, what, state, says(state), said.map(Entry.SetUp::text).map(Message::said).orElse(Message.NOTHING), shows, line.map(one -> one.filed().id()).orElse(null), needs);
    }

    private static Message says(State state) {
        return Message.of("commission." + state);
    }

    /** Where a setting was left, and why. */
    static Message set(Entry.SetTo set) {
        Message left = Message.of("log.found-left", Message.said(set.found()), Message.said(set.left()));
        return set.why() == null ? left : Message.of("log.set-why", left, Message.said(set.why()));
    }

    private static Optional<Line> last(Case now, Predicate<Entry> wanted) {
        return now.lines().stream().filter(line -> line.counts() && wanted.test(line.filed().entry())).reduce((first, other) -> other);
    }

    /** What the lamps show while it is so and do not show in a unit in good order, with what the chart says of it. */
    private static List<Message> shows(Case now, Fault fault) {
        return now.unit().model().charts().keySet().stream().flatMap(board -> codes(now, fault, board).map(pattern -> Message.of("commission.code", new Message.Lamp(pattern.text()),
                LogLines.condition(now.unit().model(), board, pattern)))).toList();
    }

    private static Stream<LampPattern> codes(Case now, Fault fault, String board) {
        HypothesisId nothing = now.unit().pack().space().nothing();
        Predictions shown = now.unit().pack().predictions();
        Set<LampPattern> good = Stream.of(shown.lampShares(nothing, board), shown.lampSharesAfterReset(nothing, board)).flatMap(shares -> shares.entrySet().stream())
                .filter(share -> share.getValue() > 0).map(Map.Entry::getKey).collect(Collectors.toSet());
        return shown.lampShares(new HypothesisId.Single(fault.id()), board).entrySet().stream().filter(share -> share.getValue() >= OFTEN && !good.contains(share.getKey()))
                .map(Map.Entry::getKey);
    }

    /** What a lamp showed last that is to be expected of a new unit, with what is not done yet. */
    static List<Message> expected(Case now) {
        if (!Commissioning.begun(now)) {
            return List.of();
        }
        return now.unit().model().charts().keySet().stream().flatMap(board -> LogLines.lastLamp(now, board).stream().flatMap(seen -> Commissioning.steps(now.unit().model()).stream()
                .filter(fault -> Commissioning.said(now, fault.id()).isEmpty() && codes(now, fault, board).anyMatch(seen::equals))
                .map(fault -> Message.of("commission.expected", new Message.Lamp(seen.text()), Message.said(fault.commission()))))).toList();
    }

    /** What keeps a visit from being closed as commissioned. */
    public static List<Message> blocks(Case now) {
        CommissioningPage page = of(now);
        Stream<Message> open = page.steps().stream().filter(step -> step.state() == State.OPEN).map(step -> Message.of("commission.open", Message.said(step.what())));
        return page.begun() ? Stream.concat(open, ProvingPage.blocks(now).stream()).toList() : List.of(Message.of("commission.not-new"));
    }
}
