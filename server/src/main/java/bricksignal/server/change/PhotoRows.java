package bricksignal.server.change;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The photographs. */
interface PhotoRows extends JpaRepository<Photo, UUID> {

    List<Photo> findByVisitIdOrderByMadeAt(UUID visit);

    long countByVisitId(UUID visit);
}
