package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.ConductorSearch;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.FeedTest;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What condemns a board, derived from the model: its supply is good, every input that the failed stage needs is proven at
 * the board's own pins, the output is measured dead there while nothing has stopped it yet, its load is known not to be shorted, and the
 * connectors on the way were reseated. Or the fault went with the board twice: to a unit that ran well, and back. Common practice of careful technicians; no published source.
 */
final class BoardProof {

    /** Amperes: an input of a board takes some thousandths. */
    private static final double CARRIES = 1e-3;
    private static final double DEAD_SHARE = 0.2;
    private static final double LIVE_SHARE = 0.8;
    private static final double FEEDS_SHARE = 0.5;
    private static final double WEAK_SHARE = 0.6;

    private final CompiledPack pack;
    private final Log log;
    private final Machine machine;
    private final Circuit circuit;
    private final Board board;
    private final Part part;
    private final HypothesisId leader;
    private final List<ProofItem> items = new ArrayList<>();
    private final Set<String> boardNets = new LinkedHashSet<>();
    /** Where it sends nothing, or hears nothing. */
    private final Set<String> sends = new LinkedHashSet<>();

    private BoardProof(Diagnosis diagnosis, Part part) {
        this.pack = diagnosis.pack();
        this.log = new Log(diagnosis);
        this.machine = pack.model().machine();
        this.circuit = machine.circuit();
        this.board = machine.board(part.board());
        this.part = part;
        this.leader = diagnosis.leader();
    }

    /** True for a fault of the board itself; a joint behind a plug is shown by touching and looking. */
    static boolean isInside(Fault fault, Part part) {
        return fault.effects().stream().allMatch(effect -> !(effect instanceof Effect.OnElement on)
                || part.elements().contains(on.element()));
    }

    static List<ProofItem> items(Diagnosis diagnosis, Fault fault, Part part) {
        BoardProof proof = new BoardProof(diagnosis, part);
        if (proof.log.wentWithTwice(part)) {
            return List.of(new ProofItem(Message.of("proof.went-with-it"), true, List.of()));
        }
        ProofItem supply = proof.supply();
        boolean dead = fault.effects().stream().anyMatch(Effect.BoardDead.class::isInstance);
        proof.items.add(dead ? supply : supply.strict());
        for (Effect effect : fault.effects()) {
            if (effect instanceof Effect.InputDeaf deaf) {
                proof.deaf(proof.board.input(deaf.input()));
            } else if (effect instanceof Effect.BoardFrozen frozen) {
                proof.told(frozen);
                proof.items.add(proof.log.made(Message.of("proof.reset"), check -> check.sense() == Test.Sense.RESET));
            } else if (effect instanceof Effect.OnElement on) {
                Element element = proof.circuit.element(on.element());
                if (element instanceof Element.Conductor contact) {
                    proof.contact(contact, on.mode());
                } else {
                    proof.driver(element);
                }
            }
        }
        proof.connectors();
        return proof.items;
    }

    private ProofItem supply() {
        boardNets.add(board.supplyPlus());
        return log.item(Message.of("proof.supply"), test -> Log.volts(test, board.supplyPlus(),
                board.supplyMinus()) && Math.abs(log.nominal(test)) >= board.supplyVolts(),
                (test, value) -> Math.abs(value) >= board.supplyVolts());
    }

    /** A contact of the board that does not do what the logic tells it. */
    private void contact(Element.Conductor contact, Effect.Mode mode) {
        Expr energised = machine.rules().get(contact.id()) instanceof Rule.Follows follows ? follows.closed() : Expr.TRUE;
        boardNets.add(contact.b());
        if (mode == Effect.Mode.OPEN) {
            sends.add(contact.b());
            items.addAll(deadOutput(contact, energised));
            load(contact);
        } else {
            items.add(log.item(Message.of("proof.output-live", point(contact.b())), test -> Log.volts(test) && at(test, contact.b())
                    && !log.due(test) && fedVolts(test, contact) > 0,
                    (test, value) -> Math.abs(value) >= FEEDS_SHARE * fedVolts(test, contact)));
        }
    }

