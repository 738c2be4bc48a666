package bricksignal.core.unit;

import bricksignal.core.Known;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.circuit.ConductorSearch;
import bricksignal.core.circuit.Element;
import bricksignal.core.menu.Menu;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A unit as its pack declares it: the one model that everything else is computed from. Lists keep the order of the pack.
 *
 * @param id name of the pack
 * @param title as people say it
 * @param duty what this board is responsible for, and what it is not
 * @param machine the unit in good order
 * @param connectors plugs that can be pulled or reseated, with the conductors they carry
 * @param points places to probe
 * @param scenarios what is done to the unit; the first is the usual one
 * @param moments instants of those runs
 * @param found the stretch of the first scenario, in seconds, in which a person arrives and sees the lamp
 * @param readings measurements beyond a voltage at each point
 * @param checks what can be looked at, heard, smelled, felt, tried
 * @param stages names for parts of the run
 * @param channels lines of the timing diagram
 * @param charts code charts, by board
 * @param parts what can be exchanged
 * @param faults what can be the matter
 * @param settings switches
 * @param traits what can be seen of such a unit, by question: the answers that fit
 * @param calls how a call is placed, the usual way first
 * @param acceptance limits that the unit must keep after a repair
 * @param menu how its settings are reached that no switch sets
 * @param dangers what of it decides what may be done to it
 */
