package bricksignal.server.visit;

import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.diagnosis.Findings;
import bricksignal.server.diagnosis.LampView;
import bricksignal.server.diagnosis.LogReader;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import bricksignal.server.log.EvidenceLog;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.overlay.OverlayVersions;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Writes to visits and reads them; knows who may. */
@Service
public class VisitService {

    private final Visits visits;
    private final EvidenceLog log;
    private final Accounts accounts;
    private final SiteUnits units;
    private final LogReader reader;
    private final Packs packs;
    private final SiteService sites;
    private final OverlayVersions overlays;
    private final PolicyService policy;
    private final JsonMapper json;
    private final Clock clock = Clock.systemUTC();

    VisitService(Visits visits, EvidenceLog log, Accounts accounts, SiteUnits units, LogReader reader, Packs packs,
            SiteService sites, OverlayVersions overlays, PolicyService policy, JsonMapper json) {
        this.visits = visits;
        this.log = log;
        this.accounts = accounts;
        this.units = units;
        this.reader = reader;
        this.packs = packs;
        this.sites = sites;
        this.overlays = overlays;
        this.policy = policy;
        this.json = json;
    }

    /** A visit with what its log says. */
    public record Opened(Visit visit, Findings findings, List<Visit> earlier, List<SiteUnit> twins) {
    }

    /** The jobs of a day: a technician's own, or everybody's for a lead. Open ones of days before are among them. */
    @Transactional(readOnly = true)
    public List<Visit> jobs(String login, LocalDate day) {
        Account account = accounts.ofSession(login);
        return visits.dueOn(day).stream().filter(visit -> maySee(account, visit)).toList();
    }

    /** Makes a job for whoever asks. */
    @Transactional
    public Visit make(String login, UUID unitId, String complaint, LocalDate day) {
        SiteUnit unit = units.findById(unitId).orElseThrow(() -> new BadInput("unitId", "There is no such unit; choose one "
                + "from the list."));
        return visits.save(new Visit(UUID.randomUUID(), unit, accounts.ofSession(login), complaint.trim(), day));
    }

    /** A visit as it stands. */
    @Transactional(readOnly = true)
    public Opened read(String login, UUID id) {
        Visit visit = own(accounts.ofSession(login), visits.whole(id).orElse(null));
        List<Visit> earlier = visits.closedOn(visit.unit().id()).stream().filter(v -> !v.id().equals(id)).toList();
        return new Opened(visit, findings(visit), earlier, sites.twinsOf(visit.unit()));
    }

    /** Adds an entry. An entry that is there already is left as it is. */
    @Transactional
    public void add(String login, UUID visitId, Entry entry) {
        Account account = accounts.ofSession(login);
        Visit visit = own(account, visits.locked(visitId).orElse(null));
        Evidence known = log.findById(entry.id()).orElse(null);
        if (known != null) {
            if (!known.visitId().equals(visitId)) {
                throw new Conflict("Entry " + entry.id() + " belongs to another visit. Send it with a new id.");
            }
            return;
        }
        mustBeOpen(visit);
        Entry whole = superseded(visitId, entry).map(entry::where).orElse(entry);
        reader.observation(ready(visit).pack(), whole);
        log.save(new Evidence(entry.id(), visitId, account.id(), entry.kind(), json.writeValueAsString(whole),
                entry.supersedes(), entry.madeAt()));
        visit.open(entry.madeAt());
    }

    /** Closes a visit; closing it again in the same way changes nothing. */
    @Transactional
    public void close(String login, UUID visitId, Visit.Outcome outcome, String decided) {
        Visit visit = own(accounts.ofSession(login), visits.locked(visitId).orElse(null));
        if (visit.closed() && visit.outcome() == outcome) {
            return;
        }
        mustBeOpen(visit);
        Findings findings = findings(visit);
        if (outcome == Visit.Outcome.FIXED && !findings.changesLeftIn().isEmpty()) {
            throw new Conflict("Still in the unit: " + String.join(", ", findings.changesLeftIn().stream()
                    .map(Entry::text).toList()) + ". Take it out and say so; then the visit can be closed as fixed.");
        }
        visit.close(clock.instant(), outcome, decided.trim(), findings.verdictInWords(), board(visit));
    }

    private Findings findings(Visit visit) {
        return reader.findings(ready(visit), policy.current(), log.of(visit.id()));
    }

    /** A lamp as recorded, read against the board's chart; nothing is kept. */
    @Transactional(readOnly = true)
    public LampView previewLamp(String login, UUID visitId, Entry entry) {
        return LampView.of(ready(own(accounts.ofSession(login), visits.whole(visitId).orElse(null))), entry);
    }

    /** The model of a visit's unit: a closed visit keeps the version of its board that it was closed with. */
    private Packs.Ready ready(Visit visit) {
        OverlayVersion board = board(visit);
        return board == null ? packs.ready(visit.unit().pack()) : packs.ready(board.id().toString(), board.content());
    }

    private @Nullable OverlayVersion board(Visit visit) {
        BoardOverlay overlay = visit.unit().overlay();
        return visit.closed() ? visit.overlayVersion() : overlay == null ? null : overlays.newestOf(overlay.id()).orElse(null);
    }

    /** The entry that this one takes back or corrects; it must be in the same log. */
    private Optional<Entry> superseded(UUID visitId, Entry entry) {
        UUID superseded = entry.supersedes();
        if (superseded == null) {
            if (entry.kind() == Evidence.Kind.TAKE_BACK || entry.kind() == Evidence.Kind.CHANGE_OUT) {
                throw new BadInput("supersedes", "Say which entry is taken back or which change is out.");
            }
            return Optional.empty();
        }
        Evidence evidence = log.findById(superseded).filter(e -> e.visitId().equals(visitId)).orElseThrow(
                () -> new BadInput("supersedes", "The entry to take back is not in this visit's log."));
        boolean change = evidence.kind() == Evidence.Kind.CHANGE_IN;
        if (entry.kind() == Evidence.Kind.CHANGE_OUT && !change) {
            throw new BadInput("supersedes", "That entry is not a temporary change.");
        }
        return Optional.of(json.readValue(evidence.content(), Entry.class));
    }

    private static void mustBeOpen(Visit visit) {
        if (visit.closed()) {
            throw new Conflict("This visit was closed and is kept as it is. Make a new job for this unit to go on.");
        }
    }

    private static boolean maySee(Account account, Visit visit) {
        return account.role() == Account.Role.LEAD || visit.technician().id().equals(account.id());
    }

    private static Visit own(Account account, @org.jspecify.annotations.Nullable Visit visit) {
        if (visit == null || !maySee(account, visit)) {
            throw new NotHere("There is no such visit among yours. Go back to the jobs of the day.");
        }
        return visit;
    }
}
