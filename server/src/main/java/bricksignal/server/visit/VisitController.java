package bricksignal.server.visit;

import bricksignal.casework.Case;
import bricksignal.casework.Heard;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.page.CablePage;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.ChainPage;
import bricksignal.casework.page.CommissioningPage;
import bricksignal.casework.page.ConnectionPage;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.DrawingPage;
import bricksignal.casework.page.LampPage;
import bricksignal.casework.page.ProvingPage;
import bricksignal.casework.page.SettingPage;
import bricksignal.casework.page.TestLine;
import bricksignal.casework.page.TestPage;
import bricksignal.casework.page.UnitPage;
import bricksignal.core.menu.Menu;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import bricksignal.packs.PackDifferences;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Dangerous;
import bricksignal.server.problem.OfSomebodyElse;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.tools.CalculatorController;
import bricksignal.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.Reader;
import java.security.Principal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs and visits. */
@RestController
class VisitController {

    private static final int LONGEST_QUERY = 100;
    private static final int LONGEST_COMPLAINT = 500;

    private final VisitService service;
    private final VisitPages pages;
    private final VisitHistory history;
    private final Words words;

    VisitController(VisitService service, VisitPages pages, VisitHistory history, Words words) {
        this.words = words;
        this.service = service;
        this.pages = pages;
        this.history = history;
    }

    /** A job in the list of a day; at where a time was said, brought where a file from elsewhere tells it. */
    record JobView(UUID id, long number, String site, String address, String unit, String location, String complaint,
            String technician, LocalDate scheduledOn, @Nullable LocalTime at, State state, @Nullable String verdict, boolean brought) {

        static JobView of(Visit v) {
            return new JobView(v.id(), v.number(), v.unit().site().name(), v.unit().site().address(), v.unit().label(),
                    v.unit().location(), v.complaint(), v.technician().name(), v.scheduledOn(), v.scheduledAt(), State.of(v), v.verdict(), v.fileDigest() != null);
        }
    }

    /** Where a visit stands. */
    enum State {
        PLANNED, OPEN, CLOSED;

        static State of(Visit visit) {
            return visit.closed() ? CLOSED : visit.openedAt() == null ? PLANNED : OPEN;
        }
    }

    /**
     * A visit with all that its page needs.
     *
     * @param mayReopen whether whoever asks may open it again
     * @param events when it was closed and opened again, and what it went over to
     * @param twinsSaid by unit, whether it was said to fail alike or to run well
     * @param newerPack in what the installed pack differs from the one this visit is read with; null where it is the same
     * @param unit the unit; null where the text of its pack cannot be read any more
     * @param page the case; null like the unit
     * @param raw where the pack cannot be read: the entries as they were written
     */
    record VisitView(JobView job, @Nullable Instant openedAt, @Nullable Instant closedAt, Visit.@Nullable Outcome outcome,
            @Nullable String decided, boolean mayReopen, List<EventView> events, List<JobView> earlier, UUID unitId, String family,
            @Nullable String board, List<TwinView> twins, Map<String, Boolean> twinsSaid, @Nullable List<PackDifferences.Difference> newerPack,
            @Nullable UnitPage unit, @Nullable CasePage page, List<RawEntry> raw) {
    }

    /** That a visit was closed or opened again; ofFile where a file from elsewhere says so, and nobody here saw it. */
    record EventView(VisitEvent.Kind kind, Instant at, String note, boolean ofFile) {

        static EventView of(VisitEvent e) {
            return new EventView(e.kind(), e.at(), e.note(), e.ofFile());
        }
    }

    /** Another unit of the site. */
    record TwinView(UUID id, String label, String location) {

        static TwinView of(SiteUnit unit) {
            return new TwinView(unit.id(), unit.label(), unit.location());
        }
    }

    /** An entry as it was written. */
    record RawEntry(UUID id, String kind, long madeAt, String text) {
    }

    /** The state of a case after an entry: what the screen shows first, and what was said of twins. */
    record LogAnswer(CasePage page, Map<String, Boolean> twins) {
    }