public record UnitModel(String id, String title, String duty, Machine machine, List<Connector> connectors,
        List<Point> points, List<Scenario> scenarios, List<Moment> moments, Found found, List<Test.Reading> readings,
        List<Test.Check> checks, List<Stage> stages, List<Channel> channels, Map<String, Chart> charts, List<Part> parts,
        List<Fault> faults, List<Setting> settings, Map<String, List<String>> traits,
        List<CallAdvice> calls, List<Acceptance> acceptance, Menu menu, Dangers dangers) {

    static final String ACTION = "action.";

    /**
     * A plug.
     *
     * @param conductors the elements that open when it is pulled
     */
    public record Connector(String id, String label, List<String> conductors) {
    }

    /** When the unit is found: from and to in seconds of the first scenario. */
    public record Found(double from, double to) {
    }

    /**
     * A named part of the run.
     *
     * @param when it lasts while this holds
     * @param seen what a person sees, hears and feels
     */
    public record Stage(String id, String label, Expr when, String seen) {
    }

    /**
     * A line of the timing diagram: drawn while the condition holds.
     *
     * @param noticed what anybody notices who lives with the unit; null where it takes a technician
     */
    public record Channel(String id, String label, Expr when, @Nullable Noticed noticed) {

        /** One that only a technician sees. */
        public Channel(String id, String label, Expr when) {
            this(id, label, when, null);
        }

        /** True for what a person sees or hears: no signal that only a board knows. */
        public boolean perceived() {
            return when.names().stream().map(Expr.Name::of).map(Expr.Name::kind).noneMatch(Set.of(Expr.Kind.IN, Expr.Kind.POWERED, Expr.Kind.ACTION,
                    Expr.Kind.STATE)::contains);
        }
    }

    /**
     * A switch or jumper.
     *
     * @param parameter the machine's parameter it sets
     * @param options position to value, in their order
     * @param suggest the calculation that says where it should stand, or null
     * @param range where its positions are the numbers of a range; null where each has a name
     */
    public record Setting(String id, String label, String parameter, String unit, Map<String, Double> options,
            String factory, @Nullable Suggest suggest, @Nullable Range range) {

        /** The position whose value is nearest to that. */
        public String nearest(double value) {
            return options.entrySet().stream().min(Comparator.comparingDouble(option -> Math.abs(option.getValue() - value))).orElseThrow().getKey();
        }
    }

    /**
     * Numbers that a setting takes.
     *
     * @param least the lowest
     * @param most the highest, at least the lowest
     * @param step from one to the next, above 0
     */
    public record Range(double least, double most, double step) {

        /** More than anybody steps through. */
        public static final int MOST_POSITIONS = 1000;
        private static final double NEARLY = 1e-9;
        /** Six decimals are more than any board shows. */
        private static final double FINEST = 1e6;

        public Range {
            if (!(least <= most && step > 0 && (most - least) / step < MOST_POSITIONS)) {
                throw new IllegalArgumentException("a range from " + least + " to " + most + " by " + step + "; least must not be above most, and the steps fewer than " + MOST_POSITIONS);
            }
        }

        /** Its numbers as they are typed, each with its value, lowest first. */
        public Map<String, Double> positions() {
            Map<String, Double> positions = new LinkedHashMap<>();
            for (int i = 0; least + i * step <= most + NEARLY; i++) {
                double value = Math.round((least + i * step) * FINEST) / FINEST;
                positions.put(value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value), value);
            }
            return positions;
        }
    }

    /**
     * Where a setting should stand, by a calculation of setting up.
     *
     * @param calculation its name
     * @param result which of its numbers
     * @param times what one of that number is in the unit of the setting
     */
    public record Suggest(String calculation, String result, double times) {
    }

    /**
     * A limit as it is where the settings stand so.
     *
     * @param positions by setting; the factory's where nothing is said
     */
    public Acceptance limit(Acceptance limit, Map<String, String> positions) {
        return settings.stream().filter(setting -> setting.id().equals(limit.around())).findFirst()
                .map(setting -> limit.about(Known.in(setting.options(), positions.getOrDefault(setting.id(), setting.factory())))).orElse(limit);
    }

    /** The scenarios that somebody waits in for a stage, the usual one first; others only feed or jump something for a moment. */
    public List<Scenario> watchedScenarios() {
        return scenarios.stream().filter(scenario -> scenario.equals(scenarios.get(0)) || moments.stream().anyMatch(moment ->
                moment.during() != null && moment.scenario().equals(scenario.id()))).toList();
    }

    /** The runs that somebody calls for and complains of, each by its own words: none where there is but one, which then needs no telling apart. */
    public List<Scenario> calledFor() {
        List<Scenario> called = watchedScenarios().stream().filter(scenario -> scenario.called() != null).toList();
        return called.size() < 2 ? List.of() : called;
    }

    /** The same unit with other faults to think of. */
    public UnitModel withFaults(List<Fault> otherFaults) {
        return new UnitModel(id, title, duty, machine, connectors, points, scenarios, moments, found, readings, checks, stages,
                channels, charts, parts, otherFaults, settings, traits, calls, acceptance, menu, dangers);
    }

    /** The same unit with other faults to think of, and other things to look at. */
    public UnitModel with(List<Fault> otherFaults, List<Test.Check> otherChecks) {
        return new UnitModel(id, title, duty, machine, connectors, points, scenarios, moments, found, readings, otherChecks, stages,
                channels, charts, parts, otherFaults, settings, traits, calls, acceptance, menu, dangers);
    }

    /** The same unit with other charts on its doors. */
    public UnitModel with(Map<String, Chart> otherCharts) {
        return new UnitModel(id, title, duty, machine, connectors, points, scenarios, moments, found, readings, checks, stages,
                channels, otherCharts, parts, faults, settings, traits, calls, acceptance, menu, dangers);
    }

    /**
     * The code chart of a board.
     *
     * @throws IllegalArgumentException if that board has no lamp
     */
    public Chart chart(String board) {
        Chart chart = charts.get(board);
        if (chart == null) {
            throw new IllegalArgumentException("this unit has no lamp on a board '" + board + "'; it has "
                    + String.join(", ", charts.keySet()));
        }
        return chart;
    }

    /** A board as people say it. */
    public String boardLabel(String board) {
        return parts.stream().filter(part -> part.board().equals(board)).map(Part::label).findFirst().orElse(board);
    }

    /** True for a cord, a jumper, a clip that only a test puts in: it follows an action that the usual run does not take. */
    public boolean isTestGear(String element) {
        return machine.rules().get(element) instanceof Rule.Follows follows && follows.closed().names().stream()
                .anyMatch(name -> name.startsWith(ACTION) && scenarios.get(0).steps().stream()
                        .noneMatch(step -> step.action().equals(name.substring(ACTION.length()))));
    }

    /** A pin or wire: no switch, no fuse, nothing that moves. */
    public Optional<Element.Conductor> plainConductor(String element) {
        return machine.circuit().element(element) instanceof Element.Conductor c && c.closed() && Double.isInfinite(c.fuseAmps())
                && !machine.rules().containsKey(element) ? Optional.of(c) : Optional.empty();
    }

    /** What hangs together with a net through wires and pins alone, itself first, nearest first. */
    public Set<String> wired(String net) {
        return ConductorSearch.from(machine.circuit(), net, conductor -> plainConductor(conductor.id()).isPresent(), any -> true).nets();
    }

    /** True for a conductor that lies between the same two places as one of others, with wires and pins between at most. */
    public boolean liesBeside(Element.Conductor one, Stream<? extends Element> others) {
        Set<String> near = wired(one.a());
        Set<String> far = wired(one.b());
        return others.map(Element::nets).anyMatch(nets -> near.contains(nets.get(0)) && far.contains(nets.get(1)) || near.contains(nets.get(1)) && far.contains(nets.get(0)));
    }

    /** The place where a probe reaches a net; empty where none does. */
    public Optional<Point> pointAt(String net) {
        return points.stream().filter(point -> point.net().equals(net)).findFirst();
    }

    /** True if a probe reaches a net. */
    public boolean isProbed(String net) {
        return pointAt(net).isPresent();
    }

    /** A net as people say it: by the label of its point; one that cannot be probed by its own name. */
    public String pointLabel(String net) {
        return pointAt(net).map(Point::label).orElse(net);
    }

    /** An element as people say it: by the part it belongs to, or by its own name. */
    public String elementLabel(String element) {
        return partWith(element).map(Part::label).orElse(element.replace('-', ' '));
    }

    /** True for a conductor that is a pin of a connector. */
    public boolean isPin(String element) {
        return connectors.stream().anyMatch(connector -> connector.conductors().contains(element));
    }

    /** True for a part of which each load says what it is: what says nothing may not be fed, nor tried. */
    public boolean saysWhatItIs(Part part) {
        return part.elements().stream().allMatch(e -> !(machine.circuit().element(e) instanceof Element.Load) || dangers.device(e).isPresent());
    }

    /** The part that consists of an element, beside others perhaps; empty where none is listed for it. */
    public Optional<Part> partWith(String element) {
        return parts.stream().filter(part -> part.elements().contains(element)).findFirst();
    }

    public Point point(String net) {
        return one(points, point -> point.net().equals(net), Point::net, net, "point");
    }

    public Part part(String partId) {
        return one(parts, part -> part.id().equals(partId), Part::id, partId, "part");
    }

    public Setting setting(String settingId) {
        return one(settings, setting -> setting.id().equals(settingId), Setting::id, settingId, "setting");
    }

    public Fault fault(String faultId) {
        return one(faults, fault -> fault.id().equals(faultId), Fault::id, faultId, "fault");
    }

    public Moment moment(String momentId) {
        return one(moments, moment -> moment.id().equals(momentId), Moment::id, momentId, "moment");
    }

    public Scenario scenario(String scenarioId) {
        return one(scenarios, scenario -> scenario.id().equals(scenarioId), Scenario::id, scenarioId, "scenario");
    }

    public Channel channel(String channelId) {
        return one(channels, channel -> channel.id().equals(channelId), Channel::id, channelId, "channel");
    }

    public Connector connector(String connectorId) {
        return one(connectors, c -> c.id().equals(connectorId), Connector::id, connectorId, "connector");
    }

    /** What the parts of a unit are that carry or make current, each kind once: of its elements, and of the part where no element stands for it. */
    public List<Device> devices(Part part) {
        return Stream.concat(part.elements().stream().flatMap(element -> dangers.device(element).stream()),
                Optional.ofNullable(dangers.parts().get(part.id())).stream()).distinct().toList();
    }

    /** The moment at which somebody finds the unit, where the pack has one. */
    public Optional<Moment> asFound() {
        return moments.stream().filter(moment -> moment.role() == Moment.Role.AS_FOUND).findFirst();
    }

    /** The moment at which the call has ended and all is at rest, where the pack has one. */
    public Optional<Moment> afterCall() {
        return moments.stream().filter(moment -> moment.role() == Moment.Role.AFTER_CALL).findFirst();
    }

    /** The moments with the power off and proven off. */
    public List<Moment> powerOff() {
        return moments.stream().filter(moment -> moment.role() == Moment.Role.POWER_OFF).toList();
    }

    private <T> T one(Collection<T> all, Predicate<T> wanted, Function<T, String> name, String id, String what) {
        return all.stream().filter(wanted).findFirst().orElseThrow(() -> new IllegalArgumentException("this unit has no "
                + what + " '" + id + "'; it has " + String.join(", ", all.stream().map(name).toList())));
    }
}
