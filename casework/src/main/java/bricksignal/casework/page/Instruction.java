package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** How a test is said to a person: where and what, when, and what it should read, in that order. */
final class Instruction {

    private static final double MINUTE = 60;
    /** Up to here a person counts seconds. */
    private static final double COUNTED_SECONDS = 100;

    /** What came last by then is named, no more. */
    private static final int MOST_NAMED = 2;

    private Instruction() {
    }

    /** Where and what. */
    static Message what(UnitModel model, Test test) {
        if (!(test instanceof Test.Reading reading && reading.place() instanceof Place.Across across)) {
            return test.label();
        }
        Point red = model.point(across.red());
        Point black = model.point(across.black());
        return red.where().isEmpty() || red.where().equals(black.where()) || black.where().isEmpty()
                ? Message.of("test.at", Message.said(red.where()), Message.said(red.label()), Message.said(black.label()))
                : Message.of("test.at-both", Message.said(red.where()), Message.said(red.label()), Message.said(black.where()),
                        Message.said(black.label()));
    }

    /** The setting of the meter; nothing for a check. */
    static Message mode(Test test) {
        return test instanceof Test.Reading reading ? mode(reading.mode()) : Message.NOTHING;
    }

    static Message mode(@Nullable MeterMode mode) {
        return mode == null ? Message.NOTHING : Message.of("mode." + mode);
    }

    /** When: in the usual run by the clock of the call, with what a unit in good order has running by then. */
    static Message when(CompiledPack pack, Test test) {
        if (test instanceof Test.Check check && check.sense().changesAPart()) {
            return Message.of("when.failed-call");
        } else if (test instanceof Test.Check check && check.sense().onlyAsks()) {
            return Message.NOTHING;
        }
        boolean told = test instanceof Test.Check check && check.change().made();
        Moment moment = pack.model().moment(test.moment());
        double at = pack.catalogue().seconds(moment.id());
        boolean usual = moment.scenario().equals(pack.model().scenarios().get(0).id());
        if (told && !usual) {
            return Message.NOTHING;
        }
        Double afterCall = UnitPage.afterCall(pack, at);
        if (!usual || afterCall == null || moment.role() != Moment.Role.OTHER) {
            return Message.said(moment.label());
        }
        Message clock = afterCall < COUNTED_SECONDS ? Message.of("when.seconds", new Message.Number(Math.round(afterCall)))
                : Message.of("when.minutes", new Message.Number(Math.floor(afterCall / MINUTE)), new Message.Number(Math.round(afterCall % MINUTE)));
        List<Message> runs = pack.seenInSequence().stream().filter(channel -> pack.nominal().holds(channel.when(), moment.scenario(), at))
                .sorted(Comparator.comparingDouble(channel -> -begun(pack, channel, afterCall))).limit(MOST_NAMED)
                .map(channel -> Message.said(channel.label())).toList();
        return runs.isEmpty() ? clock : Message.of("when.runs", clock, Message.items(Message.Joint.AND, runs));
    }

    /** It asks whether something changes: in a unit in good order nothing does. */
    private static boolean asksForAChange(Test.Check check) {
        return check.sense().onlyAsks() || check.sense().changesAPart() || check.sense() == Test.Sense.RESEAT
                || check.sense() == Test.Sense.FEEL && check.when() == null;
    }

    /** When a channel last began before a time, seconds after the call. */
    private static double begun(CompiledPack pack, UnitModel.Channel channel, double afterCall) {
        return SequenceModel.of(pack, channel.id()).edges(pack.space().nothing(), true).stream().mapToDouble(Double::doubleValue)
                .filter(begin -> begin <= afterCall).max().orElse(0);
    }

    /** What a unit in good order shows; nothing where that depends on nothing in it. */
    static Message should(Case now, Test test) {
        if (test instanceof Test.Sequence || test instanceof Test.Check check && asksForAChange(check)) {
            return Message.NOTHING;
        }
        Prediction nominal = now.unit().pack().predictions().nominal(test);
        return Message.of(test instanceof Test.Reading ? "should.read" : "should.be", TestPage.expected(now, test, nominal));
    }
}
