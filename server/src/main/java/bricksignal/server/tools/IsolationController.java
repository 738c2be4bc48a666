package bricksignal.server.tools;

import bricksignal.core.wiring.Cable;
import bricksignal.core.wiring.Control;
import bricksignal.core.wiring.Function;
import bricksignal.core.wiring.Isolation;
import bricksignal.core.wiring.IsolationPlan;
import bricksignal.core.wiring.Wire;
import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The wiring list between a building's control and a unit with a supply of its own, and the proof that the two never meet. */
@RestController
class IsolationController {

    /** A terminal of a control; an output draws nothing. */
    record TerminalInput(@NotBlank @Size(max = 40) String name, @NotNull Function function, @DecimalMin("0") @DecimalMax("200") double va) {
    }

    /** A control with its transformer. */
    record ControlInput(@NotBlank @Size(max = 60) String label, @NotBlank @Size(max = 40) String hot, @NotBlank @Size(max = 40) String common,
            @DecimalMin("1") @DecimalMax("1000") double ratedVa, @DecimalMin("0") @DecimalMax("1000") double ownVa,
            @NotNull @Size(max = 8) List<@Valid TerminalInput> terminals) {

        Control control() {
            return new Control(label.trim(), hot.trim(), common.trim(), ratedVa, ownVa,
                    terminals.stream().map(t -> new Control.Terminal(t.name().trim(), t.function(), t.va())).toList());
        }
    }

    /**
     * What is to be wired.
     *
     * @param landings conductors that were found on another terminal than planned: by their place in the list, where they land
     */
    record IsolationInput(@NotNull @Valid ControlInput building, @NotNull @Valid ControlInput unit, @DecimalMin("0.1") @DecimalMax("20") double coilVa,
            @DecimalMin("0") @DecimalMax("2000") double feet, int gauge, @NotNull @Size(max = 40) Map<Integer, String> landings) {
    }

    /** A conductor of the list; crosses where it joins the two supplies. */
    record WireRow(String from, String to, Wire.Side supply, String colour, boolean crosses) {
    }

    /**
     * The plan.
     *
     * @param wires conductor by conductor, as they land
     * @param apart whether no position of the contacts joins the two supplies
     * @param terminals where a conductor can land
     */
    record IsolationView(List<IsolationPlan.Relay> relays, List<WireRow> wires, List<IsolationPlan.Load> loads, double coilVolts, boolean pullsIn,
            List<IsolationPlan.Alone> alone, boolean apart, List<String> terminals) {
    }

    @PostMapping("/api/tools/isolation")
    IsolationView isolation(@Valid @RequestBody IsolationInput input) {
        if (input.building().label().trim().equals(input.unit().label().trim())) {
            throw new BadInput("unit.label", Message.of("problem.same-name", Message.said(input.unit().label())));
        }
        IsolationPlan plan = Tools.computed(() -> IsolationPlan.of(input.building().control(), input.unit().control(), input.coilVa(),
                new Cable(input.feet(), input.gauge())));
        List<String> terminals = List.copyOf(plan.terminals().keySet());
        IsolationPlan built = plan;
        for (Map.Entry<Integer, String> landing : input.landings().entrySet()) {
            if (landing.getKey() < 0 || landing.getKey() >= plan.wires().size() || !terminals.contains(landing.getValue())) {
                throw new BadInput("landings", "There is no conductor " + landing.getKey() + " or no terminal '" + landing.getValue() + "' in this list.");
            }
            Wire wire = plan.wires().get(landing.getKey());
            built = built.with(wire.landing(landing.getValue()), wire);
        }
        List<Wire> crossings = Isolation.crossings(built);
        List<WireRow> rows = built.wires().stream().map(w -> new WireRow(w.from(), w.to(), w.supply(), w.colour(), crossings.contains(w))).toList();
        return new IsolationView(plan.relays(), rows, plan.loads(), plan.coilVolts(), plan.pullsIn(), plan.alone(), crossings.isEmpty(), terminals);
    }
}
