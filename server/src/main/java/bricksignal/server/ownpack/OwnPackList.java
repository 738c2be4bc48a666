package bricksignal.server.ownpack;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The packs of the company. */
interface OwnPackList extends JpaRepository<OwnPack, String> {

    /** Whoever keeps a pack of that name waits for whoever does so already. */
    @Query(value = "select 1 from (select pg_advisory_xact_lock(hashtext('own pack ' || :name))) held", nativeQuery = true)
    int hold(String name);
}
