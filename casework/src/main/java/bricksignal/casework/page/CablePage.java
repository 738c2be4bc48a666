package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Two places that a cable joins, terminal against terminal: what lands on what, what a unit in good order has at each end, and what was read. Two ends of
 * one conductor that differ are the finding.
 *
 * @param from where one end of the cable is, as people say it
 * @param to where the other is
 */
public record CablePage(String from, String to, List<ConductorRow> conductors) {

    /**
     * A conductor with its two ends.
     *
     * @param momentLabel when both ends are read
     * @param differs whether both were read and say different things: one has less than four fifths of the other
     */
    public record ConductorRow(String conductor, End near, End far, String momentLabel, boolean differs) {

        /** The same seen from the other end. */
        ConductorRow turned() {
            return new ConductorRow(conductor, /* near= */ far, /* far= */ near, momentLabel, differs);
        }
    }

    /** One end: its terminal, the test that reads it, what it should have, and what was read last. */
    public record End(String net, @Phrase String label, String colour, String test, Message due, Message.@Nullable Amount reading) {
    }

    private static final double ALIKE = 0.8;
    /** Below this a difference says nothing: a ghost, a drop of a long cable. */
    private static final double SAYS_VOLTS = 2;

    /** The cables of a unit of which more than one conductor has a terminal at both ends. */
    public static List<CablePage> of(Case now) {
        UnitModel model = now.unit().model();
        List<CablePage> cables = new ArrayList<>();
        model.machine().circuit().elements().stream().flatMap(element -> model.plainConductor(element.id()).stream())
                .forEach(wire -> row(now, wire).ifPresent(row -> add(cables, model, wire, row)));
        return cables.stream().filter(cable -> cable.conductors().size() > 1).toList();
    }

    private static void add(List<CablePage> cables, UnitModel model, Element.Conductor wire, ConductorRow row) {
        String from = model.point(wire.a()).where();
        String to = model.point(wire.b()).where();
        Optional<CablePage> same = cables.stream().filter(c -> c.from().equals(from) && c.to().equals(to) || c.from().equals(to) && c.to().equals(from)).findFirst();
        if (same.isPresent()) {
            boolean turned = same.get().from().equals(to);
            same.get().conductors().add(turned ? row.turned() : row);
        } else {
            cables.add(new CablePage(from, to, new ArrayList<>(List.of(row))));
        }
    }

    private static Optional<ConductorRow> row(Case now, Element.Conductor wire) {
        UnitModel model = now.unit().model();
        if (!model.isProbed(wire.a()) || !model.isProbed(wire.b()) || model.point(wire.a()).where().equals(model.point(wire.b()).where())) {
            return Optional.empty();
        }
        Point near = model.point(wire.a());
        Point far = model.point(wire.b());
        return near.moments().stream().filter(far.moments()::contains).flatMap(moment -> end(now, near, moment).flatMap(one -> end(now, far, moment).map(other ->
                new ConductorRow(wire.id(), one, other, model.moment(moment).label(), differs(one.reading(), other.reading())))).stream()).reduce((first, last) -> last);
    }

    /** An end in a moment; empty where nobody may take its voltage then. */
    private static Optional<End> end(Case now, Point point, String moment) {
        CompiledPack pack = now.unit().pack();
        String id = "v." + point.net() + "." + moment;
        return pack.catalogue().tests().stream().filter(test -> test.id().equals(id)).map(Test.Reading.class::cast).findFirst().map(test -> new End(point.net(), point.label(), point.colour(), test.id(), new Message.Amount(test.mode(), pack.predictions().nominalValue(test)),
                now.diagnosis().sinceRepair().stream().flatMap(o -> o instanceof Observation.Reading r && r.made(test) ? Stream.of(r) : Stream.empty())
                        .reduce((first, last) -> last).map(last -> new Message.Amount(test.mode(), last.value())).orElse(null)));
    }

    private static boolean differs(Message.@Nullable Amount one, Message.@Nullable Amount other) {
        if (one == null || other == null) {
            return false;
        }
        double most = Math.max(Math.abs(one.value()), Math.abs(other.value()));
        return most > SAYS_VOLTS && Math.min(Math.abs(one.value()), Math.abs(other.value())) < ALIKE * most;
    }
}
