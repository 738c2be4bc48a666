package bricksignal.server.paper;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A paper as a file. It belongs to one unit, or to all that have one kind of board. */
@Entity
@Table(name = "paper")
class Paper {

    @Id
    private UUID id;
    @Column(name = "unit_id")
    private @Nullable UUID unitId;
    @Column(name = "overlay_id")
    private @Nullable UUID overlayId;
    @Column(name = "account_id")
    private UUID accountId;
    @Column(name = "made_at")
    private Instant madeAt;
    private String title;
    private @Nullable String part;
    private @Nullable Integer page;
    private int pages;
    private String type;
    private byte[] content;

    protected Paper() {
    }

    Paper(UUID id, PaperAbout about, UUID accountId, Instant madeAt, PaperFile file) {
        this.id = id;
        this.unitId = about.unit();
        this.overlayId = about.overlay();
        this.accountId = accountId;
        this.madeAt = madeAt;
        this.title = about.title();
        this.part = about.part();
        this.page = about.page();
        this.pages = file.pages();
        this.type = file.type();
        this.content = file.content();
    }

    UUID id() {
        return id;
    }

    /** What it is about. */
    PaperAbout about() {
        return new PaperAbout(unitId, overlayId, title, part, page);
    }

    UUID accountId() {
        return accountId;
    }

    Instant madeAt() {
        return madeAt;
    }

    int pages() {
        return pages;
    }

    String type() {
        return type;
    }

    byte[] content() {
        return content.clone();
    }
}
