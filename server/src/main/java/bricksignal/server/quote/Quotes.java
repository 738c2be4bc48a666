package bricksignal.server.quote;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The quotes. */
interface Quotes extends JpaRepository<Quote, UUID> {

    List<Quote> findByVisitIdOrderByNumber(UUID visit);
}
