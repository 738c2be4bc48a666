package bricksignal.server.overlay;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The versions of all overlays. */
public interface OverlayVersions extends JpaRepository<OverlayVersion, UUID> {

    String WITH_OVERLAY = "select v from OverlayVersion v join fetch v.overlay o ";
    String NEWEST = "v.version = (select max(w.version) from OverlayVersion w where w.overlay = o)";

    @Query(WITH_OVERLAY + "where " + NEWEST + " order by o.name")
    List<OverlayVersion> newest();

    @Query(WITH_OVERLAY + "where o.name = :name and " + NEWEST)
    Optional<OverlayVersion> newestOf(String name);

    @Query(WITH_OVERLAY + "where o.id = :overlay and " + NEWEST)
    Optional<OverlayVersion> newestOf(UUID overlay);

    /** True if this person made one of a board's versions. */
    @Query("select count(v) > 0 from OverlayVersion v where v.overlay.id = :overlay and v.madeBy = :account")
    boolean madeBy(UUID overlay, UUID account);

    @Query(WITH_OVERLAY + "where o.name = :name order by v.version desc")
    List<OverlayVersion> allOf(String name);
}
