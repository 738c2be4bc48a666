package bricksignal.server.overlay;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** One version of a board's overlay, as YAML. Never changed. */
@Entity
@Immutable
@Table(name = "overlay_version")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class OverlayVersion {

    @Id
    private UUID id;
    @ManyToOne(optional = false, fetch = FetchType.LAZY)
    @JoinColumn(name = "overlay_id")
    private BoardOverlay overlay;
    private int version;
    private String title;
    private String content;
    @Column(name = "made_by")
    private UUID madeBy;
    @Column(name = "made_at")
    private Instant madeAt;

    protected OverlayVersion() {
    }

    public OverlayVersion(UUID id, BoardOverlay overlay, int version, String title, String content, UUID madeBy, Instant madeAt) {
        this.id = id;
        this.overlay = overlay;
        this.version = version;
        this.title = title;
        this.content = content;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    public BoardOverlay overlay() {
        return overlay;
    }

    public int version() {
        return version;
    }

    public String title() {
        return title;
    }

    /** The YAML text. */
    public String content() {
        return content;
    }

    /** By account. */
    public UUID madeBy() {
        return madeBy;
    }

    public Instant madeAt() {
        return madeAt;
    }
}
