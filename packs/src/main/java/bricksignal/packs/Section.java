package bricksignal.packs;

import bricksignal.core.board.Expr;
import bricksignal.core.board.ExprParser;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** One node of the document with its path; reads values and notes what cannot be read, so that all problems are told. */
final class Section {

    private final Document document;
    private final JsonNode node;
    private final String path;
    private final List<PackProblem> problems;

    Section(Document document, JsonNode node, String path, List<PackProblem> problems) {
        this.document = document;
        this.node = node;
        this.path = path;
        this.problems = problems;
    }

    Section at(String key) {
        return new Section(document, node.path(key), path + "/" + escaped(key), problems);
    }

    /** A key as it stands in a JSON pointer. */
    static String escaped(String key) {
        return key.replace("~", "~0").replace("/", "~1");
    }

    String path() {
        return path;
    }

    int line() {
        return document.line(path);
    }

    /** The same place, with no problem noted yet. */
    Section anew() {
        return new Section(document, node, path, new ArrayList<>());
    }

    JsonNode node() {
        return node;
    }

    boolean has(String key) {
        return node.has(key);
    }

    String text(String key) {
        return node.path(key).asString("");
    }

    @Nullable String textOrNull(String key) {
        return has(key) ? text(key) : null;
    }

    double number(String key, double otherwise) {
        return node.path(key).asDouble(otherwise);
    }

    boolean flag(String key, boolean otherwise) {
        return node.path(key).asBoolean(otherwise);
    }

    double asNumber() {
        return node.asDouble();
    }

    List<String> texts(String key) {
        List<String> texts = new ArrayList<>();
        node.path(key).forEach(item -> texts.add(item.asString()));
        return texts;
    }

    /** The children of a map, by key, in order. */
    Map<String, Section> children() {
        Map<String, Section> children = new LinkedHashMap<>();
        node.properties().forEach(entry -> children.put(entry.getKey(), at(entry.getKey())));
        return children;
    }

    /** The items of a list, in order. */
    List<Section> items(String key) {
        List<Section> items = new ArrayList<>();
        JsonNode list = node.path(key);
        for (int i = 0; i < list.size(); i++) {
            items.add(new Section(document, list.get(i), path + "/" + key + "/" + i, problems));
        }
        return items;
    }

    /** Reads each child of a map; what cannot be read is noted and left out. */
    <T> List<T> each(String key, Function<Map.Entry<String, Section>, T> reader) {
        List<T> all = new ArrayList<>();
        at(key).children().entrySet().forEach(entry -> {
            T read = entry.getValue().attempt(() -> reader.apply(entry));
            if (read != null) {
                all.add(read);
            }
        });
        return all;
    }

    /** An expression, or null where the key is absent. */
    @Nullable Expr expression(String key) {
        return has(key) ? at(key).attempt(() -> ExprParser.parse(text(key))) : null;
    }

    /** An expression that must be there; an unreadable one is noted and stands for true. */
    Expr condition(String key) {
        Expr expr = expression(key);
        return expr == null ? Expr.TRUE : expr;
    }

    /** What was noted so far, here and all over the document. */
    List<PackProblem> problems() {
        return problems;
    }

    /** True if anything was noted so far. */
    boolean hasProblems() {
        return !problems.isEmpty();
    }

    /** Does something that may refuse a value; the refusal is noted with line and path. */
    <T> @Nullable T attempt(Supplier<T> action) {
        try {
            return action.get();
        } catch (IllegalArgumentException refused) {
            note(String.valueOf(refused.getMessage()), "Mend the value");
            return null;
        }
    }

    void note(String reason, String remedy) {
        problems.add(problem(reason, remedy));
    }

    /** Something about this place, with its line. */
    PackProblem problem(String reason, String remedy) {
        return document.problem(path, reason, remedy);
    }
}
