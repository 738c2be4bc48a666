package bricksignal.server.overlay;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The overlays. */
interface Overlays extends JpaRepository<BoardOverlay, java.util.UUID> {

    java.util.Optional<BoardOverlay> findByName(String name);

    /** Whoever saves an overlay of that name waits for whoever does so already. */
    @Query(value = "select 1 from (select pg_advisory_xact_lock(hashtext(:name))) held", nativeQuery = true)
    int hold(String name);
}
