package bricksignal.server.log;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** One entry of a visit's log. Never changed, never removed. */
@Entity
@Immutable
@Table(name = "evidence")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class Evidence {

    @Id
    private UUID id;
    @Column(insertable = false, updatable = false)
    private @Nullable Long place;
    @Column(name = "visit_id")
    private UUID visitId;
    @Column(name = "account_id")
    private UUID accountId;
    private String kind;
    private int format;
    private String content;
    private @Nullable UUID supersedes;
    @Column(name = "made_at")
    private Instant madeAt;

    protected Evidence() {
    }

    public Evidence(UUID id, UUID visitId, UUID accountId, String kind, int format, String content, @Nullable UUID supersedes,
            Instant madeAt) {
        this.id = id;
        this.visitId = visitId;
        this.accountId = accountId;
        this.kind = kind;
        this.format = format;
        this.content = content;
        this.supersedes = supersedes;
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    /** Where it stands among all entries, in the order received; 0 before it is stored. */
    public long place() {
        return place == null ? 0 : place;
    }

    public UUID visitId() {
        return visitId;
    }

    /** Who made it, by account. */
    public UUID accountId() {
        return accountId;
    }

    public String kind() {
        return kind;
    }

    /** The format of its content. */
    public int format() {
        return format;
    }

    /** What it says, as JSON. */
    public String content() {
        return content;
    }

    /** The entry that this one takes back, corrects or replaces. */
    public @Nullable UUID supersedes() {
        return supersedes;
    }

    public Instant madeAt() {
        return madeAt;
    }
}
