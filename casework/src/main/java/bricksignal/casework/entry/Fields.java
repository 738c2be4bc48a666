package bricksignal.casework.entry;

import bricksignal.core.words.Digits;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The fields of an entry as any JSON library gives them: maps, lists, texts, numbers, truth values. Everything is bounded. */
final class Fields {

    static final int LONGEST_NAME = 200;
    static final int LONGEST_TEXT = 4000;

    private final String path;
    private final Map<?, ?> map;

    Fields(String path, Map<?, ?> map) {
        this.path = path;
        this.map = map;
    }

    /** Refuses fields that the kind does not have: a misspelt one would be lost silently. */
    void only(String... known) {
        Set<String> unknown = new TreeSet<>();
        map.keySet().forEach(key -> unknown.add(String.valueOf(key)));
        unknown.removeAll(Set.of(known));
        if (!unknown.isEmpty()) {
            String first = unknown.iterator().next();
            throw refused(first, "entry.unknown-field", Message.said(shortened(first)));
        }
    }

    boolean has(String field) {
        return map.get(field) != null;
    }

    /** A name out of the unit: one line. */
    String name(String field) {
        return text(field, LONGEST_NAME);
    }

    /** The same, or null where it is left out. */
    @Nullable String nameOrNull(String field) {
        return has(field) ? name(field) : null;
    }

    /** Words of a person. */
    String words(String field) {
        return text(field, LONGEST_TEXT);
    }

    private String text(String field, int longest) {
        if (!(map.get(field) instanceof String text)) {
            throw map.get(field) == null ? missing(field) : refused(field, "entry.not-text");
        }
        if (text.isBlank()) {
            throw missing(field);
        }
        if (text.length() > longest) {
            throw refused(field, "entry.too-long", new Message.Number(text.length()), new Message.Number(longest));
        }
        if (text.chars().anyMatch(c -> c < ' ' && c != '\n' && c != '\t' && c != '\r' || c == 0x7f)) {
            throw refused(field, "entry.control-character");
        }
        return text;
    }

    boolean truth(String field) {
        if (!(map.get(field) instanceof Boolean truth)) {
            throw map.get(field) == null ? refused(field, "entry.yes-or-no") : refused(field, "entry.not-yes-or-no");
        }
        return truth;
    }

    /** One of some names. */
    <E extends Enum<E>> E oneOf(String field, E[] known) {
        String name = name(field);
        return Arrays.stream(known).filter(one -> one.name().equals(name)).findFirst().orElseThrow(() -> refused(field, "entry.not-one-of",
                Message.said(shortened(name)), Message.said(Arrays.stream(known).map(Enum::name).collect(Collectors.joining(", ")))));
    }

    double number(String field, double least, double most) {
        Object value = map.get(field);
        if (value == null) {
            throw missing(field);
        }
        double number = number(field, value);
        if (!(number >= least && number <= most)) {
            throw refused(field, "entry.out-of-range", new Message.Number(number), new Message.Number(least),
                    new Message.Number(most));
        }
        return number;
    }

    /** Numbers; an empty list where it is left out. */
    List<Double> numbers(String field, int most) {
        return list(field, most, value -> number(field, value));
    }

    /** Short texts; an empty list where it is left out. */
    List<String> names(String field, int most) {
        return list(field, most, value -> {
            if (value instanceof String text && text.length() <= LONGEST_NAME) {
                return text;
            }
            throw refused(field, "entry.not-text");
        });
    }

    /** A list of things that have fields of their own. */
    <T> List<T> each(String field, int most, Function<Fields, T> read) {
        return list(field, most, value -> read.apply(fields(field, value)));
    }

    <T> List<T> list(String field, int most, Function<Object, T> read) {
        Object value = map.get(field);
        if (value == null) {
            return List.of();
        }
        if (!(value instanceof List<?> list)) {
            throw refused(field, "entry.not-a-list");
        }
        if (list.size() > most) {
            throw refused(field, "entry.too-many", new Message.Number(list.size()), new Message.Number(most));
        }
        List<T> items = new ArrayList<>(list.size());
        for (Object item : list) {
            if (item == null) {
                throw refused(field, "entry.gap");
            }
            items.add(read.apply(item));
        }
        return items;
    }

    Fields fields(String field) {
        Object value = map.get(field);
        if (value == null) {
            throw missing(field);
        }
        return fields(field, value);
    }

    private Fields fields(String field, Object value) {
        if (value instanceof Map<?, ?> inner) {
            return new Fields(path + field + ".", inner);
        }
        throw refused(field, "entry.not-fields");
    }

    /** What a part of the model makes of a field; what it refuses is told beside the field. */
    <T> T made(String field, Supplier<T> action) {
        return Refused.beside(path + field, action);
    }

    Refused refused(String field, String key, Message... parts) {
        Message[] all = new Message[parts.length + 1];
        all[0] = Message.said(path + field);
        System.arraycopy(parts, 0, all, 1, parts.length);
        return new Refused(path + field, Message.of(key, all));
    }

    private Refused missing(String field) {
        return refused(field, "entry.missing");
    }

    private double number(String field, Object value) {
        if (value instanceof Number number && Double.isFinite(number.doubleValue())) {
            return number.doubleValue();
        }
        throw refused(field, "entry.not-a-number", Message.said(shortened(value instanceof Double d ? Digits.of(d)
                : String.valueOf(value))));
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
