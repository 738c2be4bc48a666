package bricksignal.server.log;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The append-only logs of all visits. */
public interface EvidenceLog extends JpaRepository<Evidence, UUID> {

    @Query("select e from Evidence e where e.visitId = :visit order by e.place")
    List<Evidence> of(UUID visit);
}
