package bricksignal.server.visit;

import bricksignal.casework.page.Details;
import bricksignal.core.words.Message;
import bricksignal.server.account.Account;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.log.Evidence;
import bricksignal.server.log.EvidenceLog;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.words.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes in visits that were written elsewhere. Each entry is let in as if it came new, the verdict is reasoned anew, and it is closed as the file says only where it could be
 * closed so here; what is not taken over is said, and stays on the record.
 */
@Component
public class VisitImport {

    private final Visits visits;
    private final VisitEvents events;
    private final EvidenceLog log;
    private final SessionAccounts sessions;
    private final ForeignCheck check;
    private final CompanyDay day;
    private final Words words;
    private final TransactionTemplate transaction;

    VisitImport(Visits visits, VisitEvents events, EvidenceLog log, SessionAccounts sessions, ForeignCheck check, CompanyDay day, Words words, TransactionTemplate transaction) {
        this.visits = visits;
        this.events = events;
        this.log = log;
        this.sessions = sessions;
        this.check = check;
        this.day = day;
        this.words = words;
        this.transaction = transaction;
    }

    /** What was taken in: how many entries, whether it is closed, and what was not taken over. */
    public record Taken(int entries, boolean closed, List<String> left) {
    }

    /**
     * Takes one in; the same file again changes nothing.
     *
     * @throws BadInput if it names a unit, a board or a person that is not here, or says what cannot be
     * @throws Conflict if another visit has its id, or another visit's log has one of its entries
     */
    public Taken takeIn(String login, Foreign from) {
        Optional<Visit> known = visits.findById(from.id());
        if (known.isPresent()) {
            return again(known.get(), from);
        }
        ForeignCheck.Checked checked = check.checked(from);
        transaction.executeWithoutResult(status -> written(sessions.of(login), from, checked));
        return new Taken(checked.rows().size(), checked.concluded() != null, checked.left().stream().map(words::sentence).toList());
    }

    /** The same file once more, or the visit that it was written of, as it still is. */
    private Taken again(Visit visit, Foreign from) {
        List<Told> here = log.of(from.id(), 0).stream().map(Told::of).toList();
        boolean same = from.file().equals(visit.fileDigest()) || here.equals(from.entries().stream().map(Told::of).toList()) && visit.complaint().equals(from.complaint())
                && visit.scheduledOn().equals(from.scheduledOn()) && ended(visit).equals(Optional.ofNullable(from.end()).map(end -> end.outcome() + end.decided() + end.verdict()));
        if (!same) {
            throw new Conflict(Message.of("import.other-visit", Message.said(String.valueOf(visit.number())), new Message.Number(here.size()), new Message.Number(from.entries().size()),
                    Message.said(visit.complaint()), Message.said(from.complaint())));
        }
        return new Taken(here.size(), visit.closed(), List.of());
    }

    private static Optional<String> ended(Visit visit) {
        return visit.closed() ? Optional.of(visit.outcome() + visit.decided() + visit.verdict()) : Optional.empty();
    }

    private record Told(UUID id, @Nullable UUID supersedes, String content) {

        private static Told of(Evidence one) {
            return new Told(one.id(), one.supersedes(), one.content());
        }

        private static Told of(Foreign.Logged one) {
            return new Told(one.id(), one.supersedes(), one.content());
        }
    }

    private void written(Account by, Foreign from, ForeignCheck.Checked checked) {
        Visit visit = new Visit(from.id(), checked.unit(), checked.there(), from.complaint(), from.scheduledOn());
        visit.plan(from.scheduledAt());
        visit.broughtBy(from.file());
        Instant opened = from.openedAt();
        if (opened != null) {
            visit.open(opened, checked.digest());
        }
        Foreign.End end = from.end();
        Details.Concluded concluded = checked.concluded();
        if (end != null && concluded != null) {
            visit.close(end.at(), end.outcome(), end.decided(), checked.verdict(), checked.digest(), checked.board());
            visit.concluded(concluded, checked.allowed());
        }
        visits.saveAndFlush(visit);
        log.addAll(checked.rows());
        from.events().forEach(event -> events.save(VisitEvent.ofFile(visit, checked.there(), event.kind(), event.at(), event.note())));
        events.save(VisitEvent.of(visit, by, VisitEvent.Kind.BROUGHT, day.now(), taken(by, from, checked)));
    }

    private String taken(Account by, Foreign from, ForeignCheck.Checked checked) {
        List<Message> said = new ArrayList<>();
        said.add(Message.of("import.taken", Message.said(by.name()), new Message.Number(checked.rows().size()), new Message.Number(from.entries().size())));
        if (!checked.left().isEmpty()) {
            said.add(Message.of("import.not-taken"));
            said.addAll(checked.left());
        }
        return said.stream().map(words::kept).collect(Collectors.joining(" "));
    }
}
