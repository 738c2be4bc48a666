package bricksignal.server.paper;

import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Workbench;
import java.security.Principal;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Papers of a unit and of its kind of board. */
@RestController
class PaperController {

    private static final int LONGEST_TITLE = 120;
    private static final int LONGEST_PART = 80;
    private static final CacheControl FOR_A_YEAR = CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Papers papers;
    private final Workbench workbench;

    PaperController(Papers papers, Workbench workbench) {
        this.papers = papers;
        this.workbench = workbench;
    }

    /**
     * A paper, without its file.
     *
     * @param board whether it belongs to the kind of board, and so to every unit that has one
     * @param part the part at whose tests it is shown; null for a paper of the whole
     * @param page the page that is meant; null for all of it
     */
    record PaperView(UUID id, String title, boolean board, @Nullable String part, @Nullable Integer page, int pages, boolean picture) {
    }

    @GetMapping("/api/units/{id}/papers")
    List<PaperView> papers(@PathVariable UUID id) {
        return papers.of(id).stream().map(line -> new PaperView(line.id(), line.title(), line.unitId() == null, line.part(), line.page(), line.pages(), picture(line.type()))).toList();
    }

    /** Keeps a PDF, a JPEG or a PNG under an id that the client makes. */
    @PutMapping(value = "/api/units/{id}/papers/{paper}", consumes = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE,
        MediaType.APPLICATION_OCTET_STREAM_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    PaperView keepPaper(Principal principal, @PathVariable UUID id, @PathVariable UUID paper, @RequestParam String title, @RequestParam(required = false) @Nullable String part,
            @RequestParam(required = false) @Nullable Integer page, @RequestParam(defaultValue = "false") boolean board, @RequestBody byte[] file) {
        if (title.isBlank() || title.length() > LONGEST_TITLE) {
            throw new BadInput("title", Message.of("problem.paper-title", new Message.Number(LONGEST_TITLE)));
        }
        if (part != null && part.length() > LONGEST_PART || page != null && page < 1) {
            throw new BadInput(page != null && page < 1 ? "page" : "part", Message.of("problem.paper-about"));
        }
        PaperFile read = workbench.alone(() -> PaperFile.of(file));
        Paper kept = papers.keep(principal.getName(), id, paper, title.trim(), part == null || part.isBlank() ? null : part, page, board, read);
        return new PaperView(kept.id(), kept.about().title(), kept.about().unit() == null, kept.about().part(), kept.about().page(), kept.pages(), picture(kept.type()));
    }

    /** The file itself. */
    @GetMapping("/api/papers/{paper}")
    ResponseEntity<byte[]> file(@PathVariable UUID paper) {
        Paper kept = papers.one(paper);
        return ResponseEntity.ok().cacheControl(FOR_A_YEAR).contentType(MediaType.parseMediaType(kept.type())).header(HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.inline().filename(kept.about().title() + (picture(kept.type()) ? ".jpg" : ".pdf"), java.nio.charset.StandardCharsets.UTF_8).build().toString()).body(kept.content());
    }

    /** Throws one away. */
    @DeleteMapping("/api/units/{id}/papers/{paper}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Principal principal, @PathVariable UUID id, @PathVariable UUID paper) {
        papers.remove(principal.getName(), id, paper);
    }

    private static boolean picture(String type) {
        return type.startsWith("image/");
    }
}
