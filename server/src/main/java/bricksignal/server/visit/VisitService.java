package bricksignal.server.visit;

import bricksignal.casework.Admission;
import bricksignal.casework.Case;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.ProvingPage;
import bricksignal.core.words.Message;
import bricksignal.server.account.Account;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.learning.LearningService;
import bricksignal.server.log.EntryJson;
import bricksignal.server.log.Evidence;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.Workbench;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import bricksignal.server.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Visits: who may, what is let in, what is kept. */
@Service
public class VisitService {

    private static final int TRIES = 8;
    private static final int MOST_FOUND = 60;

    private final Visits visits;
    private final VisitStore store;
    private final Cases cases;
    private final SessionAccounts accounts;
    private final SiteUnits units;
    private final EntryJson json;
    private final Words words;
    private final Workbench workbench;
    private final LearningService learning;

    VisitService(Visits visits, VisitStore store, Cases cases, SessionAccounts accounts, SiteUnits units, EntryJson json, Words words,
            Workbench workbench, LearningService learning) {
        this.visits = visits;
        this.store = store;
        this.cases = cases;
        this.accounts = accounts;
        this.units = units;
        this.json = json;
        this.words = words;
        this.workbench = workbench;
        this.learning = learning;
    }

    /** The jobs of a day: a technician's own, or everybody's for a lead. Open ones of days before are among them. */
    @Transactional(readOnly = true)
    public List<Visit> jobs(String login, LocalDate day) {
        Account account = accounts.of(login);
        return visits.dueOn(day).stream().filter(visit -> VisitStore.maySee(account, visit)).toList();
    }

    /** Visits in which a text is found, newest first: a technician's own, or everybody's for a lead. */
    @Transactional(readOnly = true)
    List<Visit> found(String login, String text) {
        Account account = accounts.of(login);
        return visits.found(text.trim().toLowerCase(Locale.ROOT), account.role() == Account.Role.LEAD, account.id(), Limit.of(MOST_FOUND));
    }

    /** Makes a job for whoever asks. */
    @Transactional
    public Visit make(String login, UUID unitId, String complaint, LocalDate day) {
        SiteUnit unit = units.findById(unitId).orElseThrow(() -> new BadInput("unitId", "There is no such unit; choose one "
                + "from the list."));
        Visit made = visits.saveAndFlush(new Visit(UUID.randomUUID(), unit, accounts.of(login), complaint.trim(), day));
        return visits.whole(made.id()).orElseThrow();
    }

    /** A visit as it stands. */
    Cases.Open open(String login, UUID id) {
        return cases.open(login, id);
    }

    /**
     * All that is kept of a visit.
     *
     * @param digest names the text of the family that it is read with
     * @param entries oldest first
     */
    public record Kept(Visit visit, String digest, List<Evidence> entries, List<VisitEvent> events) {
    }

    /** A visit with its case as it stands. */
    public record Standing(Visit visit, Case now) {
    }

    /** All that is kept of a visit, for going elsewhere. */
    public Kept kept(String login, UUID id) {
        VisitStore.Snapshot all = store.snapshot(login, id, 0);
        return new Kept(all.visit(), all.unit().digest(), all.added(), store.events(id));
    }

    /** A visit with its case, for what is made of both. */
    public Standing standing(String login, UUID id) {
        Cases.Open open = open(login, id);
        return new Standing(open.visit().visit(), open.now());
    }

    /** A visit, to somebody who may see it; nothing is reasoned of it. */
    public Visit visit(String login, UUID id) {
        return store.visit(login, id);
    }

    /** Something made of a visit as it stands. */
    <T> T look(String login, UUID id, Function<Cases.Open, T> made) {
        Cases.Open open = open(login, id);
        return workbench.at(() -> made.apply(open));
    }

