package bricksignal.server.visit;

import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.entry.Filed;
import bricksignal.server.problem.BadInput;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An entry as a client sends it: its id, when it was made, what it supersedes, and the fields of its kind. */
final class EntryRequest {

    private EntryRequest() {
    }

    /**
     * Reads it.
     *
     * @throws BadInput if its outside makes no sense
     * @throws bricksignal.casework.entry.Refused if its inside makes none
     */
    static Filed read(Map<String, Object> body) {
        Map<String, Object> content = new LinkedHashMap<>(body);
        String id = id("id", content.remove("id"));
        Object supersedes = content.remove("supersedes");
        long madeAt = madeAt(content.remove("madeAt"));
        content.values().removeIf(java.util.Objects::isNull);
        return new Filed(id, madeAt, supersedes == null ? null : id("supersedes", supersedes), EntryFormat.read(content));
    }

    private static String id(String field, @Nullable Object value) {
        if (value instanceof String text && text.length() == 36) {
            try {
                return UUID.fromString(text).toString();
            } catch (IllegalArgumentException notAnId) {
                // told below
            }
        }
        throw new BadInput(field, "'" + field + "' must be an id such as 0f8fad5b-d9cb-469f-a165-70867728950e.");
    }

    private static long madeAt(@Nullable Object value) {
        if (value instanceof Number number && number.doubleValue() >= VisitDays.FIRST_MOMENT.toEpochMilli() && number.doubleValue() <= VisitDays.LAST_MOMENT.toEpochMilli()) {
            return number.longValue();
        }
        throw new BadInput("madeAt", "'madeAt' must be milliseconds since 1970, between the years 2000 and 2200. Check the clock of "
                + "this device.");
    }
}
