package bricksignal.server.visit;

import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.log.Evidence;
import bricksignal.server.log.EvidenceLog;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.overlay.OverlayVersions;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes in visits that were written elsewhere, whole or not at all. */
@Component
public class VisitImport {

    private final Visits visits;
    private final VisitEvents events;
    private final EvidenceLog log;
    private final SiteUnits units;
    private final OverlayVersions overlays;
    private final Accounts accounts;
    private final SessionAccounts sessions;
    private final Packs packs;

    VisitImport(Visits visits, VisitEvents events, EvidenceLog log, SiteUnits units, OverlayVersions overlays, Accounts accounts,
            SessionAccounts sessions, Packs packs) {
        this.visits = visits;
        this.events = events;
        this.log = log;
        this.units = units;
        this.overlays = overlays;
        this.accounts = accounts;
        this.sessions = sessions;
        this.packs = packs;
    }

    /** How a visit ended. */
    public record End(Instant at, Visit.Outcome outcome, String decided, String verdict) {
    }

    /** When it was closed, opened again, or went over to another pack. */
    public record Event(VisitEvent.Kind kind, Instant at, String note) {
    }

    /** One entry of its log, as it was stored. */
    public record Logged(UUID id, Instant madeAt, int format, @Nullable UUID supersedes, String kind, String content) {
    }

    /**
     * A visit from elsewhere.
     *
     * @param technician the login of who was there; where nobody here has it, it becomes a visit of whoever takes it in
     * @param family the pack of its unit
     * @param text the text of the family that it was read with
     * @param board the version of its board, or null
     */
    public record Foreign(UUID id, UUID unit, String family, String technician, String complaint, LocalDate scheduledOn, @Nullable Instant openedAt,
            @Nullable End end, String text, @Nullable UUID board, List<Logged> entries, List<Event> events) {
    }

    /**
     * Takes one in; the same one again changes nothing.
     *
     * @throws BadInput if it names a unit or a board that is not here
     * @throws Conflict if another visit has its id, or another visit's log has one of its entries
     */
    @Transactional
    public void takeIn(String login, Foreign from) {
        if (visits.existsById(from.id())) {
            mustBeTheSame(from);
            return;
        }
        Account account = accounts.findByLogin(from.technician()).orElseGet(() -> sessions.of(login));
        Visit visit = new Visit(from.id(), unit(from), account, from.complaint(), from.scheduledOn());
        String digest = packs.keep(from.family(), from.text());
        Instant opened = from.openedAt();
        if (opened != null) {
            visit.open(opened, digest);
        }
        End end = from.end();
        if (end != null) {
            visit.close(end.at(), end.outcome(), end.decided(), end.verdict(), digest, board(from));
        }
        visits.saveAndFlush(visit);
        long place = 0;
        for (Logged entry : from.entries()) {
            place = log.add(new Evidence(entry.id(), from.id(), account.id(), entry.kind(), entry.format(), entry.content(), entry.supersedes(),
                    entry.madeAt()), place, account.id(), null).orElseThrow(() -> new Conflict("Entry " + entry.id()
                    + " is in the log of another visit already. Nothing was taken in."));
        }
        from.events().forEach(event -> events.save(VisitEvent.of(visit, account, event.kind(), event.at(), event.note())));
    }

    private void mustBeTheSame(Foreign from) {
        List<UUID> known = log.of(from.id(), 0).stream().map(Evidence::id).toList();
        if (!known.equals(from.entries().stream().map(Logged::id).toList())) {
            throw new Conflict("There is a visit " + from.id() + " already, with other entries. Nothing was taken in.");
        }
    }

    private SiteUnit unit(Foreign from) {
        SiteUnit unit = units.findById(from.unit()).orElseThrow(() -> new BadInput("unit", "The visit is of a unit that is not here (" + from.unit()
                + "). Make the unit first, and put its id into the file."));
        if (!unit.pack().equals(from.family())) {
            throw new BadInput("unit", "The visit is of a unit of the family '" + from.family() + "', and the unit of that id here is of '" + unit.pack()
                    + "'. Choose the file of this unit.");
        }
        return unit;
    }

    private @Nullable OverlayVersion board(Foreign from) {
        UUID board = from.board();
        return board == null ? null : overlays.findById(board).orElseThrow(() -> new BadInput("board", "The visit was closed with a version of a "
                + "board that is not here (" + board + "). Take in the board first."));
    }
}
