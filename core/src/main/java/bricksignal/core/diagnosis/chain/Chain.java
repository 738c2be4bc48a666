package bricksignal.core.diagnosis.chain;

import bricksignal.core.board.Board;
import bricksignal.core.board.Input;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Points in series from a supply to the pin of a board, with one common for all of them: derived from the circuit, never
 * declared.
 *
 * @param id its name
 * @param label what it feeds, as people say it
 * @param common net of the fixed probe
 * @param moment when the sound unit has voltage all along it
 * @param readings one for each point, from the supply to the pin
 */
public record Chain(String id, String label, String common, String moment, List<Test.Reading> readings) {

    private static final double LIVE_SHARE = 0.6;

    public Chain {
        readings = List.copyOf(readings);
    }

    /** The net of a point of the chain. */
    public String net(int place) {
        return ((Place.Across) readings.get(place).place()).red();
    }

    /** Every chain of a unit that has at least two points to probe: line to transformer, supply to board, supply to inputs. */
    public static List<Chain> of(CompiledPack pack) {
        UnitModel model = pack.model();
        Map<String, Chain> chains = new LinkedHashMap<>();
        for (Element element : model.machine().circuit().elements()) {
            if (element instanceof Element.Transformer t) {
                put(pack, chains, "line." + t.id(), "line to the transformer", t.p1(), t.p2());
            }
        }
        for (Board board : model.machine().boards()) {
            put(pack, chains, "supply." + board.id(), "supply of the " + model.boardLabel(board.id()), board.supplyPlus(),
                    board.supplyMinus());
            for (Input input : board.inputs()) {
                if (input instanceof Input.Voltage v) {
                    put(pack, chains, "input." + v.id(), model.pointLabel(v.plus()), v.plus(), v.minus());
                }
            }
        }
        return List.copyOf(chains.values());
    }

    private static void put(CompiledPack pack, Map<String, Chain> chains, String id, String label, String pin, String common) {
        chain(pack, id, label, pin, common).filter(chain -> chains.values().stream()
                .noneMatch(other -> other.readings().equals(chain.readings()))).ifPresent(chain -> chains.put(id, chain));
    }

    /** At the first moment at which a sound unit has voltage at the pin. */
    private static Optional<Chain> chain(CompiledPack pack, String id, String label, String pin, String common) {
        UnitModel model = pack.model();
        Set<String> points = new LinkedHashSet<>(model.points().stream().map(Point::net).toList());
        if (!points.contains(pin) || !points.contains(common)) {
            return Optional.empty();
        }
        for (Moment moment : model.moments()) {
            Snapshot unit = pack.healthy().run(moment.scenario()).at(pack.momentSeconds(moment.id())).unit();
            boolean usual = moment.scenario().equals(model.scenarios().get(0).id());
            if (usual && moment.span() == 0 && unit.solution().rms(pin, common) > LEAST_VOLTS) {
                MeterMode mode = unit.solution().volts(pin, common).magnitude() > Math.abs(unit.solution()
                        .directVolts(pin, common)) ? MeterMode.AC_VOLTS : MeterMode.DC_VOLTS;
                List<Test.Reading> readings = new ArrayList<>();
                for (String net : path(unit.solution().circuit(), pin, common)) {
                    if (points.contains(net) && !net.equals(common)) {
                        readings.add(pack.freeReading(mode, new Place.Across(common, net), moment.id(), Setup.AS_IT_IS));
                    }
                }
                return readings.size() < 2 ? Optional.empty()
                        : Optional.of(new Chain(id, label, common, moment.id(), readings));
            }
        }
        return Optional.empty();
    }

    private static final double LEAST_VOLTS = 4;

    /** From a source to the pin through closed conductors, the shortest way; the pin alone where there is none. */
    private static List<String> path(Circuit circuit, String pin, String common) {
        Map<String, String> towards = new LinkedHashMap<>();
        towards.put(pin, pin);
        Deque<String> open = new ArrayDeque<>(List.of(pin));
        String last = pin;
        while (!open.isEmpty()) {
            String net = open.poll();
            last = net;
            if (isSource(circuit, net, pin)) {
                break;
            }
            for (Element element : circuit.elements()) {
                if (element instanceof Element.Conductor c && c.closed() && c.nets().contains(net)) {
                    String other = c.a().equals(net) ? c.b() : c.a();
                    if (!other.equals(common) && !other.equals(circuit.reference()) && towards.putIfAbsent(other, net) == null) {
                        open.add(other);
                    }
                }
            }
        }
        List<String> path = new ArrayList<>(List.of(last));
        while (!path.get(path.size() - 1).equals(pin)) {
            path.add(towards.get(path.get(path.size() - 1)));
        }
        return path;
    }

    private static boolean isSource(Circuit circuit, String net, String pin) {
        return !net.equals(pin) && circuit.elements().stream().anyMatch(element ->
                element instanceof Element.Source s && s.plus().equals(net)
                || element instanceof Element.DirectSource d && d.plus().equals(net)
                || element instanceof Element.Transformer t && (t.s1().equals(net) || t.s2().equals(net)));
    }

    /** True if a value means that the voltage still is here. */
    boolean live(CompiledPack pack, int place, double value) {
        double sound = Math.abs(((bricksignal.core.diagnosis.Prediction.Number) pack.healthyPrediction(readings.get(place)))
                .mean());
        return Math.abs(value) >= LIVE_SHARE * sound;
    }

    /** The elements that lie between two neighbouring points, in the sound unit. */
    List<String> between(UnitModel model, int from, int to) {
        List<String> path = pathBetween(model.machine().circuit(), net(from), net(to));
        List<String> elements = new ArrayList<>();
        for (int i = 1; i < path.size(); i++) {
            String a = path.get(i - 1);
            String b = path.get(i);
            model.machine().circuit().elements().stream().filter(e -> e instanceof Element.Conductor && e.nets().contains(a)
                    && e.nets().contains(b)).map(Element::id).forEach(elements::add);
        }
        return elements;
    }

    private List<String> pathBetween(Circuit circuit, String from, String to) {
        Map<String, String> before = new LinkedHashMap<>();
        before.put(from, from);
        Deque<String> open = new ArrayDeque<>(List.of(from));
        while (!open.isEmpty() && !before.containsKey(to)) {
            String net = open.poll();
            for (Element element : circuit.elements()) {
                if (element instanceof Element.Conductor c && c.nets().contains(net)) {
                    String other = c.a().equals(net) ? c.b() : c.a();
                    if (!other.equals(common) && before.putIfAbsent(other, net) == null) {
                        open.add(other);
                    }
                }
            }
        }
        List<String> path = new ArrayList<>();
        for (String net = to; before.containsKey(net) && !net.equals(from); net = before.get(net)) {
            path.add(net);
        }
        path.add(from);
        Collections.reverse(path);
        return path;
    }
}
