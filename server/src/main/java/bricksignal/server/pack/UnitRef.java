package bricksignal.server.pack;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Which unit exactly: the text of its family, and what lies over it.
 *
 * @param digest names the text of the family
 * @param overlay the version of the overlay that lies over it, or null
 * @param yaml the overlay's text, or null
 */
public record UnitRef(String digest, @Nullable UUID overlay, @Nullable String yaml) {

    /** Names this very unit. */
    public String key() {
        return overlay == null ? digest : digest + "+" + overlay;
    }
}
