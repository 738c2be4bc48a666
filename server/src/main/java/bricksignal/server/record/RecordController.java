package bricksignal.server.record;

import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.ReportPage;
import bricksignal.casework.page.RunDump;
import bricksignal.core.circuit.solve.SpiceNetlist;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Moment;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Workbench;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.VisitService;
import bricksignal.server.words.Words;
import java.security.Principal;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The record of a visit, to be read, handed over, and taken in elsewhere. */
@RestController
class RecordController {

    private final VisitService visits;
    private final Reports reports;
    private final VisitFile file;
    private final Words words;
    private final Workbench workbench;
    private final Notices notices;

    RecordController(VisitService visits, Reports reports, VisitFile file, Words words, Workbench workbench, Notices notices) {
        this.notices = notices;
        this.visits = visits;
        this.reports = reports;
        this.file = file;
        this.words = words;
        this.workbench = workbench;
    }

    /** A visit that was taken in: how many entries, whether it is closed, and what was not taken over. */
    record TakenIn(UUID id, int entries, boolean closed, List<String> left) {
    }

    @GetMapping("/api/visits/{id}/report")
    ReportPage report(Principal principal, @PathVariable UUID id) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        return workbench.at(() -> ReportPage.of(standing.now()));
    }

    @GetMapping("/api/visits/{id}/report.pdf")
    ResponseEntity<byte[]> pdf(Principal principal, @PathVariable UUID id, @RequestParam(defaultValue = "A4") Pdf.Paper paper) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        return named(standing.visit(), "report", "pdf", MediaType.APPLICATION_PDF, workbench.at(() -> reports.pdf(standing, paper)));
    }

    /** The notice to the occupant of a unit that was shut off and tagged. */
    @GetMapping("/api/visits/{id}/notice.pdf")
    ResponseEntity<byte[]> notice(Principal principal, @PathVariable UUID id, @RequestParam(defaultValue = "LETTER") Pdf.Paper paper) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        return named(standing.visit(), "notice", "pdf", MediaType.APPLICATION_PDF, workbench.at(() -> notices.pdf(standing, paper)));
    }

    /** The same visit for another place; its schema is at {@code /api/visit.schema.json}. */
    @GetMapping("/api/visits/{id}/visit.json")
    ResponseEntity<byte[]> json(Principal principal, @PathVariable UUID id) {
        VisitService.Kept kept = visits.kept(principal.getName(), id);
        return named(kept.visit(), "visit", "json", MediaType.APPLICATION_JSON, file.written(kept));
    }

    @GetMapping("/api/visit.schema.json")
    Resource schema() {
        return new ClassPathResource(VisitFile.SCHEMA);
    }

    @GetMapping("/api/visits/{id}/readings.csv")
    ResponseEntity<String> csv(Principal principal, @PathVariable UUID id) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        return named(standing.visit(), "readings", "csv", Download.CSV, workbench.at(() -> readings(Details.log(standing.now()))));
    }

    /** The run as a value change dump (IEEE 1364). */
    @GetMapping("/api/visits/{id}/run.vcd")
    ResponseEntity<String> vcd(Principal principal, @PathVariable UUID id) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        return named(standing.visit(), "run", "vcd", MediaType.TEXT_PLAIN, workbench.at(() -> RunDump.of(standing.now())));
    }

    /** The circuit of the unit in good order at a moment, as a SPICE netlist; at the first moment where none is named. */
    @GetMapping("/api/visits/{id}/circuit.cir")
    ResponseEntity<String> spice(Principal principal, @PathVariable UUID id, @RequestParam(required = false) @Nullable String moment) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        CompiledPack pack = standing.now().unit().pack();
        Moment at = pack.model().moments().stream().filter(m -> moment == null || m.id().equals(moment)).findFirst().orElseThrow(() ->
                new BadInput("moment", "This unit has no moment '" + moment + "'. It has " + String.join(", ", pack.model().moments().stream()
                        .map(Moment::id).toList()) + "."));
        return named(standing.visit(), "circuit", "cir", MediaType.TEXT_PLAIN, workbench.at(() -> SpiceNetlist.alternating(pack.nominal().run(at.scenario())
                .at(pack.catalogue().seconds(at.id())).unit().solution().circuit(), pack.model().title() + ", " + at.label())));
    }

    /** Takes in a visit that was written elsewhere; the same one again changes nothing. */
    @PreAuthorize("hasRole('LEAD')")
    @PostMapping("/api/visits/import")
    TakenIn takeIn(Principal principal, @RequestBody Map<String, Object> document) {
        return file.takenIn(principal.getName(), document);
    }

    private String readings(List<CasePage.LogLine> log) {
        return CsvText.of(List.of("time", "id", "kind", "what", "found", "expected", "judgement", "counts"), log.stream().map(line -> Arrays.asList(
                Instant.ofEpochMilli(line.madeAt()), line.id(), line.kind(), words.of(line.what()), words.of(line.found()), words.of(line.due()),
                words.of(line.judgement()), line.counts())));
    }

    private static <T> ResponseEntity<T> named(Visit visit, String what, String ending, MediaType type, T body) {
        return Download.of(what + "-" + visit.number() + "." + ending, type, body);
    }
}
