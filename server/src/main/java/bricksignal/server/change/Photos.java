package bricksignal.server.change;

import bricksignal.core.words.Message;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import bricksignal.server.visit.Visits;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps photographs, so many a visit and no more. */
@Service
public class Photos {

    private static final int MOST = 20;

    private final PhotoRows rows;
    private final Visits visits;
    private final SessionAccounts accounts;
    private final Clock clock = Clock.systemUTC();

    Photos(PhotoRows rows, Visits visits, SessionAccounts accounts) {
        this.rows = rows;
        this.visits = visits;
        this.accounts = accounts;
    }

    /** A photograph for a report. */
    public record Shown(String label, byte[] jpeg) {
    }

    /** The photographs of a visit that its report shows, oldest first. */
    @Transactional(readOnly = true)
    public List<Shown> onReport(UUID visit) {
        return of(visit).stream().filter(Photo::onReport).map(photo -> new Shown(photo.label(), photo.content())).toList();
    }

    /** Keeps one; the same again is the same row. */
    @Transactional
    Photo keep(String login, UUID visit, UUID id, String label, Picture picture) {
        boolean closed = visits.locked(visit).orElseThrow(() -> new NotHere(Message.of("problem.no-visit"))).closed();
        Photo known = rows.findById(id).orElse(null);
        if (known != null && known.visitId().equals(visit)) {
            return known;
        }
        if (known != null) {
            throw new Conflict("Photograph " + id + " belongs to another visit. Send it with a new id.");
        }
        if (closed) {
            throw new Conflict(Message.of("problem.photo-closed"));
        }
        if (rows.countByVisitId(visit) >= MOST) {
            throw new Conflict(Message.of("problem.photo-most", new Message.Number(MOST)));
        }
        return rows.save(new Photo(id, visit, accounts.of(login).id(), clock.instant(), label, picture));
    }

    @Transactional(readOnly = true)
    List<Photo> of(UUID visit) {
        return rows.findByVisitIdOrderByMadeAt(visit);
    }

    @Transactional(readOnly = true)
    Photo one(UUID visit, UUID id) {
        return rows.findById(id).filter(photo -> photo.visitId().equals(visit)).orElseThrow(() -> new NotHere(Message.of("problem.no-photo")));
    }

    /** Says whether it is on the report. */
    @Transactional
    Photo onReport(UUID visit, UUID id, boolean wanted) {
        Photo photo = one(visit, id);
        photo.setOnReport(wanted);
        return photo;
    }
}
