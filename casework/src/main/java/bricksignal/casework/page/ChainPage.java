package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.diagnosis.chain.ChainWalk;
import bricksignal.core.drawing.Ladder;
import bricksignal.core.drawing.Symbol;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * A walk along points in series with one probe fixed on common.
 *
 * @param mayBeGhost whether low impedance is worth choosing: a reading may be only the neighbour's field
 * @param lowImpedance the setting to repeat it with, or null where there is none
 * @param interrupted probability that it is interrupted
 * @param said where the voltage stops, as far as is known
 * @param culprits what lies there
 */
public record ChainPage(String id, Message label, String common, String commonLabel, MeterMode mode, Message modeLabel,
        @Nullable MeterMode lowImpedance, boolean mayBeGhost, String moment, @Phrase String momentLabel, double interrupted, boolean done,
        List<ChainPoint> points, Message said, List<Message> culprits, List<Message> cautions) {

    /** What hangs on another chain is as likely open as that one: only by more than this does a chain stand before an earlier one. Ours. */
    private static final double LIKELIER = 0.05;

    /** A point of a chain; due is what a unit in good order has there, and links are what leads to it from the point before. */
    public record ChainPoint(String net, @Phrase String label, @Phrase String where, String colour, Message due, ChainWalk.Mark mark,
            @Nullable Message reading, boolean next, List<ChainLink> links) {
    }

    /** What lies between two points; nothing is said of a plain wire. */
    public record ChainLink(Symbol by, Message what, ElementState state) {
    }

    /** The walks along all chains of a case's unit; the one that is likeliest interrupted and not done stands first. */
    public static List<ChainPage> of(Case now) {
        Map<String, CircuitNow> circuits = new LinkedHashMap<>();
        List<ChainPage> pages = new ArrayList<>(now.unit().chains().stream()
                .map(chain -> of(now, chain, circuits.computeIfAbsent(chain.moment(), moment -> new CircuitNow(now, moment)))).toList());
        pages.stream().filter(page -> !page.done()).reduce((a, b) -> b.interrupted() > a.interrupted() + LIKELIER ? b : a).ifPresent(first -> {
            pages.remove(first);
            pages.add(0, first);
        });
        return pages;
    }

    private static ChainPage of(Case now, Chain chain, CircuitNow circuit) {
        Diagnosis diagnosis = now.diagnosis();
        List<Ladder.Step> way = now.unit().ladder().way(chain.net(chain.readings().size() - 1), chain.common());
        UnitModel model = diagnosis.pack().model();
        ChainWalk walk = ChainWalk.of(chain, diagnosis);
        OptionalInt next = walk.next();
        List<ChainPoint> points = new ArrayList<>();
        List<Message> cautions = new ArrayList<>();
        for (int i = 0; i < chain.readings().size(); i++) {
            Test.Reading reading = chain.readings().get(i);
            Point point = model.point(chain.net(i));
            points.add(new ChainPoint(point.net(), point.label(), point.where(), point.colour(), new Message.Amount(reading.mode(),
                    diagnosis.pack().predictions().nominalValue(reading)), walk.marks().get(i), last(diagnosis, chain, i),
                    next.isPresent() && next.getAsInt() == i, i == 0 ? List.of() : links(circuit, way, chain.net(i - 1), chain.net(i))));
            cautions.addAll(TestPage.cautions(diagnosis.pack(), reading));
        }
        MeterMode mode = chain.readings().get(0).mode();
        return new ChainPage(chain.id(), chain.label(), chain.common(), model.point(chain.common()).label(), mode,
                Message.of("mode." + mode), mode == MeterMode.AC_VOLTS ? MeterMode.AC_VOLTS_LOW_Z : null,
                walk.marks().contains(ChainWalk.Mark.GHOST), chain.moment(), model.moment(chain.moment()).label(),
                walk.interrupted(), walk.done(), points, said(model, walk), culprits(model, walk),
                cautions.stream().distinct().toList());
    }

    /** What lies on a way between two of its places; nothing where they are not on it in that order. */
    private static List<ChainLink> links(CircuitNow circuit, List<Ladder.Step> way, String from, String to) {
        List<String> nets = way.stream().map(Ladder.Step::net).toList();
        int first = nets.indexOf(from);
        int last = nets.indexOf(to);
        return first < 0 || last < first ? List.of() : way.subList(first + 1, last + 1).stream().flatMap(step -> step.by().stream()).map(circuit::link).toList();
    }

    private static @Nullable Message last(Diagnosis diagnosis, Chain chain, int place) {
        Message last = null;
        for (Observation observation : diagnosis.observations()) {
            if (observation instanceof Observation.Reading r && r.test().place() instanceof Place.Across across
                    && across.red().equals(chain.net(place)) && across.black().equals(chain.common())
                    && r.test().moment().equals(chain.moment()) && !r.test().mode().dead()) {
                last = new Message.Amount(r.test().mode(), r.value());
            }
        }
        return last;
    }

    private static Message said(UnitModel model, ChainWalk walk) {
        if (walk.marks().contains(ChainWalk.Mark.GHOST)) {
            return Message.of("chain.ghost", label(model, walk, walk.marks().indexOf(ChainWalk.Mark.GHOST)));
        }
        OptionalInt dead = walk.firstDead();
        OptionalInt live = walk.lastLive();
        if (dead.isPresent() && live.isPresent()) {
            return Message.of(walk.done() ? "chain.stops" : "chain.stops-somewhere", label(model, walk, live.getAsInt()),
                    label(model, walk, dead.getAsInt()));
        } else if (dead.isPresent()) {
            return walk.done() ? Message.of("chain.dead-from-start")
                    : Message.of("chain.dead-at", label(model, walk, dead.getAsInt()));
        }
        return walk.done() ? Message.of("chain.live") : live.isPresent()
                ? Message.of("chain.live-up-to", label(model, walk, live.getAsInt())) : Message.of("chain.nothing-read");
    }

    private static List<Message> culprits(UnitModel model, ChainWalk walk) {
        return walk.done() ? walk.bracketed().stream().map(element -> culprit(model, element)).distinct().toList() : List.of();
    }

    private static Message culprit(UnitModel model, String element) {
        return model.partWith(element).map(Part::label).or(() -> model.connectors().stream()
                .filter(c -> c.conductors().contains(element)).findFirst().map(UnitModel.Connector::label)).map(Message::said)
                .orElse(Message.of("chain.wire", Message.said(element)));
    }

    private static Message label(UnitModel model, ChainWalk walk, int place) {
        return Message.said(model.point(walk.chain().net(place)).label());
    }
}
