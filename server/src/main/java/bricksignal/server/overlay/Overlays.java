package bricksignal.server.overlay;

import org.springframework.data.jpa.repository.JpaRepository;

/** The overlays. */
interface Overlays extends JpaRepository<BoardOverlay, java.util.UUID> {

    java.util.Optional<BoardOverlay> findByName(String name);
}
