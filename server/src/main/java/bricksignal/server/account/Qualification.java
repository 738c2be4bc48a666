package bricksignal.server.account;

import bricksignal.core.unit.Stop;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;

/** What a person may do by law or by the maker. */
@Entity
@Table(name = "qualification")
public class Qualification {

    @Id
    private UUID id;
    @Column(name = "account_id")
    private UUID accountId;
    private String licence;
    private String number;
    private String region;
    private LocalDate until;

    protected Qualification() {
    }

    public Qualification(UUID id, UUID accountId, Stop.Licence licence, String number, String region, LocalDate until) {
        this.id = id;
        this.accountId = accountId;
        this.licence = licence.name();
        this.number = number;
        this.region = region;
        this.until = until;
    }

    public UUID id() {
        return id;
    }

    public UUID accountId() {
        return accountId;
    }

    public Stop.Licence licence() {
        return Stop.Licence.valueOf(licence);
    }

    public String number() {
        return number;
    }

    public String region() {
        return region;
    }

    public LocalDate until() {
        return until;
    }

    /** True on its last day too. */
    public boolean current(LocalDate day) {
        return !day.isAfter(until);
    }
}
