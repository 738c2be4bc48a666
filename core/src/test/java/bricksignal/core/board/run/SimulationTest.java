package bricksignal.core.board.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Expr;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.lamp.LampPattern;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A small unit, drawn here:
 *
 * <pre>
 *   R --fuse--+--call---W--[input]--C        board: W on for 3 s -> fan
 *   24 V      +--relay--M--[fan  ]--C        process: speed follows the fan's current, tau 2 s
 *   C --------+--limit--L--[input]--C        limit opens at speed 0.5 and closes at 0.2
 * </pre>
 */
class SimulationTest {

    private static final double INF = Double.POSITIVE_INFINITY;

    private static Machine unit() {
        Circuit circuit = new Circuit("C", 60, List.of(new Element.Source("v", "S", "C", 24, 0, 0.5),
                new Element.Conductor("fuse", "S", "R", 0.05, true, 3),
                new Element.Conductor("call", "R", "W", 0.05, false, INF), new Element.Load("w-input", "W", "C", 1000, 0),
                new Element.Conductor("relay", "R", "M", 0.05, false, INF), new Element.Load("fan", "M", "C", 24, 0),
                new Element.Conductor("limit", "R", "L", 0.05, true, INF), new Element.Load("l-input", "L", "C", 1000, 0)));
        Map<String, Rule> rules = Map.of("call", new Rule.Follows(expr("action.call")), "relay",
                new Rule.Follows(expr("out.fan")), "limit", new Rule.Latches(expr("speed >= 0.5"), expr("speed <= 0.2")));
        Region region = new Region("main", List.of(
                new Region.State("idle", Set.of(), LampPattern.SLOW, List.of(to("in.W", "wait"))),
                new Region.State("wait", Set.of(), LampPattern.HEARTBEAT, List.of(to("not in.W", "idle"), to("elapsed >= 3",
                        "run"))),
                new Region.State("run", Set.of("fan"), LampPattern.HEARTBEAT, List.of(to("not in.W", "idle"), to(
                        "not in.limit", "tripped"))),
                new Region.State("tripped", Set.of(), LampPattern.flashes(3), List.of(to("in.limit", "run")))));
        Board board = new Board("board", "R", "C", 16, List.of(new Input.Voltage("W", "W", "C", 16, 8),
                new Input.Voltage("limit", "L", "C", 16, 8)), List.of(region));
        Quantity speed = new Quantity("speed", "share", 0, List.of(
                new Quantity.Move(expr("amps.fan >= 0.5"), expr("top"), expr("2")),
                new Quantity.Move(Expr.TRUE, expr("0"), expr("2"))));
        return new Machine(circuit, rules, List.of(board), List.of(speed), Map.of("top", 0.4), Map.of(), Map.of());
    }

    private static Expr expr(String text) {
        return ExprParser.parse(text);
    }

    private static Region.Transition to(String when, String state) {
        return new Region.Transition(expr(when), state, Map.of());
    }

    private static Timeline run(Machine machine) {
        return Simulation.run(machine, new Scenario("call", 60, List.of(new Scenario.Step(5, "call", 1),
                new Scenario.Step(40, "call", 0))));
    }

    private static double starts(Timeline run, String condition) {
        return run.first(expr(condition)).orElseThrow().start();
    }

    /** A board that is fed by another's call has no time behind it when its supply comes. */
    @Test
    void boardCountsItsTimeFromWhenItsSupplyComes() {
        Machine unit = unit();
        Region late = new Region("late", List.of(new Region.State("wake", Set.of(), LampPattern.SLOW, List.of(to("elapsed >= 3", "awake"))),
                new Region.State("awake", Set.of(), LampPattern.SLOW, List.of())));
        List<Board> boards = new ArrayList<>(unit.boards());
        boards.add(new Board("second", "W", "C", 16, List.of(), List.of(late)));
        Machine both = new Machine(unit.circuit(), unit.rules(), boards, unit.process(), Map.of("top", 0.4), Map.of(), Map.of());
        assertThat(starts(run(both), "state.late.wake")).isEqualTo(5);
        assertThat(starts(run(both), "state.late.awake")).isEqualTo(8);
    }

    @Test
    void timersAreExact() {
        assertThat(starts(run(unit()), "state.main.run")).isEqualTo(8);
    }

