package bricksignal.server.ownpack;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The versions of all packs of the company. */
interface OwnPackVersions extends JpaRepository<OwnPackVersion, UUID> {

    List<OwnPackVersion> findByPackOrderByVersionDesc(String pack);
}
