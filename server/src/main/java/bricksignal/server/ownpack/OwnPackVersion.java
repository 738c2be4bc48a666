package bricksignal.server.ownpack;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** One version of a pack of the company, as its author wrote it. Never changed. */
@Entity
@Immutable
@Table(name = "own_pack_version")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
class OwnPackVersion {

    @Id
    private UUID id;
    private String pack;
    private int version;
    private String title;
    private String content;
    @Column(name = "made_by")
    private UUID madeBy;
    @Column(name = "made_at")
    private Instant madeAt;

    protected OwnPackVersion() {
    }

    OwnPackVersion(UUID id, String pack, int version, String title, String content, UUID madeBy, Instant madeAt) {
        this.id = id;
        this.pack = pack;
        this.version = version;
        this.title = title;
        this.content = content;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    int version() {
        return version;
    }

    String title() {
        return title;
    }

    String content() {
        return content;
    }

    Instant madeAt() {
        return madeAt;
    }
}
