package bricksignal.bench;

import bricksignal.packs.Composition;
import bricksignal.packs.PackLibrary;
import java.util.List;

/** Which units a bench visits. */
final class Chosen {

    private Chosen() {
    }

    /**
     * The compositions asked for.
     *
     * @param only a family for its usual composition, or a composition by its name as {@code bin/pack list} has it; empty for the usual ones
     *     of all families
     * @throws IllegalArgumentException if there is none of that name
     */
    static List<Composition> compositions(String only) {
        List<Composition> all = PackLibrary.compositions();
        List<Composition> chosen = all.stream().filter(c -> only.isEmpty() ? c.usual() : c.usual() && c.family().equals(only)
                || c.name().equals(only)).toList();
        if (chosen.isEmpty()) {
            throw new IllegalArgumentException("there is no '" + only + "'; there are " + all.stream().map(Composition::name).toList());
        }
        return chosen;
    }

    /** What it is called in a table. */
    static String name(Composition composition) {
        return composition.usual() ? composition.family() : composition.name();
    }

    /** Its flat text. */
    static String text(Composition composition) {
        return PackLibrary.text(composition.family(), composition.choices());
    }
}
