package bricksignal.server.visit;

import bricksignal.casework.Case;
import bricksignal.casework.Commissioning;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.Details;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.words.Message;
import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.log.EntryJson;
import bricksignal.server.log.Evidence;
import bricksignal.server.log.EvidenceLog;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.overlay.OverlayVersions;
import bricksignal.server.pack.Packs;
import bricksignal.server.pack.UnitRef;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.UnitChange;
import bricksignal.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Visits in the database, in short transactions: nothing is computed here. */
@Repository
class VisitStore {

    private static final double MINUTES_OF_A_DAY = 1440;
    /** An older visit tells nothing of today: by then its factors have faded (core, History). */
    private static final double MOST_DAYS = 90;

    private final Visits visits;
    private final VisitEvents events;
    private final EvidenceLog log;
    private final EntryJson json;
    private final SessionAccounts accounts;
    private final Packs packs;
    private final SiteService sites;
    private final OverlayVersions overlays;
    private final PolicyService policy;
    private final CompanyDay day;
    private final Accounts people;

    VisitStore(Visits visits, VisitEvents events, EvidenceLog log, EntryJson json, SessionAccounts accounts, Packs packs,
            SiteService sites, OverlayVersions overlays, PolicyService policy, CompanyDay day, Accounts people) {
        this.people = people;
        this.day = day;
        this.visits = visits;
        this.events = events;
        this.log = log;
        this.json = json;
        this.accounts = accounts;
        this.packs = packs;
        this.sites = sites;
        this.overlays = overlays;
        this.policy = policy;
    }

    /**
     * A visit as it stands, with what came to its log after a place.
     *
     * @param account who asks
     * @param unit which unit exactly
     * @param added entries after the place asked for, in the order received
     */
    record Snapshot(Visit visit, Account account, UnitRef unit, Policy policy, List<Evidence> added) {

        /** The place of the last entry, or of the one that was asked from. */
        long place(long from) {
            return added.isEmpty() ? from : added.get(added.size() - 1).place();
        }
    }

    @Transactional(readOnly = true)
    Snapshot snapshot(String login, UUID id, long after) {
        Account account = accounts.of(login);
        Visit visit = own(account, visits.whole(id).orElse(null));
        return new Snapshot(visit, account, unit(visit), policy.current(), log.of(id, after));
    }

    /** A visit, to somebody who may see it; nothing of its log. */
    @Transactional(readOnly = true)
    Visit visit(String login, UUID id) {
        return own(accounts.of(login), visits.whole(id).orElse(null));
    }

    /** The other units of the site. */
    @Transactional(readOnly = true)
    List<SiteUnit> twins(Visit visit) {
        return sites.twinsOf(visit.unit());
    }

    /** What was changed of the unit since it was made, newest first. */
    @Transactional(readOnly = true)
    List<UnitChange> changes(Visit visit) {
        return sites.changes(visit.unit());
    }

    /** Visits to the unit that were closed before this one began (its first entry), newest first; a later one is none, whatever is reopened. */
    @Transactional(readOnly = true)
    List<Visit> earlier(Visit visit) {
        return visits.closedOn(visit.unit().id()).stream().filter(v -> !v.id().equals(visit.id()) && before(v, visit)).toList();
    }

    private static boolean before(Visit other, Visit visit) {
        Instant closed = other.closedAt();
        Instant opened = visit.openedAt();
        return closed != null && (opened == null || !closed.isAfter(opened));
    }

    /** What is known before a visit begins, as entries of it. */
    @Transactional(readOnly = true)
    List<Filed> knownBefore(Visit visit, Optional<Entry.Experience> experience) {
        return Stream.of(lastVisit(visit).stream(), stillSo(visit), experience.stream().map(known -> new Filed(UUID.nameUUIDFromBytes((visit.id() + " experience")
                .getBytes(StandardCharsets.UTF_8)).toString(), day.now().toEpochMilli(), null, known))).flatMap(known -> known).toList();
    }

    /**
     * What is no more otherwise now than on the last visit to the unit: what could not be reached then or is not fitted, conductors that nothing is on, and where setting up
     * a new unit has come.
     */
    private Stream<Filed> stillSo(Visit visit) {
        return earlier(visit).stream().limit(1).flatMap(last -> Case.standing(entries(last)).stream().map(Filed::entry).flatMap(entry -> stillSo(entry,
                last.outcome() == Visit.Outcome.COMMISSIONED).stream())).distinct().map(entry -> new Filed(UUID.nameUUIDFromBytes((visit.id() + " still "
                + json.text(entry)).getBytes(StandardCharsets.UTF_8)).toString(), day.now().toEpochMilli(), null, entry));
    }

    private static Optional<Entry> stillSo(Entry entry, boolean commissioned) {
        if (entry instanceof Entry.SetTo set && !commissioned) {
            return Optional.of(new Entry.SetUp(Commissioning.step(set.setting()), true, set.left()));
        }
        return entry instanceof Entry.Spare || entry instanceof Entry.Unable unable && unable.why() != Obstacle.TOOL
                || entry instanceof Entry.OfCommissioning && !commissioned ? Optional.of(entry) : Optional.empty();
    }

