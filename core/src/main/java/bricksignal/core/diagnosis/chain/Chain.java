package bricksignal.core.diagnosis.chain;

import bricksignal.core.board.Board;
import bricksignal.core.board.Input;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.ConductorSearch;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Collections;
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
 * @param label what it feeds
 * @param common net of the fixed probe
 * @param moment when a unit in good order has voltage all along it
 * @param readings one for each point, from the supply to the pin
 */
public record Chain(String id, Message label, String common, String moment, List<Test.Reading> readings) {

    private static final double LIVE_SHARE = 0.6;
    private static final double HALF = 0.5;

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
                put(pack, chains, "line." + t.id(), Message.of("chain.line"), t.p1(), t.p2(), 0);
            }
        }
        for (Board board : model.machine().boards()) {
            put(pack, chains, "supply." + board.id(), Message.of("chain.supply",
                    Message.said(model.boardLabel(board.id()))), board.supplyPlus(), board.supplyMinus(), board.supplyVolts());
            for (Input input : board.inputs()) {
                if (input instanceof Input.Voltage v) {
                    put(pack, chains, "input." + v.id(), Message.said(model.pointLabel(v.plus())), v.plus(), v.minus(), v.on());
                }
            }
        }
        return List.copyOf(chains.values());
    }

    private static void put(CompiledPack pack, Map<String, Chain> chains, String id, Message label, String pin, String common,
            double least) {
        chain(pack, id, label, pin, common, least).filter(chain -> chains.values().stream()
                .noneMatch(other -> other.readings().equals(chain.readings()))).ifPresent(chain -> chains.put(id, chain));
    }

    /**
     * At the first moment at which a unit in good order has half of the most that the pin ever has.
     *
     * @param least what the pin's own threshold asks, V; the most must reach it
     */
    private static Optional<Chain> chain(CompiledPack pack, String id, Message label, String pin, String common, double least) {
        UnitModel model = pack.model();
        Set<String> points = new LinkedHashSet<>(model.points().stream().map(Point::net).toList());
        if (!points.contains(pin) || !points.contains(common)) {
            return Optional.empty();
        }
        List<Moment> usual = model.moments().stream().filter(moment -> moment.span() == 0
                && moment.scenario().equals(model.scenarios().get(0).id())).toList();
        double most = usual.stream().mapToDouble(moment -> at(pack, moment).rms(pin, common)).max().orElse(0);
        if (!(most >= least) || !ErrorModel.something(MeterMode.AC_VOLTS, most)) {
            return Optional.empty();
        }
        Moment moment = usual.stream().filter(m -> at(pack, m).rms(pin, common) >= HALF * most).findFirst().orElseThrow();
        Solution solution = at(pack, moment);
        MeterMode mode = solution.volts(pin, common).magnitude() > Math.abs(solution.directVolts(pin, common))
                ? MeterMode.AC_VOLTS : MeterMode.DC_VOLTS;
        List<Test.Reading> readings = path(solution.circuit(), pin, common).stream()
                .filter(net -> points.contains(net) && !net.equals(common))
                .map(net -> pack.catalogue().free(mode, new Place.Across(common, net), moment.id(), Setup.AS_IT_IS)).toList();
        return readings.size() < 2 ? Optional.empty() : Optional.of(new Chain(id, label, common, moment.id(), readings));
    }

    private static Solution at(CompiledPack pack, Moment moment) {
        return pack.nominal().run(moment.scenario()).at(pack.catalogue().seconds(moment.id())).unit().solution();
    }

    /** From a source to the pin through closed conductors, the shortest way; from the farthest net where there is none. */
    private static List<String> path(Circuit circuit, String pin, String common) {
        ConductorSearch search = ConductorSearch.from(circuit, pin, Element.Conductor::closed,
                net -> !net.equals(common) && !net.equals(circuit.reference()));
        String last = pin;
        for (String net : search.nets()) {
            last = net;
            if (isSource(circuit, net, pin)) {
                break;
            }
        }
        List<String> path = new ArrayList<>(search.wayTo(last));
        Collections.reverse(path);
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
        return Math.abs(value) >= LIVE_SHARE * Math.abs(pack.predictions().nominalValue(readings.get(place)));
    }

    /** The elements that lie between two neighbouring points, in the unit in good order. */
    List<String> between(UnitModel model, int from, int to) {
        List<String> path = ConductorSearch.from(model.machine().circuit(), net(from), c -> true, net -> !net.equals(common))
                .wayTo(net(to));
        List<String> elements = new ArrayList<>();
        for (int i = 1; i < path.size(); i++) {
            String a = path.get(i - 1);
            String b = path.get(i);
            model.machine().circuit().elements().stream().filter(e -> e instanceof Element.Conductor && e.nets().contains(a)
                    && e.nets().contains(b)).map(Element::id).forEach(elements::add);
        }
        return elements;
    }
}
