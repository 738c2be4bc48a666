package bricksignal.server.record;

import bricksignal.core.words.Message;
import bricksignal.server.log.Evidence;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import bricksignal.server.visit.Foreign;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.VisitEvent;
import bricksignal.server.visit.VisitImport;
import bricksignal.server.visit.VisitService;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A visit as JSON after {@code visit.schema.json}, written and taken in. */
@Component
class VisitFile {

    static final String SCHEMA = "schema/visit.schema.json";

    private static final String FORMAT = "brick-signal-visit";
    private static final int VERSION = 1;
    /** As many as one visit can hold (casework, Admission). */
    private static final int MOST_ENTRIES = 1000;
    /** Ours: a visit is closed, opened again and goes over to other packs a few times. */
    private static final int MOST_EVENTS = 200;

    private final JsonMapper json;
    private final Packs packs;
    private final VisitImport imports;
    private final Schema schema;

    VisitFile(JsonMapper json, Packs packs, VisitImport imports) {
        this.json = json;
        this.packs = packs;
        this.imports = imports;
        try (InputStream in = Objects.requireNonNull(VisitFile.class.getResourceAsStream("/" + SCHEMA), SCHEMA)) {
            this.schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    byte[] written(VisitService.Kept kept) {
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("format", FORMAT);
        document.put("version", VERSION);
        document.put("visit", visit(kept.visit()));
        document.put("unit", unit(kept));
        document.put("entries", kept.entries().stream().map(evidence -> entry(evidence, kept)).toList());
        document.put("events", kept.events().stream().map(VisitFile::event).toList());
        return json.writerWithDefaultPrettyPrinter().writeValueAsBytes(document);
    }

    private static Map<String, Object> visit(Visit visit) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("id", visit.id());
        to.put("number", visit.number());
        to.put("technician", visit.technician().login());
        to.put("technicianName", visit.technician().name());
        to.put("complaint", visit.complaint());
        to.put("scheduledOn", visit.scheduledOn().toString());
        put(to, "scheduledAt", visit.scheduledAt());
        put(to, "openedAt", visit.openedAt());
        if (visit.closed()) {
            to.put("end", Map.of("at", String.valueOf(visit.closedAt()), "outcome", String.valueOf(visit.outcome()), "decided",
                    Objects.requireNonNullElse(visit.decided(), ""), "verdict", Objects.requireNonNullElse(visit.verdict(), "")));
        }
        return to;
    }

    private Map<String, Object> unit(VisitService.Kept kept) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("id", kept.visit().unit().id());
        to.put("label", kept.visit().unit().label());
        to.put("location", kept.visit().unit().location());
        to.put("site", kept.visit().unit().site().name());
        to.put("address", kept.visit().unit().site().address());
        to.put("family", kept.visit().unit().pack());
        OverlayVersion board = kept.visit().overlayVersion();
        put(to, "board", board == null ? null : board.id());
        to.put("text", packs.text(kept.digest()).orElseThrow());
        return to;
    }

    private Map<String, Object> entry(Evidence evidence, VisitService.Kept kept) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("id", evidence.id());
        to.put("madeAt", evidence.madeAt().toString());
        to.put("entryFormat", evidence.format());
        put(to, "supersedes", evidence.supersedes());
        put(to, "by", kept.logins().get(evidence.accountId()));
        to.put("content", json.readTree(evidence.content()));
        return to;
    }

    private static Map<String, Object> event(VisitEvent event) {
        return Map.of("kind", event.kind(), "at", event.at().toString(), "note", event.note());
    }

    private static void put(Map<String, Object> to, String name, @Nullable Object value) {
        if (value != null) {
            to.put(name, value.toString());
        }
    }

    RecordController.TakenIn takenIn(String login, Map<String, Object> document) {
        Object version = document.get("version");
        if (FORMAT.equals(document.get("format")) && !Integer.valueOf(VERSION).equals(version)) {
            throw new BadInput("version", Message.of("import.version", Message.said(String.valueOf(version)), new Message.Number(VERSION)));
        }
        most(document, "entries", MOST_ENTRIES);
        most(document, "events", MOST_EVENTS);
        JsonNode read = json.valueToTree(document);
        List<Error> misfits = schema.validate(read);
        if (!misfits.isEmpty()) {
            String place = misfits.get(0).getInstanceLocation().toString();
            throw new BadInput("file", Message.of("import.no-visit", Message.said(place.isEmpty() ? "/" : place), Message.said(misfits.get(0).getMessage())));
        }
        Foreign foreign = foreign(read);
        VisitImport.Taken taken = imports.takeIn(login, foreign);
        return new RecordController.TakenIn(foreign.id(), taken.entries(), taken.closed(), taken.left());
    }

    /** Before each of them is looked at. */
    private static void most(Map<String, Object> document, String field, int most) {
        if (document.get(field) instanceof List<?> list && list.size() > most) {
            throw new BadInput(field, Message.of("import.most." + field, new Message.Number(list.size()), new Message.Number(most)));
        }
    }

    private Foreign foreign(JsonNode read) {
        JsonNode visit = read.get("visit");
        JsonNode unit = read.get("unit");
        List<Foreign.Logged> entries = new ArrayList<>();
        read.get("entries").forEach(entry -> entries.add(new Foreign.Logged(id(entry, "id"), time(entry, "madeAt"), entry.get("entryFormat").asInt(),
                entry.has("supersedes") ? id(entry, "supersedes") : null, entry.get("content").get("kind").asString(), json.writeValueAsString(
                entry.get("content")), (entry.has("by") ? entry : visit).get(entry.has("by") ? "by" : "technician").asString())));
        List<Foreign.Event> events = new ArrayList<>();
        read.get("events").forEach(event -> events.add(new Foreign.Event(VisitEvent.Kind.valueOf(event.get("kind").asString()), time(event, "at"),
                event.get("note").asString())));
        JsonNode end = visit.get("end");
        return new Foreign(Packs.digest(json.writeValueAsString(read)), id(visit, "id"), id(unit, "id"), unit.get("family").asString(), visit.get("technician").asString(),
                visit.get("complaint").asString(), day(visit, "scheduledOn"), visit.has("scheduledAt") ? LocalTime.parse(visit.get("scheduledAt").asString()) : null, visit.has("openedAt") ? time(visit, "openedAt") : null,
                end == null ? null : new Foreign.End(time(end, "at"), Visit.Outcome.valueOf(end.get("outcome").asString()),
                end.get("decided").asString(), end.get("verdict").asString()), unit.get("text").asString(), unit.has("board") ? id(unit, "board") : null,
                entries, events);
    }

    private static UUID id(JsonNode from, String field) {
        return UUID.fromString(from.get(field).asString());
    }

    private static LocalDate day(JsonNode from, String field) {
        try {
            return LocalDate.parse(from.get(field).asString());
        } catch (java.time.format.DateTimeParseException notADay) {
            throw new BadInput(field, Message.of("import.no-day", Message.said(from.get(field).asString())));
        }
    }

    private static Instant time(JsonNode from, String field) {
        try {
            return Instant.parse(from.get(field).asString());
        } catch (java.time.format.DateTimeParseException notATime) {
            throw new BadInput(field, Message.of("import.no-time", Message.said(from.get(field).asString())));
        }
    }
}
