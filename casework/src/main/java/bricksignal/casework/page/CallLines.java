package bricksignal.casework.page;

import bricksignal.casework.CaseUnit;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.CallAlone;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is told of calling a unit: each call alone, what its keys do, and how its board leaves a stop. */
final class CallLines {

    private static final double SECONDS_A_MINUTE = 60;
    /** Below this what starts is told in seconds, from here on in minutes. */
    private static final double IN_SECONDS = 120;
    private static final double AT_ONCE = 0.5;

    private CallLines() {
    }

    /** The calls: as the pack places them, then each other one that its circuit has. */
    static List<UnitPage.Call> of(CaseUnit unit) {
        UnitModel model = unit.model();
        List<CallAlone> alone = unit.pack().catalogue().safety().calls();
        List<UnitPage.Call> lines = new ArrayList<>();
        for (CallAdvice call : model.calls()) {
            Optional<CallAlone> same = alone.stream().filter(one -> one.from().equals(call.from()) && one.to().equals(call.to())).findFirst();
            lines.add(line(unit, Message.said(call.label()), call, call.from(), call.to(), same.map(CallAlone::starts).orElse(List.of())));
        }
        model.calls().stream().findFirst().ifPresent(usual -> alone.stream()
                .filter(one -> model.calls().stream().noneMatch(call -> call.from().equals(one.from()) && call.to().equals(one.to())))
                .forEach(one -> lines.add(line(unit, Message.of(one.withUsual() ? "call.beside" : "call.alone", Message.said(model.pointLabel(one.from())),
                        Message.said(model.pointLabel(one.to()))), usual, one.from(), one.to(), one.starts()))));
        return List.copyOf(lines);
    }

    private static UnitPage.Call line(CaseUnit unit, Message label, CallAdvice order, String from, String to, List<CallAlone.Start> starts) {
        String id = "call." + from + "." + to;
        Map<String, Change> allowed = unit.pack().catalogue().safety().allowed();
        Change change = allowed.get(id);
        return new UnitPage.Call(label, point(unit.model(), from), point(unit.model(), to), order.order(), order.why(), order.hold(), change == null ? null : id,
                change == null ? Message.NOTHING : change.says(), starts(starts));
    }

    private static @Nullable String point(UnitModel model, String net) {
        return net.isEmpty() ? null : model.point(net).label();
    }

    /** What the keys of its board do. */
    static List<UnitPage.KeyLine> keys(CaseUnit unit) {
        return unit.keys().stream().map(key -> new UnitPage.KeyLine(key.done(), starts(key.starts()))).toList();
    }

    private static Message starts(List<CallAlone.Start> starts) {
        return starts.isEmpty() ? Message.NOTHING : Message.items(Message.Joint.COMMA, starts.stream().map(CallLines::start).toList());
    }

    private static Message start(CallAlone.Start start) {
        Message what = Message.said(start.channel().label());
        return start.seconds() < AT_ONCE ? Message.of("call.start-now", what)
                : start.seconds() < IN_SECONDS ? Message.of("call.start", what, new Message.Number(Math.round(start.seconds())))
                : Message.of("call.start-minutes", what, minutes(start.seconds()));
    }

    private static Message.Number minutes(double seconds) {
        return new Message.Number(Math.round(seconds / SECONDS_A_MINUTE));
    }

    /** How a board leaves what it shows by a line of its chart, or null where that is no stop. */
    static @Nullable Message leaves(CaseUnit unit, String board, Chart.Code code) {
        return unit.leaving().stream().filter(left -> left.board().equals(board) && unit.model().chart(board).codes().stream()
                .anyMatch(own -> own.pattern().equals(left.shown()) && own.condition().equals(code.condition()) && !own.condition().isEmpty())).findFirst().map(left ->
                Double.isInfinite(left.seconds()) ? Message.of("leave.call-off")
                        : Message.of(left.callOff() ? "leave.sooner" : "leave.by-itself", minutes(left.seconds()))).orElse(null);
    }
}
