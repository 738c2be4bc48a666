package bricksignal.server.site;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The changes of units. */
public interface UnitChanges extends JpaRepository<UnitChange, UUID> {

    @Query("select c from UnitChange c join fetch c.account where c.unitId = :unit order by c.at desc")
    List<UnitChange> newest(UUID unit, Limit most);
}
