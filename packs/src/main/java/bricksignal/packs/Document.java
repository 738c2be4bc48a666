package bricksignal.packs;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** A YAML document that is shaped as a pack should be, and on which line each of its values stands. */
final class Document {

    private static final YAMLMapper YAML = YAMLMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build();

    private static final int MOST_CHARACTERS = 400_000;

    private final JsonNode root;
    private final Map<String, Integer> lines;
    private final Map<String, Origin> origins;

    /**
     * Where a value of a composed document was said.
     *
     * @param line in its file
     * @param assembly which assembly and where it is used; null for the family itself
     */
    record Origin(int line, @Nullable String assembly) {

        @Override
        public String toString() {
            return "line " + line + (assembly == null ? "" : " of " + assembly);
        }
    }

    private Document(JsonNode root, Map<String, Integer> lines, Map<String, Origin> origins) {
        this.root = root;
        this.lines = lines;
        this.origins = origins;
    }

    /**
     * Reads and checks the shape.
     *
     * @throws PackException if the text is not YAML, is too long or too deep, or does not fit the schema
     */
    static Document read(String text, Shape shape) {
        Document document;
        if (text.length() > MOST_CHARACTERS) {
            throw new PackException(List.of(new PackProblem(1, "/", "the text has " + text.length() + " characters; at most "
                    + MOST_CHARACTERS + " are read", "Send one pack or overlay, without attachments")));
        }
        try {
            document = new Document(YAML.readTree(text), lines(text), Map.of());
        } catch (JacksonException broken) {
            int line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new PackException(List.of(new PackProblem(line, "/", "this is not YAML: " + firstLine(broken),
                    "Mend the line; often it is an indent, a missing quote or a key written twice")));
        }
        return document.shaped(shape);
    }

    /** The same document with another root; lines are those of the original. */
    Document with(JsonNode otherRoot) {
        return new Document(otherRoot, lines, origins);
    }

    /** What was made out of this document: each value knows where it was said. */
    Document composed(JsonNode flat, Map<String, Origin> from) {
        return new Document(flat, lines, from);
    }

    /** The same, if it has that shape. */
    Document shaped(Shape shape) {
        List<PackProblem> problems = misfits(shape);
        if (!problems.isEmpty()) {
            throw new PackException(problems);
        }
        return this;
    }

    JsonNode root() {
        return root;
    }

    /** The line of a path, or of the nearest parent that is known. */
    int line(String path) {
        Origin origin = nearest(origins, path);
        Integer line = origin != null ? Integer.valueOf(origin.line()) : nearest(lines, path);
        return line == null ? 1 : line;
    }

    /** Something about a place: with the assembly that said it, where it was one. */
    PackProblem problem(String path, String reason, String remedy) {
        Origin origin = nearest(origins, path);
        return new PackProblem(line(path), path, origin == null || origin.assembly() == null ? reason
                : reason + " (" + origin.assembly() + ")", remedy);
    }

    private static <T> @Nullable T nearest(Map<String, T> places, String path) {
        String at = path;
        while (!at.isEmpty()) {
            T found = places.get(at);
            if (found != null) {
                return found;
            }
            at = at.substring(0, Math.max(0, at.lastIndexOf('/')));
        }
        return places.get("");
    }

    private List<PackProblem> misfits(Shape shape) {
        return shape.misfits(root).stream().map(error -> {
            String path = error.getInstanceLocation().toString();
            return problem(path, error.getMessage(), "See docs/pack-format.md for what may stand here");
        }).toList();
    }

    private static Map<String, Integer> lines(String text) {
        Map<String, Integer> lines = new LinkedHashMap<>();
        try (JsonParser parser = YAML.createParser(text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                String path = parser.streamReadContext().pathAsPointer().toString();
                lines.putIfAbsent(path, parser.currentTokenLocation().getLineNr());
            }
        }
        return lines;
    }

    private static String firstLine(JacksonException broken) {
        String message = broken.getOriginalMessage() == null ? "it cannot be read" : broken.getOriginalMessage();
        return message.lines().findFirst().orElse("it cannot be read");
    }

    /** What a document must look like. */
    enum Shape {
        PACK("pack.schema.json"),
        OVERLAY("overlay.schema.json"),
        /** How a family composes: what it uses, its choices. Its sections are looked at when it is flat. */
        FAMILY("family.schema.json"),
        ASSEMBLY("assembly.schema.json"),
        /** Only YAML: a text of an earlier time. */
        ANY(null);

        private final com.networknt.schema.@Nullable Schema schema;

        Shape(@Nullable String file) {
            if (file == null) {
                this.schema = null;
                return;
            }
            try (InputStream in = Document.class.getResourceAsStream("/packs/" + file)) {
                this.schema = com.networknt.schema.SchemaRegistry
                        .withDefaultDialect(com.networknt.schema.SpecificationVersion.DRAFT_2020_12).getSchema(in);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        List<com.networknt.schema.Error> misfits(JsonNode root) {
            return schema == null ? List.of() : schema.validate(root);
        }
    }
}
