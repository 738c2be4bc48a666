package bricksignal.server.visit;

import bricksignal.server.account.Account;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** That a visit was closed, opened again, went over to a newer pack, that its board was tested in the shop, or that it was taken in from a file: by whom, when, and how it stood. Never changed. */
@Entity
@Immutable
@Table(name = "visit_event")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class VisitEvent {

    /** What happened. */
    public enum Kind { CLOSED, REOPENED, PACK_CHANGED, CHANGED_AFTER, SHOP_TEST, BROUGHT }

    @Id
    private UUID id;
    @Column(name = "visit_id")
    private UUID visitId;
    @Column(name = "account_id")
    private UUID accountId;
    @Enumerated(EnumType.STRING)
    private Kind kind;
    private Instant at;
    private String note;
    @Column(name = "of_file")
    private boolean ofFile;

    protected VisitEvent() {
    }

    static VisitEvent of(Visit visit, Account account, Kind kind, Instant at, String note) {
        VisitEvent event = new VisitEvent();
        event.id = UUID.randomUUID();
        event.visitId = visit.id();
        event.accountId = account.id();
        event.kind = kind;
        event.at = at;
        event.note = note;
        return event;
    }

    /** The same as a file from elsewhere tells it. */
    static VisitEvent ofFile(Visit visit, Account account, Kind kind, Instant at, String note) {
        VisitEvent event = of(visit, account, kind, at, note);
        event.ofFile = true;
        return event;
    }

    /** True where a file from elsewhere says so, and nobody here saw it. */
    public boolean ofFile() {
        return ofFile;
    }

    public Kind kind() {
        return kind;
    }

    public Instant at() {
        return at;
    }

    public String note() {
        return note;
    }
}
