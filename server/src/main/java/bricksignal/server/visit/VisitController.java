package bricksignal.server.visit;

import bricksignal.server.diagnosis.DiagnosisView;
import bricksignal.server.diagnosis.Findings;
import bricksignal.server.diagnosis.LampView;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.site.SiteUnit;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.Reader;
import java.security.Principal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs and visits. */
@RestController
class VisitController {

    private final VisitService service;

    VisitController(VisitService service) {
        this.service = service;
    }

    /** A job in the list of a day. */
    record JobView(UUID id, long number, String site, String address, String unit, String location, String complaint,
            String technician, LocalDate scheduledOn, State state, @Nullable String verdict) {

        static JobView of(Visit v) {
            return new JobView(v.id(), v.number(), v.unit().site().name(), v.unit().site().address(), v.unit().label(),
                    v.unit().location(), v.complaint(), v.technician().name(), v.scheduledOn(), State.of(v), v.verdict());
        }
    }

    /** Where a visit stands. */
    enum State {
        PLANNED, OPEN, CLOSED;

        static State of(Visit visit) {
            return visit.closed() ? CLOSED : visit.openedAt() == null ? PLANNED : OPEN;
        }
    }

    /** A visit with all that its page shows. */
    record VisitView(JobView job, @Nullable Instant openedAt, @Nullable Instant closedAt, Visit.@Nullable Outcome outcome,
            @Nullable String decided, List<JobView> earlier, UUID unitId, String family, @Nullable String board, List<TwinView> twins,
            DiagnosisView diagnosis) {
    }

    /** Another unit of the site; same is whether it fails alike, absent where nobody looked. */
    record TwinView(UUID id, String label, String location, @Nullable Boolean same) {
    }

    /** A CSV file as it was read. */
    record CsvView(Entry.TraceData trace, List<String> notes) {
    }

    /** A new job. */
    record NewJob(@NotNull UUID unitId, @NotBlank @Size(max = 500) String complaint) {
    }

    /** The end of a visit. */
    record Close(Visit.@NotNull Outcome outcome, @NotBlank @Size(max = 4000) String decided) {
    }

    @GetMapping("/api/jobs")
    List<JobView> jobs(Principal principal, @RequestParam LocalDate day) {
        return service.jobs(principal.getName(), day).stream().map(JobView::of).toList();
    }

    @PostMapping("/api/jobs")
    @ResponseStatus(HttpStatus.CREATED)
    VisitView make(Principal principal, @Valid @RequestBody NewJob job) {
        UUID id = service.make(principal.getName(), job.unitId(), job.complaint(), LocalDate.now()).id();
        return view(service.read(principal.getName(), id));
    }

    @GetMapping("/api/visits/{id}")
    VisitView read(Principal principal, @PathVariable UUID id) {
        return view(service.read(principal.getName(), id));
    }

    @PostMapping("/api/visits/{id}/log")
    VisitView add(Principal principal, @PathVariable UUID id, @Valid @RequestBody Entry entry) {
        service.add(principal.getName(), id, entry);
        return view(service.read(principal.getName(), id));
    }

    /** A lamp as recorded, read; nothing is kept. */
    @PostMapping("/api/visits/{id}/lamp")
    LampView previewLamp(Principal principal, @PathVariable UUID id, @Valid @RequestBody Entry entry) {
        return service.previewLamp(principal.getName(), id, entry);
    }

    /** A CSV file of a lamp's brightness, read row by row as far as it can be used; nothing is kept. */
    @PostMapping(value = "/api/lamp/csv", consumes = "text/csv")
    CsvView csv(@Parameter(hidden = true) Reader file) {
        TraceCsv read = TraceCsv.read(file);
        return new CsvView(read.trace(), read.notes());
    }

    @PostMapping("/api/visits/{id}/close")
    VisitView close(Principal principal, @PathVariable UUID id, @Valid @RequestBody Close close) {
        service.close(principal.getName(), id, close.outcome(), close.decided());
        return view(service.read(principal.getName(), id));
    }

    private static VisitView view(VisitService.Opened opened) {
        Visit v = opened.visit();
        BoardOverlay overlay = v.unit().overlay();
        return new VisitView(JobView.of(v), v.openedAt(), v.closedAt(), v.outcome(), v.decided(),
                opened.earlier().stream().map(JobView::of).toList(), v.unit().id(), v.unit().pack(), overlay == null ? null : overlay.name(),
                opened.twins().stream().map(t -> twin(t, opened.findings())).toList(), DiagnosisView.of(opened.findings()));
    }

    private static TwinView twin(SiteUnit unit, Findings findings) {
        Boolean same = findings.entries().stream().filter(e -> e.counts() && e.entry().kind() == Evidence.Kind.TWIN
                && unit.id().equals(e.entry().unit())).reduce((a, b) -> b).map(e -> e.entry().yes()).orElse(null);
        return new TwinView(unit.id(), unit.label(), unit.location(), same);
    }
}
