package bricksignal.core.tuning;

import java.util.ArrayList;
import java.util.List;

/**
 * The input of a burner by clocking its meter, held against the plate; what flows through an orifice goes by the root of the pressure before it (handbook), so the
 * pressure for the plate's input goes by the square.
 */
final class GasClocked extends Calculator {

    /** Within five percent of the plate (common practice). */
    private static final double WITHIN = 0.05;
    private static final double PERCENT = 100;

    GasClocked() {
        super("gas-clocked", Input.of("feet", "cu ft", 2, 0.1, 100), Input.of("seconds", "s", 72, 5, 1_800),
                Input.of("heating-value", "Btu/cu ft", 1_000, 700, 3_000), Input.of("plate", "Btu/h", 100_000, 5_000, 2_000_000),
                Input.maybe("manifold", "in w.c.", 0.5, 14));
    }

    @Override
    Finding find(Given given) {
        double plate = given.number("plate");
        double input = Heat.ofGas(given.number("feet"), given.number("seconds"), given.number("heating-value"));
        double off = input / plate - 1;
        List<Finding.Result> results = new ArrayList<>(List.of(result("input", input, "Btu/h", 0), result("share", PERCENT * input / plate, "%", 0),
                result("seconds", given.number("seconds") * input / plate, "s", 0), result("condensate", Heat.mostCondensate(input), "gal/h", 2)));
        given.maybe("manifold").ifPresent(inches -> results.add(1, result("manifold", inches * Math.pow(plate / input, 2), "in w.c.", 1)));
        String says = Math.abs(off) <= WITHIN ? "within" : off > 0 ? "over" : "under";
        return finding(says, says.equals("within"), results, null, PERCENT * Math.abs(off));
    }
}
