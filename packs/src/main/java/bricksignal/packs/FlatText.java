package bricksignal.packs;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * A document as YAML text in the way that packs are written: an entry on a line, the logic of boards and the physics in blocks.
 * Read again it is the same document.
 */
final class FlatText {

    /** What stands in a block of its own; everything deeper stands on one line. */
    private static final Pattern BLOCKS = Pattern.compile("/[^/]+|/(process|scenarios|settings|charts)/[^/]+"
            + "|/boards/[^/]+(/inputs|/regions(/[^/]+(/[^/]+)?)?)?");
    /** Lists of which each item stands on its line, where there is more than one. */
    private static final Pattern LISTED = Pattern.compile(".*/(next|moves)|/calls");
    private static final Pattern PLAIN = Pattern.compile("[\\p{L}_/(][^#\\p{Cntrl}:{}\\[\\],\"'&*!|>%@`]*|[0-9][0-9 ]*[\\p{L}*/+(-][^#\\p{Cntrl}:{}\\[\\],\"'&!|%@`]*"
            + "|[\\p{L}_(][^#\\p{Cntrl}:{}\\[\\],\"'&!|%@`]*");
    private static final Pattern WORDS = Pattern.compile("(?i)true|false|null|yes|no|on|off|\\.inf|\\.nan|[0-9][0-9_]*[eExX][-+0-9a-fA-F]*");
    private static final int LONG = 110;

    private final StringBuilder text = new StringBuilder();

    private FlatText() {
    }

    /** The text of a document. */
    static String of(JsonNode root) {
        FlatText flat = new FlatText();
        root.properties().forEach(e -> flat.entry("/" + Section.escaped(e.getKey()), e.getKey(), e.getValue(), 0));
        return flat.text.toString();
    }

    private void entry(String path, String key, JsonNode node, int indent) {
        text.append(" ".repeat(indent)).append(scalar(key)).append(":");
        if (node.isObject() && !node.isEmpty() && BLOCKS.matcher(path).matches() && !(indent == 0 && small(node))) {
            text.append('\n');
            node.properties().forEach(e -> entry(path + "/" + Section.escaped(e.getKey()), e.getKey(), e.getValue(), indent + 2));
        } else if (node.isArray() && node.size() > 1 && LISTED.matcher(path).matches()) {
            text.append('\n');
            node.forEach(item -> text.append(" ".repeat(indent + 2)).append("- ").append(flow(item)).append('\n'));
        } else {
            text.append(' ').append(flow(node)).append('\n');
        }
    }

    /** What has nothing deeper in it and fits on a line. */
    private static boolean small(JsonNode node) {
        return node.properties().stream().noneMatch(e -> e.getValue().isContainer()) && flow(node).length() < LONG;
    }

    private static String flow(JsonNode node) {
        if (node.isObject()) {
            List<String> entries = new ArrayList<>();
            for (Map.Entry<String, JsonNode> e : node.properties()) {
                entries.add(scalar(e.getKey()) + ": " + flow(e.getValue()));
            }
            return "{" + String.join(", ", entries) + "}";
        }
        if (node.isArray()) {
            List<String> items = new ArrayList<>();
            node.forEach(item -> items.add(flow(item)));
            return "[" + String.join(", ", items) + "]";
        }
        return node.isNumber() ? new BigDecimal(node.asString()).stripTrailingZeros().toPlainString() : node.isString() ? scalar(node.asString()) : node.asString();
    }

    /** Plain where that is read as the same text, quoted as JSON quotes it otherwise. */
    private static String scalar(String said) {
        boolean plain = PLAIN.matcher(said).matches() && !WORDS.matcher(said).matches() && said.equals(said.strip());
        return plain ? said : "\"" + said.replace("\\", "\\\\").replace("\"", "\\\"").replace("\n", "\\n").replace("\t", "\\t") + "\"";
    }
}
