package bricksignal.server.visit;

import bricksignal.casework.Admission;
import bricksignal.casework.Case;
import bricksignal.casework.Complaint;
import bricksignal.casework.Heard;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.CommissioningPage;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.NoticePage;
import bricksignal.casework.page.ProvingPage;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import bricksignal.server.account.Account;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.learning.LearningService;
import bricksignal.server.log.EntryJson;
import bricksignal.server.log.Evidence;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.Workbench;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import bricksignal.server.words.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
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
    private final Signers signers;
    private final Packs packs;

    VisitService(Visits visits, VisitStore store, Cases cases, SessionAccounts accounts, SiteUnits units, EntryJson json, Words words,
            Workbench workbench, LearningService learning, Signers signers, Packs packs) {
        this.visits = visits;
        this.store = store;
        this.cases = cases;
        this.accounts = accounts;
        this.units = units;
        this.json = json;
        this.words = words;
        this.workbench = workbench;
        this.learning = learning;
        this.signers = signers;
        this.packs = packs;
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

    /** What a complaint tells of danger, most dangerous first. */
    List<Stop> dangers(String complaint) {
        return Complaint.dangers(complaint, stop -> words.everywhere(Message.of("complaint." + stop)));
    }

    /**
     * Makes a job of today for whoever asks.
     *
     * @param dangers what the caller was told to do, because the complaint tells of it: the visit begins with it
     * @param noticed what the customer noticed: the first evidence
     * @param newUnit whether the unit never ran and is set up on this visit
     * @param at when today it is wanted; null where that was not said
     */
    @Transactional
    public Visit make(String login, UUID unitId, String complaint, List<Stop> dangers, List<Entry.Answer> noticed, boolean newUnit, @Nullable LocalTime at) {
        Visit made = make(login, unitId, complaint, store.today());
        made.plan(at);
        List<Heard.Statement> known = statements(made.unit());
        noticed.stream().filter(said -> known.stream().noneMatch(one -> one.test().equals(said.test()))).findFirst().ifPresent(unknown -> {
            throw new BadInput("told", "No customer can notice '" + unknown.test() + "' of this unit. Choose from what is offered for it.");
        });
        long place = 0;
        for (Entry entry : Stream.of(dangers.stream().map(Entry.Stopped::new), noticed.stream(), newUnit ? Stream.of(new Entry.NewUnit()) : Stream.<Entry>of())
                .<Entry>flatMap(told -> told).toList()) {
            Filed told = new Filed(UUID.randomUUID().toString(), Instant.now().toEpochMilli(), null, entry);
            place = store.told(made.id(), accounts.of(login), place, told);
        }
        return made;
    }

    /** What a customer can say of a unit, and what of it a complaint says. */
    @Transactional(readOnly = true)
    Said said(UUID unitId, String complaint) {
        SiteUnit unit = units.findById(unitId).orElseThrow(() -> new BadInput("unitId", Message.of("problem.no-unit")));
        return packs.model(unit.pack()).map(model -> new Said(Heard.of(model), Heard.understood(complaint, model, words::everywhere))).orElse(Said.NOTHING);
    }

    /** A case as it stands; before anybody was there, with what its complaint says as if the customer had been asked. */
    Case heard(Cases.Open open) {
        Case now = open.now();
        if (!now.lines().isEmpty()) {
            return now;
        }
        for (Heard.Statement one : Heard.understood(open.visit().visit().complaint(), now.unit().model(), words::everywhere)) {
            now = now.and(new Filed(UUID.randomUUID().toString(), Instant.now().toEpochMilli(), null, new Entry.Answer(one.test(), one.yes())));
        }
        return now;
    }

    /** The case as it will be with its first entry: with what is known before, where none was made yet. */
    Case begin(Cases.Open open) {
        Case now = open.now();
        for (Filed known : fresh(open) ? knownBefore(open) : List.<Filed>of()) {
            now = now.line(known.id()) == null ? now.and(known) : now;
        }
        return now;
    }

    private List<Heard.Statement> statements(SiteUnit unit) {
        return packs.model(unit.pack()).map(Heard::of).orElse(List.of());
    }

    /** What can be said of a unit, and what was understood of a complaint. */
    record Said(List<Heard.Statement> all, List<Heard.Statement> understood) {
        private static final Said NOTHING = new Said(List.of(), List.of());
    }

    private Visit make(String login, UUID unitId, String complaint, LocalDate day) {
        SiteUnit unit = units.findById(unitId).orElseThrow(() -> new BadInput("unitId", Message.of("problem.no-unit")));
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
     * @param logins of who made them, by account
     */
    public record Kept(Visit visit, String digest, List<Evidence> entries, List<VisitEvent> events, Map<UUID, String> logins) {
    }

    /** A visit with its case as it stands. */
    public record Standing(Visit visit, Case now) {
    }

    /** All that is kept of a visit, for going elsewhere. */
    public Kept kept(String login, UUID id) {
        VisitStore.Snapshot all = store.snapshot(login, id, 0);
        return new Kept(all.visit(), all.unit().digest(), all.added(), store.events(id), store.logins(all.added()));
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
    public Case add(String login, UUID visitId, Filed asked) {
        for (int i = 0; i < TRIES; i++) {
            Cases.Open open = cases.open(login, visitId);
            Filed sent = withKind(open, asked);
            Line known = open.now().line(sent.id());
            if (known != null) {
                mustBeTheSame(known.filed().entry(), sent.entry());
                return open.now();
            }
            if (fresh(open) && replacesWhatWasKnown(open, sent) && begun(open)) {
                continue;
            }
            Set<String> twins = twins(open, sent);
            Filed kept = open.visit().visit().closed() ? sent : workbench.at(() -> Admission.admit(open.now(), sent, twins, signers.of(open.visit().account(), store.today())));
            if (fresh(open) && begun(open)) {
                continue;
            }
            VisitStore.Appended appended = store.append(open.visit(), open.place(), kept, json.recording(sent.entry()));
            if (appended.added() == VisitStore.Added.NOW) {
                return cases.added(open, kept, appended.place());
            }
        }
        throw new Conflict(Message.of("problem.many-at-once"));
    }

    /** Closes a visit; closing it again in the same way changes nothing. */
    public void close(String login, UUID visitId, Visit.Outcome outcome, String decided) {
        for (int i = 0; i < TRIES; i++) {
            Cases.Open open = cases.open(login, visitId);
            mayClose(open, outcome);
            Details.Concluded concluded = workbench.at(() -> Details.concluded(open.now()));
            if (store.close(open.visit(), open.place(), outcome, decided.trim(), words, concluded)) {
                return;
            }
        }
        throw new Conflict(Message.of("problem.came-just-now"));
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

    /** Nothing was entered yet but what was told when the job was taken. */
    private static boolean fresh(Cases.Open open) {
        return open.now().lines().stream().map(line -> line.filed().entry()).allMatch(entry -> entry instanceof Entry.Stopped || entry instanceof Entry.NewUnit
                || entry instanceof Entry.Answer answer && Heard.of(open.now().unit().model()).stream().anyMatch(said -> said.test().equals(answer.test())));
    }

    private void mayClose(Cases.Open open, Visit.Outcome outcome) {
        boolean already = open.visit().visit().closed() && open.visit().visit().outcome() == outcome;
        if (!already) {
            keepsOpen(open.now(), outcome).ifPresent(why -> {
                throw new Conflict(why);
            });
        }
    }

    /** What keeps a visit from being closed so; empty where nothing does. */
    Optional<Message> keepsOpen(Case now, Visit.Outcome outcome) {
        Optional<Message> stopped = NoticePage.keepsOpen(now, outcome == Visit.Outcome.SHUT_OFF).map(why -> Message.of("close.why", why));
        if (stopped.isEmpty() && outcome == Visit.Outcome.PART_ORDERED && now.ordered().isEmpty()) {
            return Optional.of(Message.of("close.no-part"));
        }
        boolean commissioned = outcome == Visit.Outcome.COMMISSIONED;
        if (stopped.isPresent() || outcome != Visit.Outcome.FIXED && !commissioned) {
            return stopped;
        }
        List<Message> blocks = workbench.at(() -> commissioned ? CommissioningPage.blocks(now) : ProvingPage.blocks(now));
        return blocks.stream().reduce((first, next) -> Message.of("close.also", first, next)).map(all -> Message.of(commissioned ? "close.then-commissioned" : "close.then-fixed", all));
    }

    /** The first entry of a visit comes after what the last visit to the unit says, where there was one not long ago, and after what own records say of its family. */
    private boolean begun(Cases.Open open) {
        Visit visit = open.visit().visit();
        if (visit.closed()) {
            return false;
        }
        boolean added = false;
        long place = open.place();
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

    /** The same entry sent again is the same row; another one under its id is not dropped silently. What is kept otherwise than it is sent cannot be compared. */
    private static void mustBeTheSame(Entry known, Entry sent) {
        boolean keptOtherwise = sent instanceof Entry.Correction || sent instanceof Entry.Film || sent instanceof Entry.Earlier || sent instanceof Entry.Lifted || sent instanceof Entry.Allowed
                || known instanceof Entry.Unread;
        if (!keptOtherwise && !known.equals(sent)) {
            throw new Conflict("There is an entry of this id already, and it says something else: " + EntryFormat.write(known) + ". Sent was " + EntryFormat.write(sent)
                    + ". Send it with a new id.");
        }
    }

    /** Leaves a trace of something that was changed after a visit was closed. */
    public void changedAfterClosing(String login, UUID visit, String note) {
        store.changedAfterClosing(login, visit, note);
    }

    /** Whether another unit is of the same family is known here. */
    private Filed withKind(Cases.Open open, Filed sent) {
        return sent.entry() instanceof Entry.Twin twin ? sent.with(new Entry.Twin(twin.unit(), twin.alike(), store.twins(open.visit().visit()).stream()
                .anyMatch(unit -> unit.id().toString().equals(twin.unit()) && unit.pack().equals(open.visit().visit().unit().pack())))) : sent;
    }

    private Set<String> twins(Cases.Open open, Filed sent) {
        return sent.entry() instanceof Entry.Twin || sent.entry() instanceof Entry.Lent ? store.twins(open.visit().visit()).stream().map(unit -> unit.id().toString())
                .collect(Collectors.toSet()) : Set.of();
    }
}
