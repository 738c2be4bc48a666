package bricksignal.server.site;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The units on sites. */
public interface SiteUnits extends JpaRepository<SiteUnit, UUID> {

    @Query("select u from SiteUnit u join fetch u.site left join fetch u.overlay order by u.site.name, u.label")
    List<SiteUnit> all();

    @Query("select u from SiteUnit u join fetch u.site where u.site.id = :site order by u.label")
    List<SiteUnit> on(UUID site);

    int countByPack(String pack);

    /** How many open visits of a person there are to a unit. */
    @Query("select count(v) from Visit v where v.unit.id = :unit and v.technician.id = :technician and v.closedAt is null")
    long openVisits(UUID unit, UUID technician);
}
