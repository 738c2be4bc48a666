package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.solve.Phasor;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.circuit.solve.SpiceNetlist;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The solver against ngspice (Debian), a general-purpose circuit simulator: all node voltages of states of the unit agree
 * to 1e-9 relative with a floor of 1e-9 V.
 */
class NgspiceTest {

    private static final Pattern PHASOR = Pattern.compile("^([a-z0-9_]+) = (\\S+),(\\S+)$");
    private static final Pattern VALUE = Pattern.compile("^([a-z0-9_]+) = (\\S+)$");

    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource({"nothing-now, standby", "nothing-now, purge", "nothing-now, warm-up", "nothing-now, trial",
        "nothing-now, blower", "nothing-now, off", "pin-draft, standby", "inducer-open, purge", "capacitor-weak, blower",
        "board-blower-welded, after", "field-w-open, purge", "rod-coated, trial"})
    void alternatingVoltagesAgree(String fault, String moment) throws Exception {
        Solution ours = solution(fault, moment);
        Map<String, Phasor> theirs = run(SpiceNetlist.alternating(ours.circuit(), fault + " " + moment), "ac lin 1 60 60");
        compare(ours.circuit(), theirs, ours::volts);
    }

    @ParameterizedTest
    @CsvSource({"nothing-now, trial", "nothing-now, blower", "rod-coated, trial", "burner-unground, trial",
        "rod-wire-off, trial", "nothing-now, standby"})
    void directVoltagesAgree(String fault, String moment) throws Exception {
        Solution ours = solution(fault, moment);
        Map<String, Phasor> theirs = run(SpiceNetlist.direct(ours, fault + " " + moment), "op");
        String reference = ours.circuit().reference();
        compare(ours.circuit(), theirs, net -> new Phasor(ours.directVolts(net, reference), 0));
    }

    private static Solution solution(String fault, String moment) {
        double at = F1.PACK.momentSeconds(moment);
        return F1.with(fault).at(at).unit().solution();
    }

    private static void compare(Circuit circuit, Map<String, Phasor> theirs,
            java.util.function.Function<String, Phasor> ours) {
        SpiceNetlist.netNames(circuit).forEach((net, name) -> {
            if (!name.equals("0")) {
                Phasor expected = theirs.get(name);
                assertThat(expected).as("ngspice says nothing of %s (%s)", net, name).isNotNull();
                double tolerance = Math.max(1e-9, 1e-9 * expected.magnitude());
                assertThat(ours.apply(net).minus(expected).magnitude()).as("%s: ours %s, ngspice %s", net, ours.apply(net),
                        expected).isCloseTo(0, within(tolerance));
            }
        });
    }

    private Map<String, Phasor> run(String netlist, String analysis) throws IOException, InterruptedException {
        Path file = folder.resolve("unit.cir");
        Files.writeString(file, netlist + ".options abstol=1e-15 reltol=1e-9 gmin=1e-15 vntol=1e-15\n.control\n"
                + "set numdgt=15\n" + analysis + "\nprint all\n.endc\n.end\n");
        Process ngspice = new ProcessBuilder(List.of("ngspice", "-b", file.toString())).redirectErrorStream(true).start();
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
