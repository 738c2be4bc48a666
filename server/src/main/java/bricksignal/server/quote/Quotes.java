package bricksignal.server.quote;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The quotes. */
interface Quotes extends JpaRepository<Quote, UUID> {

    List<Quote> findByVisitIdOrderByNumber(UUID visit);

    /** All of a unit, newest first. */
    @Query("select q from Quote q, Visit v where q.visitId = v.id and v.unit.id = :unit order by q.number desc")
    List<Quote> ofUnit(UUID unit);
}
