package bricksignal.bench;

import bricksignal.core.Known;
import bricksignal.packs.Composition;
import bricksignal.packs.PackLibrary;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

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

    /** Of each family the composition that has most of what is not usual; the first of several. */
    static List<Composition> leastUsual() {
        Map<String, Composition> least = new LinkedHashMap<>();
        Map<String, Composition> usual = PackLibrary.compositions().stream().filter(Composition::usual).collect(Collectors.toMap(Composition::family, c -> c));
        for (Composition composition : PackLibrary.compositions()) {
            least.merge(composition.family(), composition, (one, other) -> unusual(other, usual) > unusual(one, usual) ? other : one);
        }
        return List.copyOf(least.values());
    }

    private static long unusual(Composition some, Map<String, Composition> usual) {
        return some.choices().entrySet().stream().filter(choice -> !choice.getValue().equals(Known.in(usual, some.family()).choices().get(choice.getKey()))).count();
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
