package bricksignal.server.log;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** One entry of a visit's log. Never changed, never removed. */
@Entity
@Immutable
@Table(name = "evidence")
public class Evidence implements Persistable<UUID> {

    /** What kind of entry. A temporary change is put in and later taken out; both stay in the log. */
    public enum Kind {
        TAPS, TRACE, PATTERN, RESET, READING, ANSWER, EVENT, NOT_SEEN, TWIN, REPAIRED, NOTE, CHANGE_IN, CHANGE_OUT, TAKE_BACK
    }

    @Id
    private UUID id;
    @Column(insertable = false, updatable = false)
    private @Nullable Long place;
    @Column(name = "visit_id")
    private UUID visitId;
    @Column(name = "account_id")
    private UUID accountId;
    @Enumerated(EnumType.STRING)
    private Kind kind;
    private String content;
    private @Nullable UUID supersedes;
    @Column(name = "made_at")
    private Instant madeAt;

    protected Evidence() {
    }

    public Evidence(UUID id, UUID visitId, UUID accountId, Kind kind, String content, @Nullable UUID supersedes,
            Instant madeAt) {
        this.id = id;
        this.visitId = visitId;
        this.accountId = accountId;
        this.kind = kind;
        this.content = content;
        this.supersedes = supersedes;
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    public UUID visitId() {
        return visitId;
    }

    public Kind kind() {
        return kind;
    }

    /** The entry as it was sent, as JSON of {@link Entry}. */
    public String content() {
        return content;
    }

    /** The entry that this one takes back or replaces. */
    public @Nullable UUID supersedes() {
        return supersedes;
    }

    public Instant madeAt() {
        return madeAt;
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** Always new: entries are inserted, and an id that is there already is looked up before. */
    @Override
    public boolean isNew() {
        return place == null;
    }
}
