package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Phasor;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.circuit.solve.SpiceNetlist;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The solver against ngspice (Debian), a general-purpose circuit simulator: all node voltages of states of the unit agree
 * to 1e-9 relative with a floor of 1e-9 V.
 *
 * <p>One state is left out because ngspice is at its limit there, not we: F3 with a coated rod (80 megohms beside 0.1 ohm on
 * one net). Solved exactly in rational numbers the rod has 89.428906367 V; we say 89.428906355, ngspice 89.428906461.
 */
@Execution(ExecutionMode.CONCURRENT)
class NgspiceTest {

    private static final double IN_THE_AIR = 1e-5;
    private static final Pattern PHASOR = Pattern.compile("^([a-z0-9_]+) = (\\S+),(\\S+)$");
    private static final Pattern VALUE = Pattern.compile("^([a-z0-9_]+) = (\\S+)$");

    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource({"f1-furnace, nothing-now, standby", "f1-furnace, nothing-now, purge", "f1-furnace, nothing-now, warm-up",
        "f1-furnace, nothing-now, trial", "f1-furnace, nothing-now, blower", "f1-furnace, nothing-now, off",
        "f1-furnace, pin-draft, standby", "f1-furnace, inducer-open, purge", "f1-furnace, capacitor-weak, blower",
        "f1-furnace, board-blower-welded, after", "f1-furnace, field-w-open, purge", "f1-furnace, rod-coated, trial",
        "f3-vehicle, nothing-now, trial", "f3-vehicle, burner-unground, trial", "f9-airhandler, nothing-now, standby",
        "f9-airhandler, nothing-now, call", "f9-airhandler, fuse-open, call", "f9-airhandler, motor-open, call",
        "f9-airhandler, nothing-now, off", "f9-airhandler, line-plug-open, call", "f12-minisplit, nothing-now, standby",
        "f12-minisplit, nothing-now, run", "f12-minisplit, wire-3-open, run", "f12-minisplit, terminal-3-loose, run",
        "f12-minisplit, compressor-open, run", "f12-minisplit, nothing-now, off", "f14-rooftop, nothing-now, standby",
        "f14-rooftop, nothing-now, purge", "f14-rooftop, nothing-now, trial", "f14-rooftop, nothing-now, off",
        "f14-rooftop, detector-dirty, standby", "f14-rooftop, fuse-3-open, standby", "f14-rooftop, pin-permission, standby"})
    void alternatingVoltagesAgree(String pack, String fault, String moment) throws Exception {
        Solution ours = solution(pack, fault, moment);
        Map<String, Phasor> theirs = run(SpiceNetlist.alternating(ours.circuit(), fault + " " + moment), "ac lin 1 60 60");
        compare(ours.circuit(), theirs, ours::volts);
    }

    @ParameterizedTest
    @CsvSource({"f1-furnace, nothing-now, trial", "f1-furnace, nothing-now, blower", "f1-furnace, rod-coated, trial",
        "f1-furnace, burner-unground, trial", "f1-furnace, rod-wire-off, trial", "f1-furnace, nothing-now, standby",
        "f3-vehicle, nothing-now, standby", "f3-vehicle, nothing-now, purge", "f3-vehicle, nothing-now, trial",
        "f3-vehicle, battery-low, purge", "f3-vehicle, ground-bad, purge", "f3-vehicle, pin-valve, trial",
        "f9-airhandler, nothing-now, call", "f9-airhandler, board-data, call", "f9-airhandler, harness-common-open, call",
        "f12-minisplit, nothing-now, run", "f12-minisplit, signal-dead, run", "f12-minisplit, wire-4-open, run",
        "f14-rooftop, nothing-now, blower", "f14-rooftop, burner-unground, trial"})
    void directVoltagesAgree(String pack, String fault, String moment) throws Exception {
        Solution ours = solution(pack, fault, moment);
        Map<String, Phasor> theirs = run(SpiceNetlist.direct(ours, fault + " " + moment), "op");
        String reference = ours.circuit().reference();
        compare(ours.circuit(), theirs, net -> new Phasor(ours.directVolts(net, reference), 0));
    }

    static Stream<Arguments> otherCompositions() {
        return PackLibrary.compositions().stream().filter(c -> !c.usual()).map(c -> Arguments.of(c.family(), c.choices()));
    }

