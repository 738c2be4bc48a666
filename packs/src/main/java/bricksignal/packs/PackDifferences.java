package bricksignal.packs;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** In what two texts of one pack differ, for a person who wonders whether to go over to the newer one. */
public final class PackDifferences {

    private static final int MOST = 40;

    private PackDifferences() {
    }

    /** What happened to an entry of a section. */
    public enum Kind { ADDED, CHANGED, TAKEN_OUT }

    /**
     * One difference.
     *
     * @param section part of the pack, such as {@code faults}
     * @param name the entry of it; empty where the section itself is one value
     */
    public record Difference(String section, String name, Kind kind) {
    }

    /**
     * The differences in the order of the newer text, the first forty.
     *
     * @throws PackException if one of the two is no pack
     */
    public static List<Difference> of(String older, String newer) {
        JsonNode before = Document.read(older, Document.Shape.ANY).root();
        JsonNode after = Document.read(newer, Document.Shape.ANY).root();
        List<Difference> differences = new ArrayList<>();
        for (String section : names(after, before)) {
            JsonNode was = before.path(section);
            JsonNode is = after.path(section);
            if (was.isObject() && is.isObject()) {
                names(is, was).forEach(name -> add(differences, section, name, was.path(name), is.path(name)));
            } else {
                add(differences, section, "", was, is);
            }
        }
        return differences.subList(0, Math.min(MOST, differences.size()));
    }

    private static Set<String> names(JsonNode first, JsonNode second) {
        Set<String> names = new LinkedHashSet<>(first.propertyNames());
        names.addAll(second.propertyNames());
        return names;
    }

    private static void add(List<Difference> differences, String section, String name, JsonNode was, JsonNode is) {
        if (!was.equals(is)) {
            differences.add(new Difference(section, name, was.isMissingNode() ? Kind.ADDED : is.isMissingNode() ? Kind.TAKEN_OUT
                    : Kind.CHANGED));
        }
    }
}
