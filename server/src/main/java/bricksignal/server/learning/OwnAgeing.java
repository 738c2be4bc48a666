package bricksignal.server.learning;

import bricksignal.core.costing.Ageing;
import bricksignal.core.costing.Rates;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.Year;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How often units fail by their age, by what the company set and by its own records: the visits that were closed as fixed on units whose year is known, over
 * the stretch of their lives since the first visit of all was closed.
 */
@Service
public class OwnAgeing {

    /** What the company set counts as so many faults (our own judgement). */
    private static final double WORTH_FAULTS = 30;
    /** A unit whose year alone is known was put in in the middle of it. */
    private static final double MIDDLE = 0.5;
    private static final double YEAR_DAYS = 365.25;
    private static final String FIXED = "select count(*) from visit v join unit u on u.id = v.unit_id where v.outcome = 'FIXED' and v.repaired <> '' and u.installed_year is not null";
    private static final String UNITS = "select u.installed_year as year, (select min(closed_at) from visit) as since from unit u where u.installed_year is not null";

    /** The ways out are asked for after each entry; the policy is remembered as long. */
    private static final Duration REMEMBERED = Duration.ofSeconds(10);

    private final EntityManager entities;
    private final Clock clock = Clock.systemUTC();
    private final LoadingCache<Ageing, Ageing> known = Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build(set -> seen(set).ageing());

    OwnAgeing(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * What was seen.
     *
     * @param faults visits that were closed as fixed
     * @param unitYears over which they were seen
     * @param ageing by what was set and by them
     */
    public record Seen(int faults, double unitYears, Ageing ageing) {
    }

    /** What was seen against what was set. */
    @Transactional(readOnly = true)
    @SuppressWarnings("unchecked")
    public Seen seen(Ageing set) {
        List<Ageing.Stretch> stretches = new ArrayList<>();
        List<Tuple> units = entities.createNativeQuery(UNITS, Tuple.class).getResultList();
        for (Tuple unit : units) {
            Instant since = (Instant) unit.get("since");
            if (since != null) {
                double now = age((Number) unit.get("year"), clock.instant());
                stretches.add(new Ageing.Stretch(Math.min(now, age((Number) unit.get("year"), since)), now));
            }
        }
        int faults = ((Number) entities.createNativeQuery(FIXED).getSingleResult()).intValue();
        return new Seen(faults, stretches.stream().mapToDouble(s -> s.to() - s.from()).sum(), set.after(WORTH_FAULTS, stretches.isEmpty() ? 0 : faults, stretches));
    }

    /** The rates with the ageing that own records make of it, as of some seconds ago. */
    public Rates of(Rates set) {
        return set.ageing(known.get(set.ageing()));
    }

    private static double age(Number year, Instant at) {
        Instant first = Year.of(year.intValue()).atDay(1).atStartOfDay(ZoneId.from(ZoneOffset.UTC)).toInstant();
        return Math.max(0, Duration.between(first, at).toDays() / YEAR_DAYS - MIDDLE);
    }
}
