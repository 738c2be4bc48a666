package bricksignal.packs;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Makes the flat document of a unit out of a family: its own sections, the assemblies that it uses, and the options chosen. The
 * options win over the family and the family over the assemblies; two assemblies may add to one entry, but not say two things in
 * one place. Entries stand in the family's {@code order}, then as they are said; an empty one keeps a place for what an assembly may bring. One level: an assembly
 * uses no other.
 */
final class Composer {

    /** Keys that compose and are not part of a flat pack. */
    static final Set<String> COMPOSING = Set.of("uses", "choices", "not-together", "overrides", "without", "values", "order");
    /** Keys of an option that are none of a pack. */
    private static final Set<String> OPTION = Set.of("label", "adds");
    private static final Set<String> HEAD = Set.of("assembly", "title", "ports", "values");
    /** Lists that several may add to. */
    private static final Pattern GATHERED = Pattern.compile("/parts/[^/]+/elements|/points/[^/]+/moments|/traits/[^/]+|/connectors/[^/]+/pins|/readings/[^/]+/unplug|/boards/[^/]+/regions/[^/]+/[^/]+/outputs");
    /** Ways out of a state: one assembly may add to those of another, after them; what the family says of a state stands alone. */
    private static final Pattern WAYS = Pattern.compile("/boards/[^/]+/regions/[^/]+/[^/]+/next");
    private static final Pattern PLACE = Pattern.compile("\\$([a-z]+)");

    private final Document family;
    private final Map<String, String> chosen;
    private final Function<String, @Nullable Document> assemblies;
    private final List<PackProblem> problems = new ArrayList<>();
    private final ObjectNode flat;
    private final Map<String, Document.Origin> origins = new LinkedHashMap<>();

    private Composer(Document family, Map<String, String> chosen, Function<String, @Nullable Document> assemblies) {
        this.family = family;
        this.chosen = chosen;
        this.assemblies = assemblies;
        this.flat = ((ObjectNode) family.root()).objectNode();
    }

    /**
     * The flat document.
     *
     * @param chosen option by choice; the usual one where a choice is not in it
     * @param assemblies the document of an assembly by name, null where there is none
     *
     * @throws PackException if an assembly is missing, a port is left open, options do not go together, or an edit edits nothing
     */
    static Document flat(Document family, Map<String, String> chosen, Function<String, @Nullable Document> assemblies) {
        return new Composer(family, chosen, assemblies).flat();
    }

    private Document flat() {
        Section root = new Section(family, family.root(), "", problems);
        List<Section> options = new Choices(root).chosen(chosen);
        own(root, key -> true);
        Set<String> used = new LinkedHashSet<>();
        Stream.concat(Stream.of(root), options.stream()).forEach(from -> {
            uses(from, options);
            used.addAll(from.at("uses").children().keySet());
        });
        options.forEach(option -> option.at("values").children().forEach((name, values) -> {
            if (!used.contains(name)) {
                values.note("nothing is used by the name '" + name + "'", "Take it out, or correct the name" + ModelChecks.maybe(name, used));
            }
        }));
        for (Section option : options) {
            without(option);
            overrides(option);
            own(option, key -> !OPTION.contains(key));
            if (option.has("adds")) {
                flat.put("title", flat.path("title").asString() + ", " + option.text("adds"));
            }
        }
        order(root.at("order"));
        flat.forEach(Composer::dropKeptPlaces);
        if (!problems.isEmpty()) {
            throw new PackException(problems);
        }
        return family.composed(flat, origins);
    }

    /** Puts the entries of a section in the order that the family says; the others stay as they came, after them. */
    private void order(Section order) {
        order.children().keySet().forEach(section -> {
            if (flat.get(section) instanceof ObjectNode entries) {
                ObjectNode was = entries.deepCopy();
                entries.removeAll();
                Stream.concat(order.texts(section).stream(), was.propertyNames().stream()).distinct().filter(was::has)
                        .forEach(name -> entries.set(name, was.get(name)));
            }
        });
    }

