package bricksignal.server.visit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What happened to visits beside their logs. */
interface VisitEvents extends JpaRepository<VisitEvent, UUID> {

    List<VisitEvent> findByVisitIdOrderByAt(UUID visit);
}
