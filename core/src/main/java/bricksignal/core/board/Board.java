package bricksignal.core.board;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A control board: what it senses, what it does, what it is fed from.
 *
 * @param id its name
 * @param supplyPlus net of its supply
 * @param supplyMinus net of its common
 * @param supplyVolts least voltage at which it works, V RMS or direct; infinite for a dead board
 * @param inputs what it senses
 * @param regions what it does, side by side
 */
public record Board(String id, String supplyPlus, String supplyMinus, double supplyVolts, List<Input> inputs,
        List<Region> regions) {

    public Board {
        if (!(supplyVolts > 0)) {
            throw new IllegalArgumentException("board '" + id + "': supply is " + supplyVolts + " V; it must be above 0");
        }
        inputs = List.copyOf(inputs);
        regions = List.copyOf(regions);
    }

    /** The same board that energizes nothing in some states, by region. */
    public Board releasing(Map<String, Set<String>> states) {
        return new Board(id, supplyPlus, supplyMinus, supplyVolts, inputs, regions.stream().map(region -> new Region(region.id(), region.states().stream()
                .map(state -> states.getOrDefault(region.id(), Set.of()).contains(state.id()) ? state.releasing() : state).toList())).toList());
    }

    /** The input of that name. */
    public Input input(String id) {
        return inputs.stream().filter(input -> input.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the board has no input '" + id + "'"));
    }

    /** True if one of its inputs has that name. */
    public boolean senses(String inputId) {
        return inputs.stream().anyMatch(input -> input.id().equals(inputId));
    }

    /** The region of that name. */
    public Region region(String id) {
        return regions.stream().filter(region -> region.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the board has no region '" + id + "'"));
    }
}