    /** What no assembly brought has no place. */
    private static void dropKeptPlaces(JsonNode node) {
        if (node instanceof ObjectNode entries) {
            for (String name : Set.copyOf(entries.propertyNames())) {
                if (entries.get(name).isObject() && entries.get(name).isEmpty()) {
                    entries.remove(name);
                } else {
                    dropKeptPlaces(entries.get(name));
                }
            }
        }
    }

    /** What a family or an option uses, with the values that the chosen options give. */
    private void uses(Section from, List<Section> options) {
        from.at("uses").children().forEach((name, use) -> {
            String id = use.text("assembly");
            Document assembly = assemblies.apply(id);
            if (assembly == null) {
                use.at("assembly").note("there is no assembly '" + id + "'", "Choose one of " + String.join(", ", PackLibrary.assemblies())
                        + ModelChecks.maybe(id, PackLibrary.assemblies()));
            } else {
                new Use(use, assembly, id).expand(options.stream().filter(option -> option.at("values").has(name))
                        .map(option -> option.at("values").at(name)).toList());
            }
        });
    }

    /** The sections that the family, or one of its options, says itself. */
    private void own(Section from, Predicate<String> which) {
        from.children().forEach((key, section) -> {
            if (!COMPOSING.contains(key) && which.test(key)) {
                merge("/" + key, section.node(), flat, key, new Source(family, section.path(), null));
            }
        });
    }

    private void without(Section option) {
        for (String path : option.texts("without")) {
            JsonNode parent = parent(path);
            String key = path.substring(path.lastIndexOf('/') + 1);
            if (!(parent instanceof ObjectNode object) || object.remove(key) == null) {
                option.at("without").note("there is no '" + path + "' to take out", "Correct the path, or take it off the list");
            }
        }
    }

    private void overrides(Section option) {
        option.at("overrides").children().forEach((path, section) -> {
            JsonNode parent = parent(path);
            String key = path.substring(path.lastIndexOf('/') + 1);
            if (parent instanceof ObjectNode object && object.has(key)) {
                object.set(key, section.node().deepCopy());
                origins.keySet().removeIf(at -> at.startsWith("/" + path));
                new Source(family, section.path(), null).trace("/" + path, section.node());
            } else {
                section.note("there is no '" + path + "' to override", "Correct the path, or say it without 'overrides' if it is new");
            }
        });
    }

    private JsonNode parent(String path) {
        return path.indexOf('/') < 0 ? flat : flat.at("/" + path.substring(0, path.lastIndexOf('/')));
    }

    /** Where something is said: a document, its path there, and what used it. */
    private final class Source {
        private final Document document;
        private final String path;
        private final @Nullable String assembly;

        Source(Document document, String path, @Nullable String assembly) {
            this.document = document;
            this.path = path;
            this.assembly = assembly;
        }

        Source at(String key) {
            return new Source(document, path + "/" + Section.escaped(key), assembly);
        }

        /** Keeps where each value of a tree came from. */
        void trace(String flatPath, JsonNode node) {
            origins.put(flatPath, new Document.Origin(document.line(path), assembly));
            node.properties().forEach(e -> at(e.getKey()).trace(flatPath + "/" + Section.escaped(e.getKey()), e.getValue()));
        }
    }

