package bricksignal.casework.page;

import bricksignal.casework.CaseUnit;
import bricksignal.casework.Heard;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.advice.Waiting;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The unit and what can be measured on it: what stays the same through a visit.
 *
 * @param key names this very unit
 * @param pack its family
 * @param duty what this board is responsible for, and what it is not
 * @param calls how a call is placed, and each call alone; the usual one first
 * @param keys what keys, test terminals and modes of the board make it do without a call
 * @param complaints what a customer can say: which call fails, where more than one thing can be called for, and what was noticed
 * @param modes settings of the meter that read between two points
 * @param cautions what to mind before anything is begun
 * @param dangers what may be found that ends the diagnosis
 * @param waits for how long a unit in good order does something by itself after power came, and what; null where it rests at once
 * @param defer what comes before anything that is said
 */
public record UnitPage(String key, String pack, @Phrase String title, @Phrase String duty, List<BoardLamp> lamps, List<PointLine> points,
        List<MomentLine> moments, List<Mode> modes, List<Stage> stages, List<Call> calls, List<KeyLine> keys, List<Complaint> complaints, List<Message> cautions, List<Danger> dangers,
        @Nullable Message waits, Message defer) {

    private static final double SECONDS_A_MINUTE = 60;

    /** A lamp, by what its flashes differ, and its chart. */
    public record BoardLamp(String board, @Phrase String label, List<String> marks, List<ChartCode> chart) {
    }

    /**
     * A line of the chart on the door.
     *
     * @param says the pattern in the words of the person
     * @param leaves how the board leaves the state that it shows so; null where that is no stop
     */
    public record ChartCode(String pattern, Message says, @Phrase String condition, boolean blinks, String generation, @Nullable Message leaves) {
    }

    /** A point to probe. */
    public record PointLine(String net, @Phrase String label, @Phrase String where, String colour, @Phrase String side, String against) {
    }

    /** A moment of the run, with its time after the call where it has one. */
    public record MomentLine(String id, @Phrase String label, double at, @Nullable Double afterCall, boolean powerOff) {
    }

    /** A setting of the meter that reads between two points; dead where the power must be off. */
    public record Mode(MeterMode mode, Message label, Message unit, Message behind, boolean dead) {
    }

    /** Something that a customer can say: the test is the question, and whether this is a yes to it. */
    public record Complaint(String test, boolean yes, Message label) {
    }

    /** A stage of the sequence and what is seen. */
    public record Stage(String id, @Phrase String label, @Phrase String seen) {
    }

    /**
     * How a call is placed on this board, and what must come out again.
     *
     * @param change the temporary change that it is, by id; null where its circuit allows none
     * @param changed the same as it is told in the log
     * @param starts what starts then in a healthy unit, and when; nothing where it is not known
     */
    public record Call(Message label, @Nullable String from, @Nullable String to, CallAdvice.Order order, @Phrase String why,
            @Phrase String hold, @Nullable String change, Message changed, Message starts) {
    }

    /** A key or a mode of the board's own, and what starts. */
    public record KeyLine(Message done, Message starts) {
    }

    /** Something that may be found at such a unit and ends the diagnosis. */
    public record Danger(Stop finding, Message what) {
    }

    /** The page of a unit. */
    public static UnitPage of(CaseUnit unit) {
        UnitModel model = unit.model();
        CompiledPack pack = unit.pack();
        return new UnitPage(unit.key(), model.id(), model.title(), model.duty(),
                model.charts().keySet().stream().map(board -> lamp(unit, board)).toList(),
                model.points().stream().map(p -> new PointLine(p.net(), p.label(), p.where(), p.colour(), p.side(),
                        p.against())).toList(),
                model.moments().stream().map(m -> new MomentLine(m.id(), m.label(), pack.catalogue().seconds(m.id()),
                        afterCall(pack, pack.catalogue().seconds(m.id())), m.role() == Moment.Role.POWER_OFF)).toList(),
                Arrays.stream(MeterMode.values()).filter(MeterMode::betweenPoints).map(m -> new Mode(m,
                        Message.of("mode." + m), new Message.Unit(m, false), new Message.Unit(m, true), m.dead())).toList(),
                model.stages().stream().map(s -> new Stage(s.id(), s.label(), s.seen())).toList(),
                CallLines.of(unit), CallLines.keys(unit), complaints(pack),
                model.dangers().burns() ? List.of(Hazard.FLAME.before()) : List.of(),
                Stream.of(Stop.values()).filter(stop -> stop.concerns(model.dangers())).map(stop -> new Danger(stop, stop.says("what"))).toList(),
                unit.waiting().map(UnitPage::waits).orElse(null), Message.of("defer"));
    }

    private static List<Complaint> complaints(CompiledPack pack) {
        return Stream.concat(pack.catalogue().tests().stream().filter(Test.Check.class::isInstance).map(Test.Check.class::cast)
                .filter(check -> check.sense() == Test.Sense.COMPLAINT && !CustomerTest.asks(check)).map(check -> new Complaint(check.id(), true,
                        Message.of("said.fails", Message.said(String.valueOf(pack.model().scenario(pack.model().moment(check.moment()).scenario()).called()))))),
                Heard.of(pack.model()).stream().map(said -> new Complaint(said.test(), said.yes(), said.says()))).toList();
    }

    private static Message waits(Waiting waiting) {
        return Message.of("wait", new Message.Number(Math.max(1, Math.round(waiting.seconds() / SECONDS_A_MINUTE))),
                Message.items(Message.Joint.COMMA, waiting.meanwhile().stream().map(channel -> Message.said(channel.label())).toList()));
    }

    /** Seconds after the call, for a moment that comes while the unit is calling. */
    static @Nullable Double afterCall(CompiledPack pack, double at) {
        double call = SequenceModel.callSeconds(pack.model());
        return at >= call && at < pack.model().found().from() ? at - call : null;
    }

    private static BoardLamp lamp(CaseUnit unit, String board) {
        UnitModel model = unit.model();
        Chart chart = model.chart(board);
        List<String> marks = chart.patterns().stream().flatMap(p -> p.marks().stream()).filter(m -> !m.isEmpty()).distinct()
                .toList();
        return new BoardLamp(board, model.boardLabel(board), marks, chart.generations().stream().flatMap(g -> g.codes().stream()
                .map(c -> new ChartCode(c.pattern().text(), new Message.Lamp(c.pattern().text()), c.meaning(), c.pattern().blinks(), g.name(), CallLines.leaves(unit, board, c)))).toList());
    }
}
