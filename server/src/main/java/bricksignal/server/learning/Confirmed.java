package bricksignal.server.learning;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * Visits that confirm what was the matter: closed as fixed, proven before anything was repaired, not back ({@link CallBack}), and no
 * board among them that a shop found sound.
 */
@Repository
class Confirmed {

    private static final String COUNTS = "select u.pack as pack, part, count(*) as times from (select v.*, lead(v.opened_at) over (partition by v.unit_id order by v.opened_at) "
            + "as next_opened from visit v where v.opened_at is not null) v join unit u on u.id = v.unit_id cross join unnest(string_to_array(v.repaired, ',')) as part "
            + "where v.outcome = 'FIXED' and v.proven and part <> '' and not coalesce(" + CallBack.CAME + ", false) and not (v.board_changed and coalesce(v.shop_test, '') = 'SOUND') group by u.pack, part";

    private final EntityManager entities;

    Confirmed(EntityManager entities) {
        this.entities = entities;
    }

    /** How many visits, by part by family. */
    @Transactional(readOnly = true)
    @SuppressWarnings("unchecked")
    Map<String, Map<String, Integer>> counts() {
        Map<String, Map<String, Integer>> counts = new LinkedHashMap<>();
        List<Tuple> rows = entities.createNativeQuery(COUNTS, Tuple.class).getResultList();
        rows.forEach(t -> counts.computeIfAbsent((String) t.get("pack"), pack -> new LinkedHashMap<>()).put((String) t.get("part"),
                ((Number) t.get("times")).intValue()));
        return counts;
    }
}
