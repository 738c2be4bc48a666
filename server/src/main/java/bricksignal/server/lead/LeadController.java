package bricksignal.server.lead;

import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import bricksignal.server.record.CsvText;
import bricksignal.server.record.Download;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The lead's view of what was done. */
@PreAuthorize("hasRole('LEAD')")
@RestController
class LeadController {

    private static final int LONGEST_YEARS = 20;

    private final Closed closed;

    LeadController(Closed closed) {
        this.closed = closed;
    }

    @GetMapping("/api/lead/overview")
    Closed.Overview overview(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        check(from, to);
        return closed.overview(from, to);
    }

    @GetMapping("/api/lead/visits.csv")
    ResponseEntity<String> csv(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        check(from, to);
        String text = CsvText.of(List.of("number", "family", "site", "unit", "person", "complaint", "verdict", "outcome", "proven", "repaired", "board", "changed by leave", "skipped",
                "opened", "closed", "minutes", "minutes by the book", "cost", "cost by the book", "came back as"), closed.rows(from, to).stream().map(row -> Arrays.asList(row.number(), row.pack(), row.site(),
                row.unit(), row.person(), row.complaint(), row.verdict(), row.outcome(), row.proven(), row.repaired(), row.board(), row.allowed(), row.skipped(), row.opened(),
                row.closed(), rounded(row.minutes()), rounded(row.bookMinutes()), rounded(row.cost()),
                rounded(row.bookCost()), row.back())));
        return Download.of("visits.csv", Download.CSV, text);
    }

    private static @Nullable Long rounded(@Nullable Double value) {
        return value == null ? null : Math.round(value);
    }

    private static void check(LocalDate from, LocalDate to) {
        if (from.isAfter(to)) {
            throw new BadInput("from", Message.of("problem.from-after-to", Message.said(from.toString()), Message.said(to.toString())));
        }
        if (from.plusYears(LONGEST_YEARS).isBefore(to)) {
            throw new BadInput("from", Message.of("problem.too-many-years", Message.said(from.toString()), Message.said(to.toString()), Message.said(String.valueOf(LONGEST_YEARS))));
        }
    }
}
