package bricksignal.server.site;

import bricksignal.server.overlay.BoardOverlay;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sites with their units, for making a job. */
@RestController
class SiteController {

    private final SiteService service;

    SiteController(SiteService service) {
        this.service = service;
    }

    /** A site and what stands on it. */
    record SiteView(UUID id, String name, String address, List<SiteUnitView> units) {
    }

    /** A unit of a site; board is the name of its overlay. */
    record SiteUnitView(UUID id, String label, String location, String pack, @Nullable String board) {

        static SiteUnitView of(SiteUnit unit) {
            BoardOverlay overlay = unit.overlay();
            return new SiteUnitView(unit.id(), unit.label(), unit.location(), unit.pack(),
                    overlay == null ? null : overlay.name());
        }
    }

    /** A unit that stands in no list yet, on a site that is known or new; what is chosen of its family where it has no board. */
    record NewUnit(@Nullable UUID siteId, @Nullable @Size(max = 120) String siteName, @Nullable @Size(max = 200) String address,
            @NotBlank @Size(max = 120) String label, @NotBlank @Size(max = 200) String location, @NotBlank String pack,
            @Nullable Map<String, String> choices, @Nullable String board) {
    }

    /** Which board a unit has; none means that the family is used as it is. */
    record BoardOf(@Nullable String board) {
    }

    @GetMapping("/api/sites")
    List<SiteView> sites() {
        Map<UUID, SiteView> sites = new LinkedHashMap<>();
        for (SiteUnit unit : service.units()) {
            Site site = unit.site();
            sites.computeIfAbsent(site.id(), id -> new SiteView(id, site.name(), site.address(), new java.util.ArrayList<>()))
                    .units().add(SiteUnitView.of(unit));
        }
        return List.copyOf(sites.values());
    }

    @PostMapping("/api/units")
    @ResponseStatus(HttpStatus.CREATED)
    SiteUnitView make(Principal principal, @Valid @RequestBody NewUnit unit) {
        return SiteUnitView.of(service.make(principal.getName(), unit));
    }

    @PostMapping("/api/units/{id}/board")
    SiteUnitView follow(Principal principal, @PathVariable UUID id, @RequestBody BoardOf choice) {
        return SiteUnitView.of(service.follow(principal.getName(), id, choice.board()));
    }

    /** The year a unit was put in. */
    record Installed(@Nullable @Min(1900) @Max(2200) Integer year) {
    }

    @PostMapping("/api/units/{id}/installed")
    SiteUnitView installed(Principal principal, @PathVariable UUID id, @Valid @RequestBody Installed when) {
        return SiteUnitView.of(service.installed(principal.getName(), id, when.year()));
    }
}
