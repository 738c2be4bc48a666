package bricksignal.server.site;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The sites. */
public interface Sites extends JpaRepository<Site, UUID> {
}