    /**
     * The output with what it needs, in one of the runs that energise it: the one of which most stands in the log.
     */
    private List<ProofItem> deadOutput(Element.Conductor contact, Expr energised) {
        List<ProofItem> best = List.of();
        for (Scenario run : pack.model().scenarios()) {
            Optional<Timeline.Interval> interval = first(pack.nominal().run(run.id()), contact, energised);
            if (interval.isEmpty()) {
                continue;
            }
            Circuit closed = interval.get().unit().solution().circuit();
            Solution without = Solution.of(closed.with(((Element.Conductor) closed.element(contact.id())).closed(false)));
            List<ProofItem> way = new ArrayList<>();
            for (Input input : board.inputs()) {
                boolean sensed = Boolean.TRUE.equals(interval.get().unit().inputs().get(input.id()));
                if (sensed && input instanceof Input.Voltage v && !comesOfTheOutput(v, without)) {
                    way.add(sensed(v, test -> in(test, run)).strict());
                }
            }
            way.add(log.item(Message.of("proof.output-dead", point(contact.b())), test -> Log.volts(test) && at(test, contact.b())
                    && energisedAt(test, contact) && log.due(test) && in(test, run),
                    (test, value) -> Math.abs(value) <= DEAD_SHARE * Math.abs(log.nominal(test))));
            if (best.isEmpty() || open(way) < open(best)) {
                best = way;
            }
        }
        return best;
    }

    /** When a contact first carries something in a run; a contact that is closed at rest does so long before anything is fed through it. */
    private static Optional<Timeline.Interval> first(Timeline run, Element.Conductor contact, Expr energised) {
        return run.intervals().stream().filter(interval -> energised.holds(interval.middle())
                && interval.unit().solution().amps(contact.id()).magnitude() >= CARRIES).findFirst().or(() -> run.first(energised));
    }

    /** True for an input that is gone when the contact alone is opened: it is no need of the output. */
    private static boolean comesOfTheOutput(Input.Voltage input, Solution without) {
        return without.rms(input.plus(), input.minus()) < input.off();
    }

    private static long open(List<ProofItem> items) {
        return items.stream().filter(item -> !item.proven()).count();
    }

    private boolean in(Test test, Scenario run) {
        return pack.model().moment(test.moment()).scenario().equals(run.id());
    }

    /** A driver of the board that sends too little: measured at its own terminal against one in good order. */
    private void driver(Element driver) {
        String net = probed(driver.nets().get(0));
        boardNets.add(net);
        sends.add(net);
        items.add(log.item(Message.of("proof.output-wrong", point(net)), test -> !test.mode().dead() && at(test, net) && log.due(test),
                (test, value) -> Math.abs(value) <= WEAK_SHARE * Math.abs(log.nominal(test))));
    }

    /** A net inside the board is measured where a probe reaches it: at the nearest point that conductors of the board lead to. */
    private String probed(String net) {
        return ConductorSearch.from(circuit, net, conductor -> part.elements().contains(conductor.id()), n -> true).nets().stream()
                .filter(pack.model()::isProbed).findFirst().orElse(net);
    }

    /** An input that the board does not see although it is there. */
    private void deaf(Input input) {
        if (input instanceof Input.Voltage v) {
            items.add(sensed(v, test -> true));
            sends.add(v.plus());
        } else {
            double needed = ((Input.FlameCurrent) input).on() * 1e6;
            items.add(log.item(Message.of("proof.flame-current"),
                    test -> test.mode() == MeterMode.DC_MICROAMPS && test.place() instanceof Place.Through,
                    (test, value) -> Math.abs(value) >= needed));
        }
    }

    /** What would have led it out of the state in which it holds still: it was told, and does not heed it. */
    private void told(Effect.BoardFrozen frozen) {
        for (Region region : board.regions()) {
            if (region.id().equals(frozen.region())) {
                Set<String> senses = new LinkedHashSet<>();
                region.state(frozen.state()).transitions().forEach(way -> senses.addAll(way.when().names()));
                Expr left = ExprParser.parse("state." + region.id() + "." + frozen.state());
                pack.model().watchedScenarios().stream().map(run -> pack.nominal().run(run.id())).map(run -> after(run, left))
                        .flatMap(Optional::stream).findFirst().ifPresent(next -> board.inputs().stream()
                        .filter(input -> input instanceof Input.Voltage && senses.contains("in." + input.id())
                                && Boolean.TRUE.equals(next.unit().inputs().get(input.id())))
                        .forEach(input -> items.add(sensed((Input.Voltage) input, test -> true))));
                gauged(senses, left);
            }
        }
    }

