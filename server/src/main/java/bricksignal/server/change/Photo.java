package bricksignal.server.change;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A photograph of a visit, as JPEG without anything of the camera's own data. */
@Entity
@Table(name = "photo")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
class Photo {

    @Id
    private UUID id;
    @Column(name = "visit_id")
    private UUID visitId;
    @Column(name = "account_id")
    private UUID accountId;
    @Column(name = "made_at")
    private Instant madeAt;
    private String label;
    @Column(name = "on_report")
    private boolean onReport;
    private int width;
    private int height;
    private byte[] content;

    protected Photo() {
    }

    Photo(UUID id, UUID visitId, UUID accountId, Instant madeAt, String label, Picture picture) {
        this.id = id;
        this.visitId = visitId;
        this.accountId = accountId;
        this.madeAt = madeAt;
        this.label = label;
        this.onReport = true;
        this.width = picture.width();
        this.height = picture.height();
        this.content = picture.jpeg();
    }

    UUID id() {
        return id;
    }

    UUID visitId() {
        return visitId;
    }

    Instant madeAt() {
        return madeAt;
    }

    String label() {
        return label;
    }

    boolean onReport() {
        return onReport;
    }

    void setOnReport(boolean wanted) {
        onReport = wanted;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    byte[] content() {
        return content.clone();
    }
}
