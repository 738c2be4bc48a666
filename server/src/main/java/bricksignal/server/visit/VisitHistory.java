package bricksignal.server.visit;

import bricksignal.casework.page.PastPage;
import bricksignal.core.words.Message;
import bricksignal.server.problem.Workbench;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What earlier visits to a unit found, did and left behind. */
@Component
class VisitHistory {

    private static final int MOST = 6;

    private final VisitService service;
    private final VisitStore store;
    private final Workbench workbench;

    VisitHistory(VisitService service, VisitStore store, Workbench workbench) {
        this.service = service;
        this.store = store;
        this.workbench = workbench;
    }

    /** An earlier visit. */
    record PastView(VisitController.JobView job, @Nullable Instant closedAt, Visit.@Nullable Outcome outcome, @Nullable String decided, PastPage past) {
    }

    /**
     * Earlier visits, newest first.
     *
     * @param says what they mean for this one; empty where they mean nothing
     */
    record HistoryView(Message says, List<PastView> visits) {
    }

    HistoryView of(String login, UUID id) {
        Cases.Open open = service.open(login, id);
        List<PastView> past = store.earlier(open.visit().visit()).stream().limit(MOST).map(visit -> new PastView(VisitController.JobView.of(visit), visit.closedAt(),
                visit.outcome(), visit.decided(), workbench.at(() -> PastPage.of(open.now().unit(), store.entries(visit))))).toList();
        return new HistoryView(past.stream().findFirst().map(PastView::closedAt).map(store::daysSince).map(PastPage::callBack).orElse(Message.NOTHING), past);
    }
}
