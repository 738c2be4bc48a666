package bricksignal.casework.entry;

import org.jspecify.annotations.Nullable;

/**
 * An entry with what stands on its outside.
 *
 * @param id made by the device; the same id again is the same entry, never a second one
 * @param madeAt when it was made by the device's clock, milliseconds since 1970
 * @param supersedes the entry that it takes back, corrects or replaces, by id
 * @param entry what it says
 */
public record Filed(String id, long madeAt, @Nullable String supersedes, Entry entry) {

    /** The same with another content. */
    public Filed with(Entry other) {
        return new Filed(id, madeAt, supersedes, other);
    }
}
