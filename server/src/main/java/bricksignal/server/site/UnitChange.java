package bricksignal.server.site;

import bricksignal.server.account.Account;
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

/** That a unit was changed after it was made: what, by whom, when. Never changed. */
@Entity
@Immutable
@Table(name = "unit_change")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class UnitChange {

    @Id
    private UUID id;
    @Column(name = "unit_id")
    private UUID unitId;
    @ManyToOne(optional = false, fetch = FetchType.LAZY)
    @JoinColumn(name = "account_id")
    private Account account;
    private Instant at;
    private String what;

    protected UnitChange() {
    }

    UnitChange(UUID unit, Account account, Instant at, String what) {
        this.id = UUID.randomUUID();
        this.unitId = unit;
        this.account = account;
        this.at = at;
        this.what = what;
    }

    /** By whom, as people call them. */
    public String by() {
        return account.name();
    }

    public Instant at() {
        return at;
    }

    /** What became what, in words. */
    public String what() {
        return what;
    }
}
