package bricksignal.server.visit;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** The visits. */
public interface Visits extends JpaRepository<Visit, UUID> {

    String WITH_ALL = "select v from Visit v join fetch v.unit u join fetch u.site left join fetch u.overlay "
            + "left join fetch v.overlayVersion join fetch v.technician t ";

    @Query(WITH_ALL + "where v.id = :id")
    Optional<Visit> whole(UUID id);

    /** For writing: whoever writes to a visit holds its row, so that nothing is added while it is being closed. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select v from Visit v where v.id = :id")
    Optional<Visit> locked(UUID id);

    @Query(WITH_ALL + "where v.scheduledOn = :day or (v.closedAt is null and v.scheduledOn < :day) order by v.scheduledOn, "
            + "v.scheduledAt nulls last, v.number")
    List<Visit> dueOn(LocalDate day);

    @Query(WITH_ALL + "where u.id = :unit and v.closedAt is not null order by v.closedAt desc")
    List<Visit> closedOn(UUID unit);

    /**
     * Visits in which a text is found, newest first: in what was complained of, found and decided, in the unit, its site and its board,
     * in who was there, or as the number.
     *
     * @param text in small letters
     * @param everybody whether the visits of others count as well
     */
    @Query(WITH_ALL + "left join u.overlay o where (:everybody = true or t.id = :technician) and locate(:text, lower(concat(v.complaint, ' ', "
            + "coalesce(v.verdict, ''), ' ', coalesce(v.decided, ''), ' ', u.label, ' ', u.location, ' ', u.pack, ' ', u.site.name, ' ', u.site.address, ' ', "
            + "coalesce(o.name, ''), ' ', t.name, ' ', cast(v.number as string)))) > 0 order by v.scheduledOn desc, v.number desc")
    List<Visit> found(String text, boolean everybody, UUID technician, Limit most);
}
