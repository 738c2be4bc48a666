package bricksignal.server.overlay;

import bricksignal.packs.Overlay;
import bricksignal.packs.PackException;
import bricksignal.packs.PackProblem;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Boards that were typed in. */
@RestController
class OverlayController {

    private final OverlayService service;

    OverlayController(OverlayService service) {
        this.service = service;
    }

    /** A board in a list; by is who made this version. */
    record OverlayRow(String name, String family, String title, int version, Instant madeAt, String by) {
    }

    /** Rows of versions; who made them is asked once for all. */
    private List<OverlayRow> rows(List<OverlayVersion> versions) {
        Map<UUID, String> names = service.names(versions);
        return versions.stream().map(v -> new OverlayRow(v.overlay().name(), v.overlay().family(), v.title(), v.version(), v.madeAt(), names.getOrDefault(v.madeBy(), "")))
                .toList();
    }

    /** A board with its text, and whether whoever asks may keep another version of it. */
    record OverlayView(OverlayRow row, boolean mayChange, String yaml, OverlayDraft draft, List<PackProblem> notes, List<OverlayRow> history) {
    }

    /** What a check found; no problem means that it can be used. */
    record OverlayCheck(boolean usable, String yaml, List<PackProblem> problems, List<PackProblem> notes) {
    }

    @GetMapping("/api/overlays")
    List<OverlayRow> list() {
        return rows(service.newest());
    }

    @GetMapping("/api/overlays/{name}")
    OverlayView read(Principal principal, @PathVariable String name, @RequestParam(defaultValue = "0") int version) {
        OverlayVersion found = service.version(name, version);
        return view(principal, found, service.read(found.content()));
    }

    @GetMapping(value = "/api/overlays/{name}/yaml", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> text(@PathVariable String name, @RequestParam(defaultValue = "0") int version) {
        return ResponseEntity.ok().header("Content-Disposition", "attachment; filename=\"" + name + ".yaml\"")
                .body(service.version(name, version).content());
    }

    /** Checks a draft while it is being typed; nothing is kept. */
    @PostMapping("/api/overlays/check")
    OverlayCheck check(@RequestBody OverlayDraft draft) {
        return check(service.text(draft));
    }

    /** Keeps a draft as a new version. */
    @PostMapping("/api/overlays")
    OverlayCheck save(Principal principal, @RequestBody OverlayDraft draft) {
        return save(principal, service.text(draft));
    }

    /** Keeps a YAML text, as it was exported somewhere else. */
    @PostMapping(value = "/api/overlays/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    OverlayCheck importText(Principal principal, @RequestBody String yaml) {
        return save(principal, yaml);
    }

    private OverlayCheck save(Principal principal, String yaml) {
        OverlayCheck check = check(yaml);
        if (check.usable()) {
            service.save(principal.getName(), yaml);
        }
        return check;
    }

    private OverlayCheck check(String yaml) {
        try {
            return new OverlayCheck(true, yaml, List.of(), service.read(yaml).notes());
        } catch (PackException refused) {
            return new OverlayCheck(false, yaml, refused.problems(), List.of());
        }
    }

    private OverlayView view(Principal principal, OverlayVersion version, Overlay read) {
        return new OverlayView(rows(List.of(version)).get(0), service.mayChange(principal.getName(), version.overlay()), version.content(), service.draft(version.content()), read.notes(),
                rows(service.history(version.overlay().name())));
    }
}