    /** The last visit to the unit as an entry of this one, with the part changed then; empty where it is too long ago to tell anything. */
    @Transactional(readOnly = true)
    Optional<Filed> lastVisit(Visit visit) {
        return earlier(visit).stream().findFirst().flatMap(last -> Optional.ofNullable(last.closedAt()).map(closed -> {
            double days = Math.floor(daysSince(closed));
            return new Filed(UUID.nameUUIDFromBytes((visit.id() + " after " + last.id()).getBytes(StandardCharsets.UTF_8)).toString(),
                    day.now().toEpochMilli(), null, new Entry.Visited(days, changedOn(last), false));
        })).filter(filed -> ((Entry.Visited) filed.entry()).days() <= MOST_DAYS);
    }

    /** The day of today, where the company works. */
    LocalDate today() {
        return day.today();
    }

    /** Days since then, at least 0. */
    double daysSince(Instant then) {
        return Math.max(0, Duration.between(then, day.now()).toMinutes() / MINUTES_OF_A_DAY);
    }

    /** The part that was repaired last on a visit and not taken back, by id; null where none was. */
    private @Nullable String changedOn(Visit visit) {
        return Case.standing(entries(visit)).stream().filter(filed -> filed.entry() instanceof Entry.Repaired)
                .map(filed -> ((Entry.Repaired) filed.entry()).part()).reduce((first, second) -> second).orElse(null);
    }

    /** All entries of a visit, oldest first. */
    @Transactional(readOnly = true)
    List<Filed> entries(Visit visit) {
        return log(visit).stream().map(json::read).toList();
    }

    /** The same as they are stored. */
    @Transactional(readOnly = true)
    List<Evidence> log(Visit visit) {
        return log.of(visit.id(), 0);
    }

    /** A part that is in another unit, and since when. */
    record Lending(String part, String to, Instant since) {
    }

    /** What was lent from the unit of a visit and is not back. */
    @Transactional(readOnly = true)
    List<Lending> lentFrom(Visit visit) {
        return log.lentFrom(visit.unit().id()).stream().filter(this::stillStands).flatMap(evidence -> json.read(evidence).entry() instanceof Entry.Lent lent
                ? visits.whole(evidence.visitId()).map(to -> new Lending(lent.part(), to.unit().label(), evidence.madeAt())).stream() : Stream.empty()).toList();
    }

    private boolean stillStands(Evidence evidence) {
        String id = json.read(evidence).id();
        return Case.standing(log.of(evidence.visitId(), 0).stream().map(json::read).toList()).stream().anyMatch(filed -> filed.id().equals(id));
    }

    /** The logins of those who made entries, by account. */
    @Transactional(readOnly = true)
    Map<UUID, String> logins(List<Evidence> entries) {
        return people.findAllById(entries.stream().map(Evidence::accountId).distinct().toList()).stream().collect(Collectors.toMap(Account::id, Account::login));
    }

    /** When it was closed and opened again. */
    @Transactional(readOnly = true)
    List<VisitEvent> events(UUID visit) {
        return events.findByVisitIdOrderByAt(visit);
    }

    /** Adds what was told when the job was taken; its place. */
    @Transactional
    long told(UUID visit, Account account, long after, Filed told) {
        return log.add(json.written(told, visit, account.id()), after, account.id(), null).orElseThrow();
    }

    /** What became of an entry. */
    enum Added {
        /** It is in the log now. */
        NOW,
        /** It was there already. */
        BEFORE,
        /** The log or the unit is not as it was when the entry was admitted: read it again. */
        MOVED
    }

    /** An entry that was added, and its place. */
    record Appended(Added added, long place) {
    }

    /**
     * Adds an entry that was admitted to a case.
     *
     * @param seen the visit as it was when the entry was admitted, to somebody who may
     * @param seenPlace the place of the last entry then
     */
    @Transactional
    Appended append(Snapshot seen, long seenPlace, Filed kept, @Nullable String recording) {
        UUID id = seen.visit().id();
        Visit visit = visits.locked(id).orElseThrow(VisitStore::noSuchVisit);
        UUID entry = UUID.fromString(kept.id());
        mustBeOpen(visit);
        if (visit.packDigest() != null && !unit(visit).digest().equals(seen.unit().digest())) {
            return new Appended(Added.MOVED, 0);
        }
        OptionalLong place = log.add(json.written(kept, id, seen.account().id()), seenPlace, seen.account().id(), recording);
        if (place.isEmpty()) {
            return log.visitOf(entry).map(known -> before(id, known, entry)).orElse(new Appended(Added.MOVED, 0));
        }
        visit.open(Instant.ofEpochMilli(kept.madeAt()), seen.unit().digest());
        return new Appended(Added.NOW, place.getAsLong());
    }

    private static Appended before(UUID visit, UUID known, UUID entry) {
        if (!known.equals(visit)) {
            throw new Conflict("Entry " + entry + " belongs to another visit. Send it with a new id.");
        }
        return new Appended(Added.BEFORE, 0);
    }

