package bricksignal.server.site;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sites with their units, for making a job. */
@RestController
class SiteController {

    private final SiteUnits units;

    SiteController(SiteUnits units) {
        this.units = units;
    }

    /** A site and what stands on it. */
    record SiteView(UUID id, String name, String address, List<SiteUnitView> units) {
    }

    /** A unit of a site. */
    record SiteUnitView(UUID id, String label, String location, String pack) {
    }

    @GetMapping("/api/sites")
    List<SiteView> sites() {
        Map<UUID, SiteView> sites = new LinkedHashMap<>();
        for (SiteUnit unit : units.all()) {
            Site site = unit.site();
            sites.computeIfAbsent(site.id(), id -> new SiteView(id, site.name(), site.address(), new java.util.ArrayList<>()))
                    .units().add(new SiteUnitView(unit.id(), unit.label(), unit.location(), unit.pack()));
        }
        return List.copyOf(sites.values());
    }
}