    /** The fault sets in at 20 s: what ran goes on until then, timers and process values are kept, and nothing starts anew. */
    @Test
    void faultThatSetsInFindsTheUnitAsItRuns() {
        Machine broken = unit().withStuck(new Element.Conductor("limit", "R", "L", 0.05, false, INF));
        Scenario scenario = new Scenario("call", 60, List.of(new Scenario.Step(5, "call", 1)));
        Timeline run = Simulation.run(unit(), 20, broken, scenario, new SolvedStates());
        assertThat(starts(run, "state.main.tripped")).isEqualTo(20);
        assertThat(run.at(19.9).unit().at(19.9).value("speed")).isCloseTo(0.4 * (1 - Math.exp(-(19.9 - 8) / 2)), within(1e-6));
        assertThat(run.at(22).unit().at(22).value("speed")).isCloseTo(0.4 * (1 - Math.exp(-6)) * Math.exp(-1), within(1e-4));
    }

    @Test
    void thresholdIsCrossedAtTheAnalyticTime() {
        // speed approaches 1 from 0 with tau 2 s and passes 0.5 after 2 ln 2 seconds
        Timeline run = run(unit().withParameter("top", 1));
        assertThat(starts(run, "state.main.tripped")).isCloseTo(8 + 2 * Math.log(2), within(1e-5));
    }

    @Test
    void hysteresisClosesTheLimitLater() {
        // from 0.5 down to 0.2 with tau 2 s: 2 ln 2.5
        Timeline run = run(unit().withParameter("top", 1));
        double[] tripped = run.firstStretch(expr("state.main.tripped")).orElseThrow();
        assertThat(tripped[1] - tripped[0]).isCloseTo(2 * Math.log(2.5), within(1e-4));
    }

    @Test
    void contactorDropsWhenTheLimitInItsCoilOpens() {
        Machine unit = unit();
        List<Element> elements = new ArrayList<>(unit.circuit().elements());
        elements.add(new Element.Conductor("contactor", "R", "K", 0.05, false, INF));
        elements.add(new Element.Load("motor", "K", "C", 20, 0));
        Map<String, Rule> rules = new LinkedHashMap<>(unit.rules());
        rules.put("contactor", new Rule.Follows(expr("amps.l-input >= 0.01")));
        Machine withContactor = new Machine(new Circuit("C", 60, elements), rules, unit.boards(), unit.process(),
                Map.of("top", 1.0), unit.counters(), unit.held());
        Timeline run = run(withContactor);
        double opens = starts(run, "speed >= 0.5");
        assertThat(run.at(opens - 0.1).unit().solution().amps("motor").magnitude()).isGreaterThan(1);
        assertThat(run.at(opens + 0.1).unit().solution().amps("motor").magnitude()).isLessThan(0.001);
    }

    @Test
    void intervalsCoverTheRunWithoutGap() {
        Timeline run = run(unit().withParameter("top", 1));
        double end = 0;
        for (Timeline.Interval interval : run.intervals()) {
            assertThat(interval.start()).isEqualTo(end);
            end = interval.end();
        }
        assertThat(end).isEqualTo(60);
    }

    /** What the board senses differs from the time of the onset on, although nothing else moves just then. */
    @Test
    void inputThatBecomesAnotherIsAskedAnew() {
        Board board = unit().board("board");
        Machine hard = unit().withBoard(new Board("board", "R", "C", 16, List.of(new Input.Voltage("W", "W", "C", 30, 8), board.inputs().get(1)), board.regions()));
        Timeline run = Simulation.run(hard, 20, unit(), new Scenario("call", 60, List.of(new Scenario.Step(5, "call", 1))), new SolvedStates());
        assertThat(starts(run, "in.W")).isEqualTo(20);
    }

    /** A board without power wakes as the machine of then has it, not as that of before. */
    @Test
    void boardWithoutPowerWakesAsItHasBecome() {
        Machine unit = unit();
        Region late = new Region("late", List.of(new Region.State("wake", Set.of(), LampPattern.SLOW, List.of()),
                new Region.State("other", Set.of(), LampPattern.SLOW, List.of())));
        Board second = new Board("second", "W", "C", 16, List.of(), List.of(late));
        List<Board> boards = new ArrayList<>(unit.boards());
        boards.add(second);
        Machine before = new Machine(unit.circuit(), unit.rules(), boards, unit.process(), unit.parameters(), Map.of(), Map.of());
        Machine after = before.withBoard(new Board("second", "W", "C", 16, List.of(), List.of(new Region("late", List.of(late.state("other"), late.state("wake"))))));
        Timeline run = Simulation.run(before, 3, after, new Scenario("call", 60, List.of(new Scenario.Step(5, "call", 1))), new SolvedStates());
        assertThat(run.at(6).unit().states()).containsEntry("late", "other");
    }

    @Test
    void callEndsTheRun() {
        assertThat(run(unit()).at(50).unit().states()).containsEntry("main", "idle");
    }

    @Test
    void shortBlowsTheFuseForGoodAndTheBoardGoesDark() {
        Machine shorted = new Effect.OnElement("fan", Effect.Mode.SHORTED, 0.1).apply(unit());
        Timeline run = run(shorted);
        assertThat(run.at(20).unit().powered()).isEmpty();
        assertThat(run.at(20).unit().lamps().get("board")).isEqualTo(LampPattern.OFF);
        assertThat(run.at(59).unit().solution().volts("R").magnitude()).isLessThan(0.1);
    }