    /** Closes a visit; closing it again in the same way changes nothing. False if something came to its log meanwhile. */
    @Transactional
    boolean close(Snapshot seen, long seenPlace, Visit.Outcome outcome, String decided, Words words, Details.Concluded concluded) {
        Visit visit = own(seen.account(), visits.locked(seen.visit().id()).orElse(null));
        if (visit.closed() && visit.outcome() == outcome) {
            return true;
        }
        mustBeOpen(visit);
        if (log.lastPlace(visit.id()) != seenPlace) {
            return false;
        }
        visit.close(day.now(), outcome, decided, words.kept(concluded.verdict()), seen.unit().digest(), board(visit));
        visit.concluded(concluded, words.kept(concluded.allowed()));
        events.save(VisitEvent.of(visit, seen.account(), VisitEvent.Kind.CLOSED, day.now(), outcome + ": " + decided));
        return true;
    }

    /** Opens a closed visit again, on the record. */
    @Transactional
    void reopen(String login, UUID id, String reason) {
        Account account = accounts.of(login);
        Visit visit = own(account, visits.locked(id).orElse(null));
        if (!visit.closed()) {
            return;
        }
        if (!mayReopen(account, visit)) {
            throw new Conflict(Message.of("problem.reopen"));
        }
        events.save(VisitEvent.of(visit, account, VisitEvent.Kind.REOPENED, day.now(), reason + " (was closed as "
                + visit.outcome() + ": " + visit.decided() + "; verdict: " + visit.verdict() + ")"));
        visit.reopen();
    }

    /** Keeps what a shop found of the board that was changed on a closed visit. */
    @Transactional
    void tested(String login, UUID id, Visit.ShopTest found) {
        Account account = accounts.of(login);
        Visit visit = own(account, visits.locked(id).orElse(null));
        if (!visit.closed() || !visit.boardChanged()) {
            throw new Conflict(Message.of("problem.no-board-changed", Message.said(String.valueOf(visit.number()))));
        }
        events.save(VisitEvent.of(visit, account, VisitEvent.Kind.SHOP_TEST, day.now(), found.name()));
        visit.tested(found);
    }

    /** Leaves a trace of something that was changed after a visit was closed; nothing while it is open. */
    @Transactional
    void changedAfterClosing(String login, UUID id, String note) {
        Account account = accounts.of(login);
        Visit visit = own(account, visits.locked(id).orElse(null));
        if (visit.closed()) {
            events.save(VisitEvent.of(visit, account, VisitEvent.Kind.CHANGED_AFTER, day.now(), note));
        }
    }

    /** True if this person may open it again: its technician the same day, the lead always. */
    boolean mayReopen(Account account, Visit visit) {
        Instant closed = visit.closedAt();
        return closed != null && (account.role() == Account.Role.LEAD
                || day.of(closed).equals(day.today()));
    }

    /** Goes over to the pack as it is installed. */
    @Transactional
    void goOver(String login, UUID id) {
        Account account = accounts.of(login);
        Visit visit = own(account, visits.locked(id).orElse(null));
        mustBeOpen(visit);
        String newest = packs.digestOf(visit.unit().pack(), choices(board(visit)));
        String digest = visit.packDigest();
        if (digest != null && !digest.equals(newest)) {
            events.save(VisitEvent.of(visit, account, VisitEvent.Kind.PACK_CHANGED, day.now(), digest + " to " + newest));
            visit.goOver(newest);
        }
    }

    /**
     * The unit of a visit: a closed visit keeps the text of the pack and the version of its board that it was closed with; an open
     * one follows what is chosen of its family.
     */
    private UnitRef unit(Visit visit) {
        OverlayVersion board = board(visit);
        String digest = visit.packDigest();
        String text = digest == null || !visit.closed() && packs.isInstalled(digest)
                ? packs.digestOf(visit.unit().pack(), choices(board)) : digest;
        return new UnitRef(text, board == null ? null : board.id(), board == null ? null : board.content());
    }

    /** What the board of a unit says was chosen of its family. */
    private Map<String, String> choices(@Nullable OverlayVersion board) {
        return board == null ? Map.of() : packs.chosen(board.id(), board.content());
    }

    private @Nullable OverlayVersion board(Visit visit) {
        BoardOverlay overlay = visit.unit().overlay();
        return visit.closed() ? visit.overlayVersion() : overlay == null ? null : overlays.newestOf(overlay.id()).orElse(null);
    }

    private static void mustBeOpen(Visit visit) {
        if (visit.closed()) {
            throw new Conflict(Message.of("problem.closed"));
        }
    }

    static boolean maySee(Account account, Visit visit) {
        return account.role() == Account.Role.LEAD || visit.technician().id().equals(account.id());
    }

    private static Visit own(Account account, @Nullable Visit visit) {
        if (visit == null || !maySee(account, visit)) {
            throw noSuchVisit();
        }
        return visit;
    }

    private static NotHere noSuchVisit() {
        return new NotHere(Message.of("problem.no-visit"));
    }
}