    /** A CSV file as it was read. */
    record CsvView(TraceCsv.Columns trace, List<String> notes) {
    }

    /** A new job. */
    record NewJob(@NotNull UUID unitId, @NotBlank @Size(max = LONGEST_COMPLAINT) String complaint, @Nullable Danger danger, @Nullable @Size(max = 30) List<@Valid Told> told, @Nullable Boolean newUnit, @Nullable @Size(max = 8) String at) {
    }

    /** What the customer noticed: the answer to a question. */
    record Told(@NotBlank @Size(max = 80) String test, boolean yes) {
    }

    /** Something that a customer can say. */
    record Statement(String test, boolean yes, Message label) {
        static Statement of(Heard.Statement statement) {
            return new Statement(statement.test(), statement.yes(), statement.says());
        }
    }

    /** What a customer can say of a unit, and what of it stands in a complaint. */
    record Statements(List<Statement> all, List<Statement> understood) {
    }

    /** What whoever takes the job says of the words of danger in a complaint. */
    enum Danger {
        /** The caller was told what to do; the visit begins stopped. */
        CALLER_TOLD,
        /** Asked again, and it is not so. */
        NOT_SO
    }

    /** The end of a visit. */
    record Close(@NotNull Visit.Outcome outcome, @NotBlank @Size(max = 4000) String decided) {
    }

    /** Why a visit is opened again. */
    record Reopen(@NotBlank @Size(max = 500) String reason) {
    }

    @GetMapping("/api/jobs")
    List<JobView> jobs(Principal principal, @RequestParam LocalDate day) {
        VisitDays.check("day", day);
        return service.jobs(principal.getName(), day).stream().map(JobView::of).toList();
    }

    /** Visits in which a text is found. */
    @GetMapping("/api/visits")
    List<JobView> found(Principal principal, @RequestParam String query) {
        if (query.isBlank() || query.length() > LONGEST_QUERY) {
            throw new BadInput("query", Message.of("problem.query", Message.said(String.valueOf(LONGEST_QUERY))));
        }
        return service.found(principal.getName(), query).stream().map(JobView::of).toList();
    }

    /** Makes a job. Its unit may have to be made ready first, so its page is asked for on its own: a job is made once. */
    @PostMapping("/api/jobs")
    @ResponseStatus(HttpStatus.CREATED)
    JobView make(Principal principal, @Valid @RequestBody NewJob job) {
        List<Stop> dangers = service.dangers(job.complaint());
        if (!dangers.isEmpty() && job.danger() == null) {
            throw new Dangerous(dangers);
        }
        List<Entry.Answer> noticed = job.told() == null ? List.of() : job.told().stream().map(told -> new Entry.Answer(told.test(), told.yes())).toList();
        return JobView.of(service.make(principal.getName(), job.unitId(), job.complaint(), job.danger() == Danger.CALLER_TOLD ? dangers : List.of(), noticed, Boolean.TRUE.equals(job.newUnit()), time(job.at())));
    }

    private static @Nullable LocalTime time(@Nullable String at) {
        try {
            return at == null || at.isBlank() ? null : LocalTime.parse(at);
        } catch (DateTimeParseException noTime) {
            throw new BadInput("at", Message.of("problem.time-of-day", Message.said(at)));
        }
    }

    /** What a customer can say of a unit, and what of it a complaint says as it is typed. */
    @GetMapping("/api/units/{id}/statements")
    Statements statements(@PathVariable UUID id, @RequestParam(defaultValue = "") String complaint) {
        if (complaint.length() > LONGEST_COMPLAINT) {
            throw new BadInput("complaint", Message.of("problem.complaint-too-long", Message.said(String.valueOf(complaint.length())), Message.said(String.valueOf(LONGEST_COMPLAINT))));
        }
        VisitService.Said said = service.said(id, complaint);
        return new Statements(said.all().stream().map(Statement::of).toList(), said.understood().stream().map(Statement::of).toList());
    }

    @GetMapping("/api/visits/{id}")
    VisitView read(Principal principal, @PathVariable UUID id) {
        return pages.of(principal.getName(), id);
    }

