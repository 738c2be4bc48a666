package bricksignal.server.record;

import bricksignal.casework.page.NoticePage;
import bricksignal.core.words.Message;
import bricksignal.server.problem.Conflict;
import bricksignal.server.visit.VisitService;
import bricksignal.server.words.Words;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The notice to the occupant of a unit that stays off, as PDF. */
@Component
class Notices {

    private final Pdf pdf;
    private final Words words;

    Notices(Pdf pdf, Words words) {
        this.pdf = pdf;
        this.words = words;
    }

    /**
     * The notice.
     *
     * @throws Conflict if nobody was told yet
     */
    byte[] pdf(VisitService.Standing standing, Pdf.Paper paper) {
        NoticePage notice = NoticePage.of(standing.now()).orElseThrow(() -> new Conflict(words.sentence(Message.of("close.not-tagged")) + "."));
        Map<String, Object> values = Reports.visit(standing.visit());
        values.put("title", words.of(notice.title()));
        values.put("stops", notice.reasons().stream().map(reason -> Map.of("what", words.of(reason.what()), "never", words.of(reason.never()), "until",
                words.of(reason.until()), "call", words.of(reason.call()))).toList());
        values.put("lines", notice.facts().stream().map(fact -> Map.of("label", words.of(fact.label()), "text", fact.text())).toList());
        values.put("defer", words.of(notice.defer()));
        values.put("signature", words.of(notice.signature()));
        return pdf.of("notice", values, paper);
    }
}
