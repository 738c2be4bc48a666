package bricksignal.server.quote;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** What was offered to a customer. Never changed, never removed. */
@Entity
@Table(name = "quote")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
class Quote {

    @Id
    private UUID id;
    @Generated
    @Column(insertable = false, updatable = false)
    private @Nullable Long number;
    @Column(name = "visit_id")
    private UUID visitId;
    @Column(name = "account_id")
    private UUID accountId;
    @Column(name = "made_at")
    private Instant madeAt;
    private String content;

    protected Quote() {
    }

    Quote(UUID visitId, UUID accountId, Instant madeAt, String content) {
        this.id = UUID.randomUUID();
        this.visitId = visitId;
        this.accountId = accountId;
        this.madeAt = madeAt;
        this.content = content;
    }

    UUID id() {
        return id;
    }

    long number() {
        return number == null ? 0 : number;
    }

    UUID visitId() {
        return visitId;
    }

    Instant madeAt() {
        return madeAt;
    }

    /** What was offered. */
    Offer offer(JsonMapper json) {
        return json.readValue(content, Offer.class);
    }
}
