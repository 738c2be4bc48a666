package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
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
    public record End(String net, String label, String colour, String test, Message due, @Nullable Message reading) {
    }

    private static final double ALIKE = 0.8;
    /** Below this a difference says nothing: a ghost, a drop of a long cable. */
    private static final double SAYS_VOLTS = 2;

    /** The cables of a unit of which more than one conductor has a terminal at both ends. */
    public static List<CablePage> of(Case now) {
        CompiledPack pack = now.unit().pack();
        List<CablePage> cables = new ArrayList<>();
        pack.model().machine().circuit().elements().stream().filter(Element.Conductor.class::isInstance).map(Element.Conductor.class::cast)
                .filter(c -> c.closed() && Double.isInfinite(c.fuseAmps()) && !pack.model().machine().rules().containsKey(c.id())).forEach(wire -> row(now, wire).ifPresent(row -> add(cables, now, wire, row)));
        return cables.stream().filter(cable -> cable.conductors().size() > 1).toList();
    }

    private static void add(List<CablePage> cables, Case now, Element.Conductor wire, ConductorRow row) {
        String from = now.unit().model().point(wire.a()).where();
        String to = now.unit().model().point(wire.b()).where();
        Optional<CablePage> same = cables.stream().filter(c -> c.from().equals(from) && c.to().equals(to) || c.from().equals(to) && c.to().equals(from)).findFirst();
        if (same.isPresent()) {
            boolean turned = same.get().from().equals(to);
            same.get().conductors().add(turned ? row.turned() : row);
        } else {
            cables.add(new CablePage(from, to, new ArrayList<>(List.of(row))));
        }
    }

    private static Optional<ConductorRow> row(Case now, Element.Conductor wire) {
        if (!now.unit().model().isProbed(wire.a()) || !now.unit().model().isProbed(wire.b())) {
            return Optional.empty();
        }
        Point near = now.unit().model().point(wire.a());
        Point far = now.unit().model().point(wire.b());
        if (near.where().equals(far.where())) {
            return Optional.empty();
        }
        List<String> together = near.moments().stream().filter(far.moments()::contains).toList();
        if (together.isEmpty()) {
            return Optional.empty();
        }
        String moment = together.get(together.size() - 1);
        End one = end(now, near, moment);
        End other = end(now, far, moment);
        return Optional.of(new ConductorRow(wire.id(), one, other, now.unit().model().moment(moment).label(), differs(now, near, far, moment)));
    }

    private static End end(Case now, Point point, String moment) {
        Test.Reading test = test(now, point, moment);
        Double read = read(now, test);
        return new End(point.net(), point.label(), point.colour(), test.id(), new Message.Amount(test.mode(), now.unit().pack().predictions().nominalValue(test)),
                read == null ? null : new Message.Amount(test.mode(), read));
    }

    private static Test.Reading test(Case now, Point point, String moment) {
        return (Test.Reading) now.unit().pack().catalogue().test("v." + point.net() + "." + moment);
    }

    private static boolean differs(Case now, Point near, Point far, String moment) {
        Double one = read(now, test(now, near, moment));
        Double other = read(now, test(now, far, moment));
        double most = one == null || other == null ? 0 : Math.max(Math.abs(one), Math.abs(other));
        return one != null && other != null && most > SAYS_VOLTS && Math.min(Math.abs(one), Math.abs(other)) < ALIKE * most;
    }

    private static @Nullable Double read(Case now, Test.Reading test) {
        return now.diagnosis().sinceRepair().stream().flatMap(o -> o instanceof Observation.Reading r && r.test().mode() == test.mode()
                && r.test().moment().equals(test.moment()) && r.test().place() instanceof Place.Across across && test.place() instanceof Place.Across wanted
                && across.red().equals(wanted.red()) && across.black().equals(wanted.black()) ? Stream.of(r.value()) : Stream.<Double>empty())
                .reduce((first, last) -> last).orElse(null);
    }
}
