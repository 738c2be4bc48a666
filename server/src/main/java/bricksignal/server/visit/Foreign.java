package bricksignal.server.visit;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A visit that was written elsewhere.
 *
 * @param file names what the file says
 * @param family the pack of its unit
 * @param technician the login of who was there
 * @param text the text of the family that it was read with
 * @param board the version of its board, or null
 */
public record Foreign(String file, UUID id, UUID unit, String family, String technician, String complaint, LocalDate scheduledOn, @Nullable LocalTime scheduledAt, @Nullable Instant openedAt,
        @Nullable End end, String text, @Nullable UUID board, List<Logged> entries, List<Event> events) {

    public Foreign {
        entries = List.copyOf(entries);
        events = List.copyOf(events);
    }

    /** How a visit ended. */
    public record End(Instant at, Visit.Outcome outcome, String decided, String verdict) {
    }

    /** When it was closed, opened again, or went over to another pack. */
    public record Event(VisitEvent.Kind kind, Instant at, String note) {
    }

    /** One entry of its log, as it was stored, and the login of who made it. */
    public record Logged(UUID id, Instant madeAt, int format, @Nullable UUID supersedes, String kind, String content, String by) {
    }
}