    private void merge(String path, JsonNode node, ObjectNode into, String key, Source source) {
        JsonNode there = into.get(key);
        if (there == null) {
            into.set(key, node.deepCopy());
            source.trace(path, node);
        } else if (there instanceof ObjectNode object && node.isObject()) {
            node.properties().forEach(e -> merge(path + "/" + Section.escaped(e.getKey()), e.getValue(), object, e.getKey(),
                    source.at(e.getKey())));
        } else if (there instanceof ArrayNode array && node.isArray() && gathered(path, source)) {
            Set<JsonNode> all = new LinkedHashSet<>();
            array.forEach(all::add);
            node.forEach(all::add);
            ArrayNode gathered = into.arrayNode();
            all.forEach(gathered::add);
            into.set(key, gathered);
        } else if (source.assembly == null) {
            into.set(key, node.deepCopy());
            source.trace(path, node);
        } else {
            Document.Origin other = origins.get(path);
            if (other != null && other.assembly() != null && !there.equals(node)) {
                problems.add(new PackProblem(family.line(path), path, "two assemblies say different things here: " + there + " (" + other
                        + ") and " + node + " (" + source.assembly + ")", "Give one of them another name or plug by its values"));
            }
        }
    }

    private boolean gathered(String path, Source source) {
        Document.Origin first = origins.get(path);
        return GATHERED.matcher(path).matches()
                || WAYS.matcher(path).matches() && source.assembly != null && first != null && first.assembly() != null;
    }

    /** One assembly with its ports and values filled in. */
    private final class Use {
        private final Section use;
        private final Document assembly;
        private final String id;
        private final Map<String, JsonNode> given = new LinkedHashMap<>();
        private final Set<String> unknown = new LinkedHashSet<>();

        Use(Section use, Document assembly, String id) {
            this.use = use;
            this.assembly = assembly;
            this.id = id;
        }

        void expand(List<Section> otherwise) {
            assembly.root().path("values").properties().forEach(e -> given.put(e.getKey(), e.getValue().path("default")));
            Set<String> ports = new LinkedHashSet<>(assembly.root().path("ports").propertyNames());
            Set<String> values = new LinkedHashSet<>(assembly.root().path("values").propertyNames());
            take(use.at("ports"), "port", ports);
            take(use.at("values"), "value", values);
            otherwise.forEach(section -> take(section, "value", values));
            ports.stream().filter(port -> !given.containsKey(port)).forEach(port -> use.note("port '" + port + "' of the assembly '" + id
                    + "' is left open: " + assembly.root().path("ports").path(port).asString(""), "Say which net it is, under 'ports'"));
            if (use.hasProblems()) {
                return;
            }
            assembly.root().properties().forEach(section -> {
                if (!HEAD.contains(section.getKey())) {
                    merge("/" + section.getKey(), filled(section.getValue()), flat, section.getKey(),
                            new Source(assembly, "/" + section.getKey(), "assemblies/" + id + ".yaml, used in line " + use.line()));
                }
            });
            unknown.forEach(name -> use.note("the assembly '" + id + "' speaks of $" + name + ", which is neither a port nor a value of it",
                    "Declare it in the assembly"));
        }

        private void take(Section from, String kind, Set<String> known) {
            from.children().forEach((name, section) -> {
                if (known.contains(name)) {
                    given.put(name, section.node());
                } else {
                    section.note("the assembly '" + id + "' has no " + kind + " '" + name + "'",
                            "Take it out, or correct the name" + ModelChecks.maybe(name, known));
                }
            });
        }

        private JsonNode filled(JsonNode node) {
            if (node.isObject()) {
                ObjectNode filled = ((ObjectNode) node).objectNode();
                node.properties().forEach(e -> filled.set(text(e.getKey()), filled(e.getValue())));
                return filled;
            }
            if (node.isArray()) {
                ArrayNode filled = ((ArrayNode) node).arrayNode();
                node.forEach(item -> filled.add(filled(item)));
                return filled;
            }
            if (!node.isString()) {
                return node;
            }
            Matcher whole = PLACE.matcher(node.asString());
            return whole.matches() ? value(whole.group(1)) : StringNode.valueOf(text(node.asString()));
        }

        private String text(String said) {
            return PLACE.matcher(said).replaceAll(place -> Matcher.quoteReplacement(value(place.group(1)).asString()));
        }

        private JsonNode value(String name) {
            JsonNode value = given.get(name);
            if (value == null) {
                unknown.add(name);
                return StringNode.valueOf("");
            }
            return value;
        }
    }
}