    /**
     * Adds an entry; one that is there already is left as it is.
     *
     * @return the case as it then stands
     */
    public Case add(String login, UUID visitId, Filed sent) {
        for (int i = 0; i < TRIES; i++) {
            Cases.Open open = cases.open(login, visitId);
            if (open.now().line(sent.id()) != null) {
                return open.now();
            }
            if (open.place() == 0 && replacesWhatWasKnown(open, sent) && begun(open)) {
                continue;
            }
            Set<String> twins = twins(open, sent);
            Filed kept = open.visit().visit().closed() ? sent : workbench.at(() -> Admission.admit(open.now(), sent, twins));
            if (open.place() == 0 && begun(open)) {
                continue;
            }
            VisitStore.Appended appended = store.append(open.visit(), open.place(), kept, json.recording(sent.entry()));
            if (appended.added() == VisitStore.Added.NOW) {
                return cases.added(open, kept, appended.place());
            }
        }
        throw new Conflict("Many entries come to this visit at once. Send it again.");
    }

    /** Closes a visit; closing it again in the same way changes nothing. */
    public void close(String login, UUID visitId, Visit.Outcome outcome, String decided) {
        for (int i = 0; i < TRIES; i++) {
            Cases.Open open = cases.open(login, visitId);
            mayClose(open, outcome);
            Details.Concluded concluded = workbench.at(() -> Details.concluded(open.now()));
            if (store.close(open.visit(), open.place(), outcome, decided.trim(), words.of(concluded.verdict()), concluded)) {
                return;
            }
        }
        throw new Conflict("Something came to this visit just now. Look at it and close it again.");
    }

    /** Opens a closed visit again, on the record. */
    public void reopen(String login, UUID visitId, String reason) {
        store.reopen(login, visitId, reason);
    }

    /** Keeps what a shop found of the board that was changed on a closed visit. */
    public void tested(String login, UUID visitId, Visit.ShopTest found) {
        store.tested(login, visitId, found);
    }

    /** Goes over to the pack as it is installed. */
    public void goOver(String login, UUID visitId) {
        store.goOver(login, visitId);
    }

    private void mayClose(Cases.Open open, Visit.Outcome outcome) {
        boolean same = open.visit().visit().closed() && open.visit().visit().outcome() == outcome;
        if (outcome == Visit.Outcome.FIXED && !same) {
            List<Message> blocks = workbench.at(() -> ProvingPage.blocks(open.now()));
            if (!blocks.isEmpty()) {
                throw new Conflict(blocks.stream().map(words::sentence).collect(Collectors.joining(". ")) + ". Then the visit can be closed as fixed.");
            }
        }
    }

    /** The first entry of a visit comes after what the last visit to the unit says, where there was one not long ago, and after what own records say of its family. */
    private boolean begun(Cases.Open open) {
        Visit visit = open.visit().visit();
        if (visit.closed()) {
            return false;
        }
        boolean added = false;
        long place = 0;
        for (Filed known : knownBefore(open)) {
            VisitStore.Appended appended = store.append(open.visit(), place, known, null);
            added |= appended.added() != VisitStore.Added.BEFORE;
            place = Math.max(place, appended.place());
        }
        return added;
    }

    private List<Filed> knownBefore(Cases.Open open) {
        Visit visit = open.visit().visit();
        return store.knownBefore(visit, learning.experience(visit.unit().pack(), open.now().unit().model()));
    }

    /** True for an entry in the place of one that the visit would begin with. */
    private boolean replacesWhatWasKnown(Cases.Open open, Filed sent) {
        return sent.supersedes() != null && knownBefore(open).stream().anyMatch(known -> known.id().equals(sent.supersedes()));
    }

    private Set<String> twins(Cases.Open open, Filed sent) {
        return sent.entry() instanceof Entry.Twin || sent.entry() instanceof Entry.Lent ? store.twins(open.visit().visit()).stream().map(unit -> unit.id().toString())
                .collect(Collectors.toSet()) : Set.of();
    }
}
