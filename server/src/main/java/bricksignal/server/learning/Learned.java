package bricksignal.server.learning;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** What was counted at some time; nothing of it is changed or deleted. */
@Entity
@SuppressWarnings("UnusedVariable") // columns that only the database reads
class Learned {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private long number;
    @Column(name = "made_at")
    private Instant madeAt;
    @Column(name = "account_id")
    private UUID accountId;
    private String counts;
    @Column(name = "in_use")
    private boolean inUse;

    protected Learned() {
        madeAt = Instant.EPOCH;
        accountId = new UUID(0, 0);
        counts = "";
    }

    Learned(UUID account, Instant madeAt, String counts) {
        this.madeAt = madeAt;
        this.accountId = account;
        this.counts = counts;
    }

    long number() {
        return number;
    }

    Instant madeAt() {
        return madeAt;
    }

    /** Visits by part by family, as JSON. */
    String counts() {
        return counts;
    }

    boolean inUse() {
        return inUse;
    }

    void use(boolean now) {
        inUse = now;
    }
}