    @Test
    void weldedContactRunsWithoutACall() {
        Machine welded = new Effect.OnElement("relay", Effect.Mode.CLOSED, 0).apply(unit());
        assertThat(run(welded).at(2).unit().at(2).value("amps.fan")).isGreaterThan(0.9);
    }

    @Test
    void deafInputNeverStarts() {
        Machine deaf = new Effect.InputDeaf("W").apply(unit());
        assertThat(run(deaf).first(expr("state.main.wait"))).isEmpty();
    }

    @Test
    void heldActionCannotBeChanged() {
        Machine nobodyCalls = new Effect.OnAction("call", 0).apply(unit());
        assertThat(run(nobodyCalls).first(expr("in.W"))).isEmpty();
    }

    @Test
    void unitThatFindsNoRestIsReportedAsChattering() {
        // a relay that cuts its own supply: on, off, on, off
        Machine unit = unit();
        Machine buzzing = new Machine(unit.circuit(), Map.of("fuse", new Rule.Follows(expr("not powered.board"))), unit.boards(),
                unit.process(), unit.parameters(), unit.counters(), Map.of());
        Timeline run = Simulation.run(buzzing, new Scenario("idle", 5, List.of()));
        assertThat(run.chattering()).isTrue();
        assertThat(run.intervals().get(run.intervals().size() - 1).end()).isEqualTo(5);
    }

    @Test
    void lampSharesSumToOne() {
        Timeline run = run(unit().withParameter("top", 1));
        assertThat(run.lampShares("board", 8, 40).values().stream().mapToDouble(Double::doubleValue).sum())
                .isCloseTo(1, within(1e-9));
        assertThat(run.lampShares("board", 8, 40)).containsKeys(LampPattern.HEARTBEAT, LampPattern.flashes(3));
    }

    @Test
    void sameRunTwiceIsTheSameRun() {
        assertThat(run(unit()).intervals().stream().map(Timeline.Interval::start).toList())
                .isEqualTo(run(unit()).intervals().stream().map(Timeline.Interval::start).toList());
    }

    /** However slowly a value creeps over a level, what depends on it changes then, by hand at tau ln 2 of the way from 0 to 1. */
    @ParameterizedTest
    @ValueSource(doubles = {0.5, 60, 3_000, 100_000, 10_000_000})
    void slowCrossingIsSeen(double tau) {
        Quantity slow = new Quantity("slow", "share", 0, List.of(new Quantity.Move(Expr.TRUE, expr("1"), expr(String.format("%.1f", tau)))));
        Quantity late = new Quantity("late", "share", 0, List.of(new Quantity.Move(expr("slow <= 0.5"), expr("0"), expr("0.1")),
                new Quantity.Move(Expr.TRUE, expr("1"), expr(String.format("%.6f", tau / 1000)))));
        Machine unit = unit();
        Machine machine = new Machine(unit.circuit(), unit.rules(), unit.boards(), List.of(slow, late), Map.of("speed", 0.0), Map.of(), Map.of());
        Timeline run = Simulation.run(machine, new Scenario("creep", 2 * tau, List.of()));
        double crossing = tau * Math.log(2);
        assertThat(run.at(0.99 * crossing).unit().at(0.99 * crossing).value("late")).isZero();
        assertThat(run.at(1.01 * crossing).unit().at(1.01 * crossing).value("late")).isGreaterThan(0.9);
    }

    /** A board that blinks a relay two hundred times a second for a minute would make 12,000 stretches: what is cut off says that it is no whole run. */
    @Test
    void runThatIsCutOffIsNotHandedOutAsWhole() {
        Region region = new Region("main", List.of(new Region.State("a", Set.of("fan"), LampPattern.SLOW, List.of(to("elapsed >= 0.005", "b"))),
                new Region.State("b", Set.of(), LampPattern.SLOW, List.of(to("elapsed >= 0.005", "a")))));
        Machine machine = unit().withBoard(new Board("board", "R", "C", 16, List.of(), List.of(region)));
        Timeline cut = Simulation.run(machine, new Scenario("long", 60, List.of()));
        assertThat(cut.chattering()).as("it is told").isTrue();
        assertThat(cut.intervals().get(cut.intervals().size() - 1).end()).as("and covers the scenario").isEqualTo(60);
        assertThat(cut.intervals().size()).isLessThan(12_000);
        assertThat(Simulation.run(machine, new Scenario("short", 5, List.of())).chattering()).as("a thousand stretches are a whole run").isFalse();
    }
}