    /** The process values that the unit in good order would have left the state by: each is read where it has, and is as it should be then, or as
     * the board that holds still has made it since. */
    private void gauged(Set<String> senses, Expr state) {
        List<Test.Reading> readings = pack.catalogue().tests().stream().filter(test -> test instanceof Test.Reading r
                && r.place() instanceof Place.Gauge gauge && senses.contains(gauge.quantity()) && !state.holds(goodAt(r))).map(Test.Reading.class::cast).toList();
        readings.stream().map(test -> ((Place.Gauge) test.place()).quantity()).distinct().forEach(quantity -> {
            List<Test.Reading> of = readings.stream().filter(test -> ((Place.Gauge) test.place()).quantity().equals(quantity)).toList();
            items.add(log.item(Message.of("proof.heeded", of.get(0).label()), of::contains, (test, value) -> !pack.errors().onlyAMisread(test,
                    pack.predictions().nominal(test), value) || !pack.errors().onlyAMisread(test, pack.predictions().of(test, leader), value)).strict());
        });
    }

    /** The unit in good order at the moment of a test. */
    private Env goodAt(Test test) {
        return pack.nominal().run(pack.model().moment(test.moment()).scenario()).at(pack.catalogue().seconds(test.moment())).middle();
    }

    /** What comes when the unit in good order leaves a state. */
    private static Optional<Timeline.Interval> after(Timeline run, Expr state) {
        return run.firstStretch(state).filter(stretch -> stretch[1] < run.scenario().seconds()).map(stretch -> run.at(stretch[1]));
    }

    private ProofItem sensed(Input.Voltage input, Predicate<Test> when) {
        boardNets.add(input.plus());
        return log.item(Message.of("proof.input", point(input.plus())),
                test -> Log.volts(test, input.plus(), input.minus()) && Math.abs(log.nominal(test)) >= onVolts(input) && when.test(test),
                (test, value) -> Math.abs(value) >= onVolts(input));
    }

    /** The threshold of the board in good order: a deaf input in the hypothesis has none. */
    private double onVolts(Input.Voltage input) {
        return board.input(input.id()).on();
    }

    /** What the contact is fed with at the moment of a test, against the net of the other probe. */
    private double fedVolts(Test.Reading test, Element.Conductor contact) {
        Place.Across across = (Place.Across) test.place();
        String other = across.red().equals(contact.b()) ? across.black() : across.red();
        return pack.nominal().run(pack.model().moment(test.moment()).scenario()).at(pack.catalogue().seconds(test.moment())).unit()
                .solution().rms(contact.a(), other);
    }

    private Message point(String net) {
        return Message.said(pack.model().pointLabel(net));
    }

    /** True where the unit in good order closes the contact, and the board with its fault means to: nothing has stopped it yet. What nothing drives is closed. */
    private boolean energisedAt(Test.Reading test, Element.Conductor contact) {
        return !(machine.rules().get(contact.id()) instanceof Rule.Follows follows) || pack.nominal().holds(follows.closed(),
                pack.model().moment(test.moment()).scenario(), pack.catalogue().seconds(test.moment()))
                && pack.runs().asked(leader, follows.closed()).contains(test.moment());
    }

    private void load(Element.Conductor contact) {
        Set<String> stops = Set.copyOf(List.of(circuit.reference(), board.supplyMinus(), contact.a()));
        Set<String> nets = ConductorSearch.from(circuit, contact.b(), c -> !c.id().equals(contact.id()), net -> !stops.contains(net))
                .nets();
        for (Element.Load load : loads(nets)) {
            ProofItem item = log.either(Message.of("proof.load", Message.said(pack.model().elementLabel(load.id()))),
                    test -> Log.ohms(test, load.a(), load.b()),
                    (test, value) -> value >= LIVE_SHARE / 2 * log.nominal(test) && !Double.isInfinite(value),
                    check -> FeedTest.feeds(check, load.id()));
            if (item.proven() || !item.tests().isEmpty()) {
                items.add(item);
            }
        }
    }

    private List<Element.Load> loads(Set<String> nets) {
        return circuit.elements().stream().filter(Element.Load.class::isInstance).map(Element.Load.class::cast)
                .filter(load -> nets.contains(load.a()) || nets.contains(load.b())).toList();
    }

    /** Connectors that carry what was measured at the board. */
    private void connectors() {
        for (UnitModel.Connector connector : pack.model().connectors()) {
            Predicate<Set<String>> carries = nets -> connector.conductors().stream()
                    .anyMatch(id -> circuit.element(id).nets().stream().anyMatch(nets::contains));
            ProofItem item = log.made(Message.of("proof.reseated", Message.said(connector.label())), check ->
                    check.sense() == Test.Sense.RESEAT && check.connector().equals(connector.id()));
            if (carries.test(boardNets) && (item.proven() || !item.tests().isEmpty())) {
                items.add(carries.test(sends) ? item : item.strict());
            }
        }
    }

    private static boolean at(Test.Reading test, String net) {
        return test.place() instanceof Place.Across across && (across.red().equals(net) || across.black().equals(net));
    }
}
