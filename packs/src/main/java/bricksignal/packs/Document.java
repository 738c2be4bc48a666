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

    private Document(JsonNode root, Map<String, Integer> lines) {
        this.root = root;
        this.lines = lines;
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
            document = new Document(YAML.readTree(text), lines(text));
        } catch (JacksonException broken) {
            int line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new PackException(List.of(new PackProblem(line, "/", "this is not YAML: " + firstLine(broken),
                    "Mend the line; often it is an indent, a missing quote or a key written twice")));
        }
        List<PackProblem> problems = document.misfits(shape);
        if (!problems.isEmpty()) {
            throw new PackException(problems);
        }
        return document;
    }

    /** The same document with another root; lines are those of the original. */
    Document with(JsonNode otherRoot) {
        return new Document(otherRoot, lines);
    }

    JsonNode root() {
        return root;
    }

    /** The line of a path, or of the nearest parent that is known. */
    int line(String path) {
        String at = path;
        while (!at.isEmpty()) {
            Integer line = lines.get(at);
            if (line != null) {
                return line;
            }
            at = at.substring(0, Math.max(0, at.lastIndexOf('/')));
        }
        return lines.getOrDefault("", 1);
    }

    private List<PackProblem> misfits(Shape shape) {
        return shape.misfits(root).stream().map(error -> {
            String path = error.getInstanceLocation().toString();
            return new PackProblem(line(path), path, error.getMessage(), "See docs/pack-format.md for what may stand here");
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