    @PostMapping("/api/visits/{id}/log")
    LogAnswer add(Principal principal, @PathVariable UUID id, @RequestHeader(name = "X-Made-By", required = false) @Nullable String madeBy, @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(ref = "#/components/schemas/NewEntry"))) @RequestBody Map<String, Object> entry) {
        if (madeBy != null && !madeBy.equals(principal.getName())) {
            throw new OfSomebodyElse(madeBy);
        }
        return answer(service.add(principal.getName(), id, EntryRequest.read(entry)));
    }

    /** A test that somebody chose. */
    @GetMapping("/api/visits/{id}/tests/{test}")
    TestPage test(Principal principal, @PathVariable UUID id, @PathVariable String test) {
        return service.look(principal.getName(), id, open -> {
            if (open.now().unit().pack().catalogue().tests().stream().noneMatch(t -> t.id().equals(test))) {
                throw new BadInput("test", "This unit has no test '" + test + "'.");
            }
            return Details.test(open.now(), test);
        });
    }

    /** The plan two levels deep. */
    @GetMapping("/api/visits/{id}/plan")
    List<Details.Way> plan(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.plan(open.now()));
    }

    /** The walks along supply and permission. */
    @GetMapping("/api/visits/{id}/chains")
    List<ChainPage> chains(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> ChainPage.of(open.now()));
    }

    /** The ladder diagram, as a healthy unit stands at a moment; at that of the next test where none is named. */
    @GetMapping("/api/visits/{id}/drawing")
    DrawingPage drawing(Principal principal, @PathVariable UUID id, @RequestParam(required = false) @Nullable String moment) {
        return service.look(principal.getName(), id, open -> {
            if (moment != null && open.now().unit().model().moments().stream().noneMatch(m -> m.id().equals(moment))) {
                throw new BadInput("moment", "This unit has no moment '" + moment + "'.");
            }
            return DrawingPage.of(open.now(), moment == null ? CasePages.moment(open.now()) : moment, words::of);
        });
    }

    /** Each board with its terminals and plugs, and where their conductors go. */
    @GetMapping("/api/visits/{id}/connections")
    List<ConnectionPage> connections(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> ConnectionPage.of(open.now()));
    }

    /** What is looked at before the power is touched, most telling first. */
    @GetMapping("/api/visits/{id}/before")
    List<Details.LookLine> before(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.before(open.now()));
    }

    /** Every question that is answered with yes or no, most telling first: for what somebody saw without being asked. */
    @GetMapping("/api/visits/{id}/questions")
    List<TestLine> questions(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.questions(open.now()));
    }

    /** The temporary changes that the circuit allows. */
    @GetMapping("/api/visits/{id}/changes")
    List<Details.ChangeLine> changes(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.changes(open.now()));
    }

    /** What a shop found of the board that was changed. */
    record Tested(@NotNull Visit.ShopTest found) {
    }

    @PreAuthorize("hasRole('LEAD')")
    @PutMapping("/api/visits/{id}/shop-test")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tested(Principal principal, @PathVariable UUID id, @Valid @RequestBody Tested tested) {
        service.tested(principal.getName(), id, tested.found());
    }

    /** The cables of the unit, terminal against terminal. */
    @GetMapping("/api/visits/{id}/cables")
    List<CablePage> cables(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> CablePage.of(open.now()));
    }

    /** The settings of the unit, and what is pressed to change those behind a menu. */
    @GetMapping("/api/visits/{id}/settings")
    List<SettingPage> settings(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> SettingPage.of(open.now().unit().model()));
    }

    /** What is pressed to bring a setting from one position to another. */
    @GetMapping("/api/visits/{id}/settings/{setting}/steps")
    List<Menu.Step> steps(Principal principal, @PathVariable UUID id, @PathVariable String setting, @RequestParam String from, @RequestParam String to) {
        return service.look(principal.getName(), id, open -> SettingPage.steps(open.now().unit().model(), setting, from, to));
    }

    /** The screens of the unit's board, and where each press leads. */
    @GetMapping("/api/visits/{id}/menu")
    List<SettingPage.MenuScreen> menu(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> SettingPage.menu(open.now().unit().model()));
    }

    /** Setting up a new unit, step by step. */
    @GetMapping("/api/visits/{id}/commissioning")
    CommissioningPage commissioning(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> CommissioningPage.of(service.begin(open)));
    }

    /** Earlier visits to the unit, and what they mean for this one. */
    @GetMapping("/api/visits/{id}/history")
    VisitHistory.HistoryView history(Principal principal, @PathVariable UUID id) {
        return history.of(principal.getName(), id);
    }

    /** What proves the repair, and what of it is missing. */
    @GetMapping("/api/visits/{id}/proving")
    ProvingPage proving(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> ProvingPage.of(open.now()));
    }

    /** Where a setting should stand, by what a person has at hand; nothing is kept. */
    @PostMapping("/api/visits/{id}/settings/{setting}/suggestion")
    SettingPage.Suggested suggestion(Principal principal, @PathVariable UUID id, @PathVariable String setting,
            @Valid @RequestBody CalculatorController.CalculatorInput input) {
        return service.look(principal.getName(), id, open -> SettingPage.suggested(open.now().unit().model(), setting, input.numbers(), input.choices(), words.measures()));
    }

    /** Parts in the order of the cheapest repair. */
    /** What to take to it, with its chance. */
    @GetMapping("/api/visits/{id}/bring")
    List<Details.Bring> bring(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.bring(service.heard(open)));
    }

    @GetMapping("/api/visits/{id}/repairs")
    List<Details.Repair> repairs(Principal principal, @PathVariable UUID id) {
        return service.look(principal.getName(), id, open -> Details.repairs(open.now()));
    }

    /** A lamp as recorded, read; nothing is kept. */
    @PostMapping("/api/visits/{id}/lamp")
    LampPage previewLamp(Principal principal, @PathVariable UUID id, @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(ref = "#/components/schemas/NewEntry"))) @RequestBody Map<String, Object> entry) {
        Filed sent = EntryRequest.read(entry);
        if (!(sent.entry() instanceof Entry.Film film)) {
            throw new BadInput("kind", "Only a recording (FILM) is looked at before it is kept.");
        }
        return service.look(principal.getName(), id, open -> LampPage.of(open.now(), film));
    }

    /** A CSV file of a lamp's brightness, read row by row as far as it can be used; nothing is kept. */
    @PostMapping(value = "/api/lamp/csv", consumes = "text/csv")
    CsvView csv(@Parameter(hidden = true) Reader file) {
        TraceCsv read = TraceCsv.read(file);
        return new CsvView(read.columns(), read.notes());
    }

    @PostMapping("/api/visits/{id}/close")
    VisitView close(Principal principal, @PathVariable UUID id, @Valid @RequestBody Close close) {
        service.close(principal.getName(), id, close.outcome(), close.decided());
        return pages.of(principal.getName(), id);
    }

    @PostMapping("/api/visits/{id}/reopen")
    VisitView reopen(Principal principal, @PathVariable UUID id, @Valid @RequestBody Reopen reopen) {
        service.reopen(principal.getName(), id, reopen.reason().trim());
        return pages.of(principal.getName(), id);
    }

    /** Goes over to the pack as it is installed. */
    @PostMapping("/api/visits/{id}/pack")
    VisitView goOver(Principal principal, @PathVariable UUID id) {
        service.goOver(principal.getName(), id);
        return pages.of(principal.getName(), id);
    }

    private LogAnswer answer(Case now) {
        return new LogAnswer(pages.page(now), twinsOf(now));
    }

    static Map<String, Boolean> twinsOf(Case now) {
        Map<String, Boolean> twins = new LinkedHashMap<>();
        now.lines().forEach(line -> {
            if (line.counts() && line.filed().entry() instanceof Entry.Twin twin) {
                twins.put(twin.unit(), twin.alike());
            }
        });
        return twins;
    }
}
