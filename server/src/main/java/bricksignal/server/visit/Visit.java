package bricksignal.server.visit;

import bricksignal.casework.page.Details;
import bricksignal.server.account.Account;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.site.SiteUnit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.jspecify.annotations.Nullable;

/** One visit to one unit. */
@Entity
@Table(name = "visit")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class Visit {

    /** How a visit ended. */
    public enum Outcome {
        FIXED,
        /** A new unit is set up, runs, and was handed over. */
        COMMISSIONED,
        /** It runs, and what it still has was said. */
        LEFT_RUNNING,
        /** It is off and cannot hurt anybody. */
        MADE_SAFE,
        /** Shut off and tagged, and the occupant told: something about it can hurt somebody. */
        SHUT_OFF,
        PART_ORDERED,
        LEFT_AS_FOUND
    }

    @Id
    private UUID id;
    @Generated
    @Column(insertable = false, updatable = false)
    private @Nullable Long number;
    @ManyToOne(optional = false, fetch = FetchType.LAZY)
    @JoinColumn(name = "unit_id")
    private SiteUnit unit;
    @ManyToOne(optional = false, fetch = FetchType.LAZY)
    @JoinColumn(name = "technician_id")
    private Account technician;
    private String complaint;
    @Column(name = "scheduled_on")
    private LocalDate scheduledOn;
    @Column(name = "scheduled_at")
    private @Nullable LocalTime scheduledAt;
    @Column(name = "opened_at")
    private @Nullable Instant openedAt;
    @Column(name = "closed_at")
    private @Nullable Instant closedAt;
    @Enumerated(EnumType.STRING)
    private @Nullable Outcome outcome;
    private @Nullable String decided;
    private @Nullable String verdict;
    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "overlay_version_id")
    private @Nullable OverlayVersion overlayVersion;
    @Column(name = "pack_digest")
    private @Nullable String packDigest;
    private @Nullable Boolean proven;
    private String repaired = "";
    @Column(name = "board_changed")
    private boolean boardChanged;
    private int skipped;
    private String allowed = "";
    @Column(name = "book_minutes")
    private @Nullable Double bookMinutes;
    @Column(name = "parts_cost")
    private @Nullable Double partsCost;
    @Enumerated(EnumType.STRING)
    @Column(name = "shop_test")
    private @Nullable ShopTest shopTest;

    /** What a shop finds of a board that was changed. */
    public enum ShopTest { SOUND, BAD }

    @Column(name = "file_digest")
    private @Nullable String fileDigest;

    protected Visit() {
    }

    public Visit(UUID id, SiteUnit unit, Account technician, String complaint, LocalDate scheduledOn) {
        this.id = id;
        this.unit = unit;
        this.technician = technician;
        this.complaint = complaint;
        this.scheduledOn = scheduledOn;
    }

    /** When on its day it is wanted; null where that was not said. */
    public void plan(@Nullable LocalTime at) {
        this.scheduledAt = at;
    }

    /** The first entry opens a visit; from then on it is read with the pack it was opened with. */
    public void open(Instant when, String digest) {
        if (openedAt == null) {
            openedAt = when;
        }
        if (packDigest == null) {
            packDigest = digest;
        }
    }

    /** Goes over to another text of the pack. */
    public void goOver(String digest) {
        packDigest = digest;
    }

    /** Closes the visit, with the pack and the board as they were known then. */
    public void close(Instant when, Outcome how, String whatWasDecided, String lastVerdict, String digest,
            @Nullable OverlayVersion lastBoard) {
        overlayVersion = lastBoard;
        open(when, digest);
        packDigest = digest;
        closedAt = when;
        outcome = how;
        decided = whatWasDecided;
        verdict = lastVerdict;
    }

    /**
     * What it came to, for the lead.
     *
     * @param allowedByALead boards changed or ordered without proof, by whose leave, in words; empty where none was
     */
    public void concluded(Details.Concluded concluded, String allowedByALead) {
        allowed = allowedByALead;
        proven = concluded.proven();
        repaired = String.join(",", concluded.repaired());
        boardChanged = concluded.board();
        skipped = concluded.skipped();
        bookMinutes = concluded.bookMinutes();
        partsCost = concluded.partsCost();
    }

    /** Says that it was taken in from a file. */
    void broughtBy(String digest) {
        fileDigest = digest;
    }

    /** What the file said that it was taken in from, by digest; null where it was made here. */
    public @Nullable String fileDigest() {
        return fileDigest;
    }

    /** True if a board was changed on it. */
    public boolean boardChanged() {
        return boardChanged;
    }

    /** What a shop found of the board that was changed. */
    public void tested(ShopTest found) {
        shopTest = found;
    }

    /** Opens a closed visit again. */
    public void reopen() {
        closedAt = null;
        outcome = null;
        overlayVersion = null;
    }

    public UUID id() {
        return id;
    }

    public long number() {
        return number == null ? 0 : number;
    }

    public SiteUnit unit() {
        return unit;
    }

    public Account technician() {
        return technician;
    }

    public String complaint() {
        return complaint;
    }

    public @Nullable LocalTime scheduledAt() {
        return scheduledAt;
    }

    public LocalDate scheduledOn() {
        return scheduledOn;
    }

    public @Nullable Instant openedAt() {
        return openedAt;
    }

    public @Nullable Instant closedAt() {
        return closedAt;
    }

    public boolean closed() {
        return closedAt != null;
    }

    public @Nullable Outcome outcome() {
        return outcome;
    }

    public @Nullable String decided() {
        return decided;
    }

    /** The board's overlay as it stood when the visit was closed. */
    public @Nullable OverlayVersion overlayVersion() {
        return overlayVersion;
    }

    /** The text of the pack that it is read with, by digest; null before it is opened. */
    public @Nullable String packDigest() {
        return packDigest;
    }

    /** The verdict as it stood when the visit was closed. */
    public @Nullable String verdict() {
        return verdict;
    }
}
