package bricksignal.server.site;

import bricksignal.server.overlay.BoardOverlay;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One unit on a site. */
@Entity
@Table(name = "unit")
public class SiteUnit {

    @Id
    private UUID id;
    @ManyToOne(optional = false)
    @JoinColumn(name = "site_id")
    private Site site;
    private String label;
    private String location;
    private String pack;
    @ManyToOne
    @JoinColumn(name = "overlay_id")
    private @Nullable BoardOverlay overlay;
    @Column(name = "installed_year")
    private @Nullable Integer installedYear;

    @Embedded
    private @Nullable Nameplate nameplate;

    @Column(name = "made_by")
    private @Nullable UUID madeBy;

    protected SiteUnit() {
    }

    public SiteUnit(UUID id, Site site, String label, String location, String pack) {
        this.id = id;
        this.site = site;
        this.label = label;
        this.location = location;
        this.pack = pack;
    }

    public UUID id() {
        return id;
    }

    public Site site() {
        return site;
    }

    public String label() {
        return label;
    }

    public String location() {
        return location;
    }

    /** The real board's overlay, or null where the family is used as it is. */
    public @Nullable BoardOverlay overlay() {
        return overlay;
    }

    /** Says which real board it has. */
    public void follow(@Nullable BoardOverlay board) {
        overlay = board;
    }

    /** The unit model it follows, by id. */
    public String pack() {
        return pack;
    }

    /** Says who made it. */
    void madeBy(UUID account) {
        madeBy = account;
    }

    /** Who made it, or null where nobody knows. */
    public @Nullable UUID madeBy() {
        return madeBy;
    }

    /** What stands on its nameplate, as far as it was typed. */
    public Nameplate nameplate() {
        return nameplate == null ? Nameplate.UNREAD : nameplate;
    }

    /** Says what stands on it. */
    public void nameplate(Nameplate plate) {
        nameplate = plate;
    }

    /** The year it was put in, or null where nobody said. */
    public @Nullable Integer installedYear() {
        return installedYear;
    }

    /** Says when it was put in. */
    public void installed(@Nullable Integer year) {
        installedYear = year;
    }
}
