package bricksignal.server.log;

import bricksignal.core.words.Message;
import bricksignal.server.problem.Conflict;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The append-only logs of all visits. */
@Repository
public class EvidenceLog {

    private final EntityManager entities;

    EvidenceLog(EntityManager entities) {
        this.entities = entities;
    }

    /** The entries of a visit that came after one, in the order received. */
    public List<Evidence> of(UUID visit, long after) {
        return entities.createQuery("select e from Evidence e where e.visitId = :visit and e.place > :after order by e.place",
                Evidence.class).setParameter("visit", visit).setParameter("after", after).getResultList();
    }

    /** What was ever lent from a unit, on whatever visit; what of it still stands the log of that visit says. */
    public List<Evidence> lentFrom(UUID unit) {
        return entities.createQuery("select e from Evidence e where e.kind = 'LENT' and e.content like :unit order by e.place", Evidence.class).setParameter("unit", "%\"" + unit + "\"%").getResultList();
    }

    /** The place of the last entry of a visit; 0 where it has none. */
    public long lastPlace(UUID visit) {
        return entities.createQuery("select coalesce(max(e.place), 0) from Evidence e where e.visitId = :visit", Long.class)
                .setParameter("visit", visit).getSingleResult();
    }

    /** The visit whose log has this entry. */
    public Optional<UUID> visitOf(UUID entry) {
        return entities.createQuery("select e.visitId from Evidence e where e.id = :id", UUID.class).setParameter("id", entry)
                .getResultStream().findFirst();
    }

    /**
     * Adds the entries of a visit that nobody else knows yet, in this order.
     *
     * @throws Conflict if one of them is in a log already
     */
    public void addAll(List<Evidence> all) {
        List<UUID> ids = all.stream().map(Evidence::id).toList();
        entities.createQuery("select e.id from Evidence e where e.id in :ids", UUID.class).setParameter("ids", ids).setMaxResults(1).getResultStream().findFirst()
                .ifPresent(known -> {
                    throw new Conflict(Message.of("import.entry-elsewhere", Message.said(known.toString())));
                });
        all.forEach(entities::persist);
        entities.flush();
    }

    /**
     * Adds an entry, and beside it the recording it was made of. Whoever adds holds the visit's row.
     *
     * @param after the place of the last entry of the visit, as whoever adds knows it
     * @return its place; empty where another entry is the last one, or one of that id is there already, in whatever log
     */
    public OptionalLong add(Evidence e, long after, UUID account, @Nullable String recording) {
        List<?> places = entities.createNativeQuery("insert into evidence (id, visit_id, account_id, kind, format, content, "
                + "supersedes, made_at) select :id, :visit, :account, :kind, :format, :content, cast(:supersedes as uuid), :made "
                + "where (select coalesce(max(place), 0) from evidence where visit_id = :visit) = :after "
                + "on conflict (id) do nothing returning place", Long.class).setParameter("id", e.id()).setParameter("after", after)
                .setParameter("visit", e.visitId()).setParameter("account", account).setParameter("kind", e.kind())
                .setParameter("format", e.format()).setParameter("content", e.content())
                .setParameter("supersedes", e.supersedes() == null ? null : e.supersedes().toString())
                .setParameter("made", e.madeAt()).getResultList();
        if (places.isEmpty()) {
            return OptionalLong.empty();
        }
        if (recording != null) {
            entities.createNativeQuery("insert into recording (evidence_id, content) values (:id, :content)")
                    .setParameter("id", e.id()).setParameter("content", recording).executeUpdate();
        }
        return OptionalLong.of((Long) places.get(0));
    }
}
