package bricksignal.core.wiring;

import java.util.List;

/**
 * A control with a supply of its own: the building's, whose terminals are relay outputs fed by that supply, or the unit's, whose terminals are inputs.
 *
 * @param label as people call it
 * @param hot its terminal of 24 V
 * @param common its terminal of the common
 * @param ratedVa of its transformer, above 0
 * @param ownVa what hangs on it already, at least 0
 * @param terminals each function once
 */
public record Control(String label, String hot, String common, double ratedVa, double ownVa, List<Terminal> terminals) {

    /**
     * A terminal.
     *
     * @param name as it stands on the board
     * @param va what it draws while it is called: 0 for an output
     */
    public record Terminal(String name, Function function, double va) {
        public Terminal {
            if (!(va >= 0)) {
                throw new IllegalArgumentException("terminal '" + name + "' draws " + va + " VA; it must be 0 or more");
            }
        }
    }

    public Control {
        terminals = List.copyOf(terminals);
        if (!(ratedVa > 0) || !(ownVa >= 0)) {
            throw new IllegalArgumentException("the transformer of " + label + " is rated " + ratedVa + " VA and carries " + ownVa
                    + "; the first must be above 0 and the other not below it");
        }
        if (hot.equals(common) || terminals.stream().anyMatch(t -> t.name().equals(hot) || t.name().equals(common))
                || terminals.stream().map(Terminal::name).distinct().count() < terminals.size()) {
            throw new IllegalArgumentException("two terminals of " + label + " have one name; each must have its own");
        }
        if (terminals.stream().map(Terminal::function).distinct().count() < terminals.size()) {
            throw new IllegalArgumentException("two terminals of " + label + " ask for the same; each function stands once");
        }
    }
}
