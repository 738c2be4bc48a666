package bricksignal.server.paper;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a paper is about.
 *
 * @param unit the unit it belongs to; null where it belongs to a kind of board
 * @param overlay the kind of board it belongs to; null where it belongs to a unit
 * @param part the part at whose tests it is shown, by id; null for a paper of the whole
 * @param page the page that is meant, from 1; null for all of it
 */
record PaperAbout(@Nullable UUID unit, @Nullable UUID overlay, String title, @Nullable String part, @Nullable Integer page) {
}