    /** Every composition that is not the usual one, in good order, in every moment of its usual run. */
    @ParameterizedTest
    @MethodSource("otherCompositions")
    void everyCompositionAgreesInEveryMoment(String family, Map<String, String> choices) throws Exception {
        UnitModel model = PackReader.declared(PackReader.flat(PackLibrary.text(family, choices), Map.of()));
        VirtualUnit unit = VirtualUnit.of(model, model.machine());
        String usual = model.scenarios().get(0).id();
        List<Moment> moments = model.moments().stream().filter(moment -> moment.scenario().equals(usual)).toList();
        assertThat(moments).hasSizeGreaterThanOrEqualTo(5);
        for (Moment moment : moments) {
            Solution ours = unit.usualRun().at(unit.secondsOf(moment)).unit().solution();
            compare(ours.circuit(), run(SpiceNetlist.alternating(ours.circuit(), moment.id()), "ac lin 1 60 60"), ours::volts);
            String reference = ours.circuit().reference();
            compare(ours.circuit(), run(SpiceNetlist.direct(ours, moment.id()), "op"), net -> new Phasor(ours.directVolts(net, reference), 0));
        }
    }

    private static Solution solution(String pack, String fault, String moment) {
        return Compiled.of(pack).at(fault, moment).unit().solution();
    }

    /**
     * Net by net. What hangs in the air, as all of a unit does behind two open poles, stands against earth by leaks of 1e-9 S alone: beside conductors of 50 S a double knows that no
     * better than to about 1e-5, while it knows what stands between two such nets as well as anything. So those nets are compared with the first of them.
     */
    private static void compare(Circuit circuit, Map<String, Phasor> theirs,
            java.util.function.Function<String, Phasor> ours) {
        Map<String, String> names = SpiceNetlist.netNames(circuit);
        Map<String, String> first = new HashMap<>();
        for (String from : names.keySet()) {
            if (!first.containsKey(from)) {
                together(circuit, from).forEach(net -> first.put(net, from));
            }
        }
        Set<String> earthed = together(circuit, circuit.reference());
        names.forEach((net, name) -> {
            if (!name.equals("0")) {
                Phasor expected = theirs.get(name);
                assertThat(expected).as("ngspice says nothing of %s (%s)", net, name).isNotNull();
                double tolerance = Math.max(1e-9, 1e-9 * expected.magnitude());
                Phasor off = ours.apply(net).minus(expected);
                String against = first.get(net);
                if (!earthed.contains(net)) {
                    Phasor shift = ours.apply(against).minus(theirs.get(names.get(against)));
                    assertThat(shift.magnitude()).isCloseTo(0, within(Math.max(1e-9, IN_THE_AIR * expected.magnitude())));
                    off = off.minus(shift);
                }
                assertThat(off.magnitude()).as("%s: ours %s, ngspice %s", net, ours.apply(net), expected).isCloseTo(0, within(tolerance));
            }
        });
    }

    /** The nets that direct current can reach from one. */
    private static Set<String> together(Circuit circuit, String from) {
        Set<String> reached = new LinkedHashSet<>(Set.of(from));
        boolean grown = true;
        while (grown) {
            grown = circuit.elements().stream().flatMap(element -> joined(element).stream()).filter(nets -> nets.stream().anyMatch(reached::contains)).toList().stream()
                    .filter(reached::addAll).count() > 0;
        }
        return reached;
    }

    private static List<List<String>> joined(Element element) {
        if (element instanceof Element.Transformer t) {
            return t.open() ? List.of() : List.of(List.of(t.p1(), t.p2()), List.of(t.s1(), t.s2()));
        }
        boolean apart = element instanceof Element.Capacitor || element instanceof Element.Conductor c && !c.closed() || element instanceof Element.Load l && l.ohms() == Double.POSITIVE_INFINITY
                || element instanceof Element.FlamePath flame && !flame.lit();
        return apart ? List.of() : List.of(element.nets());
    }

    private Map<String, Phasor> run(String netlist, String analysis) throws IOException, InterruptedException {
        Path file = folder.resolve("unit.cir");
        Files.writeString(file, netlist + ".options abstol=1e-15 reltol=1e-9 gmin=1e-15 vntol=1e-15\n.control\n"
                + "set numdgt=15\n" + analysis + "\nprint all\n.endc\n.end\n");
        Process ngspice = new ProcessBuilder(List.of("ngspice", "-b", file.toString())).redirectError(ProcessBuilder.Redirect.DISCARD).start();   // its notes would come amid the figures
        String output = new String(ngspice.getInputStream().readAllBytes());
        assertThat(ngspice.waitFor(60, TimeUnit.SECONDS)).as("ngspice ended").isTrue();
        Map<String, Phasor> voltages = new LinkedHashMap<>();
        output.lines().forEach(line -> {
            Matcher phasor = PHASOR.matcher(line.trim());
            Matcher value = VALUE.matcher(line.trim());
            if (phasor.matches()) {
                voltages.put(phasor.group(1), new Phasor(Double.parseDouble(phasor.group(2)),
                        Double.parseDouble(phasor.group(3))));
            } else if (value.matches()) {
                voltages.put(value.group(1), new Phasor(Double.parseDouble(value.group(2)), 0));
            }
        });
        assertThat(voltages).as(output).isNotEmpty();
        return voltages;
    }
}
