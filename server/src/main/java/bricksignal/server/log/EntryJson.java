package bricksignal.server.log;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.entry.Filed;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Entries as JSON: the only place where their maps become text and back. */
@Component
public class EntryJson {

    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {
    };

    private final JsonMapper json;

    EntryJson(JsonMapper json) {
        this.json = json;
    }

    /** What an entry says, as it is stored. */
    public String text(Entry entry) {
        return json.writeValueAsString(EntryFormat.write(entry));
    }

    /** An entry as it is stored. */
    public Evidence written(Filed filed, UUID visit, UUID account) {
        String supersedes = filed.supersedes();
        return new Evidence(UUID.fromString(filed.id()), visit, account, EntryFormat.kind(filed.entry()), EntryFormat.VERSION,
                text(filed.entry()), supersedes == null ? null : UUID.fromString(supersedes),
                java.time.Instant.ofEpochMilli(filed.madeAt()));
    }

    /** A stored entry; what is not understood any more says so. */
    public Filed read(Evidence evidence) {
        UUID supersedes = evidence.supersedes();
        return new Filed(evidence.id().toString(), evidence.madeAt().toEpochMilli(),
                supersedes == null ? null : supersedes.toString(), entry(evidence));
    }

    /** A recording as it is stored beside its entry, or null where the entry is none. */
    public @Nullable String recording(Entry entry) {
        return entry instanceof Entry.Film film ? json.writeValueAsString(EntryFormat.trace(film.trace())) : null;
    }

    private Entry entry(Evidence evidence) {
        try {
            return EntryFormat.stored(evidence.format(), json.readValue(evidence.content(), FIELDS), evidence.content());
        } catch (JacksonException notJson) {
            return new Entry.Unread("?", evidence.content(), String.valueOf(notJson.getOriginalMessage()));
        }
    }
}
