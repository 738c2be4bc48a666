package bricksignal.server.visit;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.PastPage;
import bricksignal.core.words.Message;
import bricksignal.server.problem.Workbench;
import java.time.Instant;
import java.time.LocalDate;
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
     * @param age of the unit in years; null where nobody said when it was put in
     * @param lentOut what was lent from this unit and is not back
     * @param last the last visit as this one is told it; null where it is too long ago to tell anything
     */
    record HistoryView(Message says, @Nullable Integer age, List<LentView> lentOut, @Nullable LastVisit last, List<PastView> visits, List<ChangeView> changes) {
    }

    /** What was changed of the unit after it was made, by whom. */
    record ChangeView(String what, String by, Instant at) {
    }

    /** The entry that this visit begins with: an owner's reset since is told in its place. */
    record LastVisit(UUID entry, double days, @Nullable String part) {

        static LastVisit of(Filed filed) {
            Entry.Visited visited = (Entry.Visited) filed.entry();
            return new LastVisit(UUID.fromString(filed.id()), visited.days(), visited.part());
        }
    }

    /** A part of this unit that is in another one. */
    record LentView(Message part, String to, Instant since) {
    }

    HistoryView of(String login, UUID id) {
        Cases.Open open = service.open(login, id);
        List<PastView> past = store.earlier(open.visit().visit()).stream().limit(MOST).map(visit -> new PastView(VisitController.JobView.of(visit), visit.closedAt(),
                visit.outcome(), visit.decided(), workbench.at(() -> PastPage.of(open.now().unit(), store.entries(visit))))).toList();
        return new HistoryView(past.stream().findFirst().map(PastView::closedAt).map(store::daysSince).map(PastPage::callBack).orElse(Message.NOTHING), age(open.visit().visit(), store.today()),
                store.lentFrom(open.visit().visit()).stream().map(lent -> new LentView(PastPage.part(open.now().unit(), lent.part()), lent.to(), lent.since())).toList(), store.lastVisit(open.visit().visit())
                        .map(LastVisit::of).orElse(null), past, store.changes(open.visit().visit()).stream().map(change -> new ChangeView(change.what(), change.by(), change.at())).toList());
    }

    private static @Nullable Integer age(Visit visit, LocalDate today) {
        Integer year = visit.unit().installedYear();
        return year == null ? null : Math.max(0, today.getYear() - year);
    }
}
