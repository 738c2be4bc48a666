package bricksignal.server.demo;

import bricksignal.casework.Case;
import bricksignal.casework.Shown;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Part;
import bricksignal.server.problem.Compiling;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.VisitService;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Visits of the demo's past: somebody made what was proposed at a unit with one fault until it was proven, repaired it and closed. */
@Component
class DemoPast {

    private static final int TRIES = 40;
    private static final int MOST_TESTS = 20;

    private final VisitService service;
    private final TransactionTemplate transaction;
    private final EntityManager entities;

    DemoPast(VisitService service, TransactionTemplate transaction, EntityManager entities) {
        this.service = service;
        this.transaction = transaction;
        this.entities = entities;
    }

    /**
     * A visit of the past.
     *
     * @param who went there, by login
     * @param fault that the unit had, by id in its family
     * @param note what was decided
     * @param first what was entered before anything was proposed
     */
    record Past(UUID visit, String who, String fault, String note, List<Entry> first) {
    }

    /** Goes there and through it. */
    void visited(Past past) {
        past.first().forEach(entry -> entry(past, entry));
        Case now = standing(past);
        for (int tests = 0; tests < MOST_TESTS && now.verdict().status() != Verdict.Status.PROVEN; tests++) {
            Advice advice = now.advice();
            if (advice.proposals().isEmpty()) {
                break;
            }
            Shown.by(now.unit().pack(), advice.proposals().get(0).test(), now.diagnosis().now(now.unit().pack().space().single(past.fault()))).forEach(entry -> entry(past, entry));
            now = standing(past);
        }
        Part part = now.unit().model().part(now.unit().model().fault(past.fault()).part());
        if (part.kind() != Part.Kind.BOARD || now.verdict().status() == Verdict.Status.PROVEN) {
            entry(past, new Entry.Repaired(part.id()));
        }
        for (Entry.Safety safety : Entry.Safety.values()) {
            entry(past, new Entry.Safe(safety, true));
        }
        patiently(() -> service.close(past.who(), past.visit(), Visit.Outcome.FIXED, past.note()));
        transaction.executeWithoutResult(begun -> entities.createNativeQuery("update visit set opened_at = scheduled_on + time '10:00', "
                + "closed_at = scheduled_on + time '10:00' + minutes * interval '1 minute' from (select 35 + 8 * count(*) as minutes from evidence where visit_id = :id) made "
                + "where id = :id").setParameter("id", past.visit()).executeUpdate());
    }

    private Case standing(Past past) {
        return service.standing(past.who(), past.visit()).now();
    }

    private void entry(Past past, Entry entry) {
        Filed filed = new Filed(UUID.randomUUID().toString(), System.currentTimeMillis(), null, entry);
        patiently(() -> service.add(past.who(), past.visit(), filed));
    }

    /** The unit may still be on its way to be ready. */
    private static void patiently(Runnable work) {
        for (int i = 0; i < TRIES; i++) {
            try {
                work.run();
                return;
            } catch (Compiling later) {
                // the wait is in asking
            }
        }
        throw new IllegalStateException("the demo's unit is not ready in time");
    }
}
