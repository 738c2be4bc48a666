package bricksignal.packs;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * A pack as its author wrote it, with the assemblies that it uses and its choices: one that ships, or somebody's own. What is made of
 * it is made once. Safe for use by several threads.
 */
public final class Family {

    /** So many ways to choose are looked through, with much room above those that ship. */
    private static final int MOST_WAYS = 300;

    private final String source;
    private final Document document;
    /** Flat texts by all choices: some fifty kilobytes each. */
    private final Map<Map<String, String>, String> flat = new ConcurrentHashMap<>();
    private volatile @Nullable List<Composition> composed;

    private Family(String source, Document document) {
        this.source = source;
        this.document = document;
    }

    /**
     * The family of a text. What its units are like is looked at when they are read.
     *
     * @throws PackException if the text is not YAML, does not have the shape of a pack, or leaves more to choose than can be looked through
     */
    public static Family of(String source) {
        Document read = Document.read(source, Document.Shape.ANY);
        Family family = new Family(source, read.shaped(PackReader.composes(read) ? Document.Shape.FAMILY : Document.Shape.PACK));
        long ways = 1;
        for (Composition.Choice choice : family.choices()) {
            ways = Math.min(MOST_WAYS + 1L, ways * choice.options().size());
        }
        if (ways > MOST_WAYS) {
            throw new PackException(List.of(read.problem("/choices", "the choices go together in more than " + MOST_WAYS + " ways",
                    "Make two families of it, or say with not-together what does not go together in fewer choices")));
        }
        return family;
    }

    /** Its name. */
    public String id() {
        return root().text("pack");
    }

    /** As people say it, whatever is chosen; its name where it has no title. */
    public String title() {
        return root().has("title") ? root().text("title") : id();
    }

    /** As its author wrote it. */
    public String source() {
        return source;
    }

    /** What there is to choose. */
    public List<Composition.Choice> choices() {
        return new Choices(root()).list();
    }

    /** Every way in which its choices go together, the usual one first. */
    public List<Composition> compositions() {
        List<Composition> known = composed;
        if (known == null) {
            known = composed();
            composed = known;
        }
        return known;
    }

    /**
     * Its flat text, everything in it, nothing to look up elsewhere.
     *
     * @param chosen option by choice; the usual one where a choice is not in it
     * @throws PackException if it has no such choice or option, or they do not go together
     */
    public String text(Map<String, String> chosen) {
        return flat.computeIfAbsent(whole(chosen), way -> FlatText.of(flatDocument(way).root()));
    }

    /** What is asked for, and the usual option of every choice that it leaves open. */
    public Map<String, String> whole(Map<String, String> asked) {
        return new Choices(root()).whole(asked);
    }

    /** Its flat document, of which each value knows the line where its author said it. */
    Document flatDocument(Map<String, String> way) {
        return PackReader.flat(document, way);
    }

    private List<Composition> composed() {
        List<Map<String, String>> ways = Choices.all(root());
        return ways.stream().map(way -> {
            Section composition = section(flatDocument(way));
            flat.computeIfAbsent(way, key -> FlatText.of(composition.node()));
            Map<String, List<String>> traits = new LinkedHashMap<>();
            composition.at("traits").children().keySet().forEach(trait -> traits.put(trait, composition.at("traits").texts(trait)));
            return new Composition(id(), way, way.equals(ways.get(0)), composition.text("title"), traits);
        }).toList();
    }

    private Section root() {
        return section(document);
    }

    private static Section section(Document document) {
        return new Section(document, document.root(), "", new ArrayList<>());
    }
}
