package bricksignal.server.ownpack;

import bricksignal.server.pack.PackCheck;
import bricksignal.server.site.SiteService;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The packs of the company: everybody may read them, the lead keeps, uses and withdraws them. */
@RestController
class OwnPackController {

    private final OwnPackService service;
    private final SiteService sites;

    OwnPackController(OwnPackService service, SiteService sites) {
        this.service = service;
        this.sites = sites;
    }

    /** A version in the list of a pack. */
    record OwnVersion(int version, String title, Instant madeAt) {
    }

    /**
     * A pack of the company.
     *
     * @param used the version that its units follow
     * @param units how many follow it
     * @param versions the newest first
     * @param unreadable why the version that is used cannot be read any more; null where it can
     */
    record OwnPackRow(String id, int used, boolean withdrawn, int units, List<OwnVersion> versions, @Nullable String unreadable) {
    }

    @GetMapping("/api/own-packs")
    List<OwnPackRow> list() {
        return service.all().stream().map(this::row).toList();
    }

    /** A version as its author wrote it. */
    @GetMapping(value = "/api/own-packs/{id}/{version}.yaml", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> text(@PathVariable String id, @PathVariable int version) {
        return ResponseEntity.ok().header("Content-Disposition", "attachment; filename=\"" + id + "-" + version + ".yaml\"")
                .body(service.kept(id).version(version).content());
    }

    /** Checks a text and keeps it as a new version, which is used from now on. */
    @PreAuthorize("hasRole('LEAD')")
    @PostMapping(value = "/api/own-packs", consumes = MediaType.TEXT_PLAIN_VALUE)
    PackCheck keep(Principal principal, @RequestBody String yaml) {
        return service.keep(principal.getName(), yaml);
    }

    @PreAuthorize("hasRole('LEAD')")
    @PostMapping("/api/own-packs/{id}/use/{version}")
    OwnPackRow use(@PathVariable String id, @PathVariable int version) {
        return row(service.use(id, version));
    }

    @PreAuthorize("hasRole('LEAD')")
    @PostMapping("/api/own-packs/{id}/withdraw")
    OwnPackRow withdraw(@PathVariable String id) {
        return row(service.withdraw(id));
    }

    private OwnPackRow row(OwnPackService.Kept kept) {
        return new OwnPackRow(kept.pack().name(), kept.pack().used(), kept.pack().withdrawn(), sites.unitsOf(kept.pack().name()),
                kept.versions().stream().map(v -> new OwnVersion(v.version(), v.title(), v.madeAt())).toList(),
                service.unreadable(kept.pack().name()));
    }
}
