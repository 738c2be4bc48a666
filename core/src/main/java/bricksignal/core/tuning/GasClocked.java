package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The input of a burner by clocking its meter, held against the plate; what flows through an orifice goes by the root of the pressure before it (handbook), so the
 * pressure for the plate's input goes by the square.
 */
final class GasClocked extends Calculator {

    /** Within five percent of the plate (common practice). */
    private static final double WITHIN = 0.05;
    private static final double PERCENT = 100;

    GasClocked() {
        super("gas-clocked", Input.of("feet", TradeUnit.CUBIC_FEET, 2, 0.1, 100), Input.of("seconds", TradeUnit.SECONDS, 72, 5, 1_800).met(15, 600),
                Input.of("heating-value", TradeUnit.BTU_A_CUBIC_FOOT, 1_000, 700, 3_000).met(850, 2_600), Input.of("plate", TradeUnit.BTU_AN_HOUR, 100_000, 5_000, 2_000_000),
                Input.maybe("manifold", TradeUnit.INCHES_WC, 0.5, 14));
    }

    /** A regulator is trimmed by a few tenths: what asks for more has an orifice, a gas or an inlet pressure that is not its own (common practice, from memory). */
    private static final double TRIMMED = 0.15;
    /** The highest manifold pressures of single burners: natural gas 3.5 and some tenths, propane 10 and some (common practice, from memory). */
    private static final double MOST_NATURAL = 3.8;
    private static final double MOST_PROPANE = 10.5;
    /** Between the heating values of natural gas, some 1,000, and of propane, some 2,500 Btu a cubic foot (common practice). */
    private static final double BETWEEN_GASES = 1_800;
    /** Less or more than this of the plate is no burner that wants trimming: another appliance ran, another dial was read, or another gas burns (our own judgement). */
    private static final Bounds SHARE = new Bounds(70, 115);

    @Override
    Map<String, Bounds> customary(Given given) {
        if (given.maybe("manifold").isEmpty()) {
            return Map.of("share", SHARE);
        }
        double now = given.number("manifold");
        double most = Math.min(now * (1 + TRIMMED), given.number("heating-value") < BETWEEN_GASES ? MOST_NATURAL : MOST_PROPANE);
        return Map.of("share", SHARE, "manifold", new Bounds(Math.min(most, now * (1 - TRIMMED)), most));
    }

    @Override
    Finding find(Given given) {
        double plate = given.number("plate");
        double input = Heat.ofGas(given.number("feet"), given.number("seconds"), given.number("heating-value"));
        double off = input / plate - 1;
        List<Finding.Result> results = new ArrayList<>(List.of(result("input", input, TradeUnit.BTU_AN_HOUR, 0), result("share", PERCENT * input / plate, TradeUnit.PERCENT, 0),
                result("seconds", given.number("seconds") * input / plate, TradeUnit.SECONDS, 0), result("condensate", Heat.mostCondensate(input), TradeUnit.GALLONS_AN_HOUR, 2)));
        given.maybe("manifold").ifPresent(inches -> results.add(1, result("manifold", inches * Math.pow(plate / input, 2), TradeUnit.INCHES_WC, 1)));
        String says = Math.abs(off) <= WITHIN ? "within" : off > 0 ? "over" : "under";
        return finding(says, says.equals("within"), results, null, plain(PERCENT * Math.abs(off)));
    }
}
