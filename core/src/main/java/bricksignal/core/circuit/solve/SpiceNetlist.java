package bricksignal.core.circuit.solve;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A circuit written as a SPICE netlist, for any general-purpose simulator. Nets become n0 (the reference), n1, ... in the
 * order of {@link Circuit#nets()}; the names stand as comments.
 */
public final class SpiceNetlist {

    private final Circuit circuit;
    private final Map<String, String> names = new LinkedHashMap<>();
    private final StringBuilder text = new StringBuilder();

    private SpiceNetlist(Circuit circuit) {
        this.circuit = circuit;
        List<String> nets = circuit.nets();
        for (int i = 0; i < nets.size(); i++) {
            names.put(nets.get(i), i == 0 ? "0" : "n" + i);
        }
    }

    /** The alternating analysis: run with {@code ac lin 1 f f} at the circuit's frequency. */
    public static String alternating(Circuit circuit, String title) {
        SpiceNetlist netlist = new SpiceNetlist(circuit);
        netlist.head(title);
        circuit.elements().forEach(netlist::alternatingElement);
        return netlist.text.toString();
    }

    /** The direct-current analysis: run with {@code op}. Each lit flame is a current source of the value of the solution. */
    public static String direct(Solution solution, String title) {
        SpiceNetlist netlist = new SpiceNetlist(solution.circuit());
        netlist.head(title);
        for (Element element : solution.circuit().elements()) {
            netlist.directElement(element, solution);
        }
        return netlist.text.toString();
    }

    /** The name a net has in the netlist. */
    public static Map<String, String> netNames(Circuit circuit) {
        return Map.copyOf(new SpiceNetlist(circuit).names);
    }

    private void head(String title) {
        line("* " + title.replace('\n', ' '));
        names.forEach((net, name) -> line("* " + name + " = " + net));
        names.values().stream().filter(name -> !name.equals("0"))
                .forEach(name -> line("Rleak_" + name + " " + name + " 0 " + 1 / Network.LEAK_SIEMENS));
    }

    private void alternatingElement(Element element) {
        if (element instanceof Element.Source s) {
            source(s.id(), s.plus(), s.minus(), s.ohms(), " AC " + s.volts() + " " + s.degrees());
        } else if (element instanceof Element.DirectSource s) {
            source(s.id(), s.plus(), s.minus(), s.ohms(), " AC 0");
        } else if (element instanceof Element.Load load && load.ohms() < Double.POSITIVE_INFINITY) {
            load(load);
        } else if (element instanceof Element.Capacitor c && c.farads() > 0) {
            line("C_" + c.id() + " " + pair(c.a(), c.b()) + " " + c.farads());
        } else if (element instanceof Element.Transformer t && !t.open()) {
            transformer(t);
        } else {
            resistive(element);
        }
    }

    private void directElement(Element element, Solution solution) {
        if (element instanceof Element.Source s) {
            source(s.id(), s.plus(), s.minus(), s.ohms(), " DC 0");
        } else if (element instanceof Element.DirectSource s) {
            source(s.id(), s.plus(), s.minus(), s.ohms(), " DC " + s.volts());
        } else if (element instanceof Element.Load load && load.ohms() < Double.POSITIVE_INFINITY) {
            resistor(load.id(), pair(load.a(), load.b()), load.ohms());
        } else if (element instanceof Element.Transformer t && !t.open()) {
            resistor(t.id() + "_p", pair(t.p1(), t.p2()), t.primaryOhms());
            resistor(t.id() + "_s", pair(t.s1(), t.s2()), t.ohms());
        } else {
            resistive(element);
            if (element instanceof Element.FlamePath flame && flame.lit()) {
                double volts = solution.volts(flame.rod(), flame.burner()).magnitude();
                line("I_" + flame.id() + " " + pair(flame.rod(), flame.burner()) + " DC "
                        + Element.FlamePath.HALF_WAVE_MEAN * volts / flame.ohms());
            }
        }
    }

    private void resistive(Element element) {
        if (element instanceof Element.Conductor wire && wire.closed()) {
            if (wire.ohms() > 0) {
                resistor(wire.id(), pair(wire.a(), wire.b()), wire.ohms());
            } else {
                line("V_" + wire.id() + " " + pair(wire.a(), wire.b()) + " DC 0 AC 0");
            }
        } else if (element instanceof Element.FlamePath flame && flame.lit()) {
            resistor(flame.id(), pair(flame.rod(), flame.burner()), flame.ohms());
        }
    }

    private void source(String id, String plus, String minus, double ohms, String value) {
        String inner = ohms > 0 ? "x_" + id : names.get(plus);
        line("V_" + id + " " + inner + " " + names.get(minus) + value);
        if (ohms > 0) {
            resistor(id, inner + " " + names.get(plus), ohms);
        }
    }

    private void load(Element.Load load) {
        if (load.reactanceOhms() == 0) {
            resistor(load.id(), pair(load.a(), load.b()), load.ohms());
            return;
        }
        String inner = "x_" + load.id();
        resistor(load.id(), names.get(load.a()) + " " + inner, load.ohms());
        line("L_" + load.id() + " " + inner + " " + names.get(load.b()) + " "
                + load.reactanceOhms() / (2 * Math.PI * circuit.hertz()));
    }

    private void transformer(Element.Transformer t) {
        String name = t.id().replace('-', '_');   // ngspice reads what it is referred to by as a formula
        String inner = "x_" + name;
        String sense = "y_" + name;
        line("E_" + name + " " + inner + " " + names.get(t.s2()) + " " + pair(t.p1(), t.p2()) + " " + 1 / t.ratio());
        line("V_" + name + " " + sense + " " + inner + " DC 0 AC 0");
        resistor(t.id(), names.get(t.s1()) + " " + sense, t.ohms());
        line("F_" + name + " " + pair(t.p2(), t.p1()) + " V_" + name + " " + 1 / t.ratio());
    }

    private void resistor(String id, String nodes, double ohms) {
        line("R_" + id + " " + nodes + " " + ohms);
    }

    private String pair(String a, String b) {
        return names.get(a) + " " + names.get(b);
    }

    private void line(String line) {
        text.append(line).append('\n');
    }
}
