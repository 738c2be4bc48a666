package bricksignal.server.lead;

import bricksignal.casework.page.StockPage;
import bricksignal.core.costing.Rates;
import bricksignal.core.unit.UnitModel;
import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.learning.OwnAgeing;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.Workbench;
import bricksignal.server.record.CsvText;
import bricksignal.server.record.Download;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the vans should carry, by the units that are looked after and what was wanted for them. */
@PreAuthorize("hasRole('LEAD')")
@RestController
class StockController {

    private final Packs packs;
    private final SiteService sites;
    private final PolicyService policy;
    private final OwnAgeing ageing;
    private final Accounts accounts;
    private final Closed closed;
    private final Workbench workbench;
    private final CompanyDay day;

    StockController(Packs packs, SiteService sites, PolicyService policy, OwnAgeing ageing, Accounts accounts, Closed closed, Workbench workbench, CompanyDay day) {
        this.day = day;
        this.packs = packs;
        this.sites = sites;
        this.policy = policy;
        this.ageing = ageing;
        this.accounts = accounts;
        this.closed = closed;
        this.workbench = workbench;
    }

    @GetMapping("/api/lead/stock")
    StockPage stock() {
        Rates rates = ageing.of(policy.rates());
        Map<String, List<SiteUnit>> units = new LinkedHashMap<>();
        sites.units().forEach(unit -> units.computeIfAbsent(unit.pack(), pack -> new ArrayList<>()).add(unit));
        Map<String, Map<String, Integer>> used = closed.used();
        Map<String, Map<String, Integer>> visits = closed.visits();
        List<String> vans = accounts.findByRoleOrderByName(Account.Role.TECHNICIAN).stream().map(Account::name).toList();
        double weeks = closed.weeks();
        List<StockPage.Fleet> fleets = packs.models().stream().map(model -> fleet(model, units.getOrDefault(model.id(), List.of()),
                used.getOrDefault(model.id(), Map.of()), weeks, visits.getOrDefault(model.id(), Map.of()), rates, day.today().getYear())).toList();
        return workbench.at(() -> StockPage.of(fleets, vans, rates, policy.current()));
    }

    @GetMapping("/api/lead/stock.csv")
    ResponseEntity<String> csv() {
        StockPage stock = stock();
        List<String> titles = new ArrayList<>(List.of("family", "part", "label", "a year", "used", "price", "missing costs", "litres", "all vans"));
        stock.vans().forEach(van -> titles.add(van.who()));
        String text = CsvText.of(titles, stock.lines().stream().map(line -> {
            List<Object> cells = new ArrayList<>(List.of(line.family(), line.part(), line.label(), line.aYear(), line.used(), line.price(), line.missing(),
                    line.litres(), line.all()));
            cells.addAll(line.carry());
            return cells;
        }));
        return Download.of("van-stock.csv", Download.CSV, text);
    }

    /** A unit whose year nobody knows counts as half its life old. */
    private static StockPage.Fleet fleet(UnitModel model, List<SiteUnit> units, Map<String, Integer> used, double weeks,
            Map<String, Integer> visits, Rates rates, int now) {
        double age = units.stream().map(SiteUnit::installedYear).mapToDouble(year -> year == null ? rates.unitYears() / 2 : Math.max(0, now - year)).average()
                .orElse(0);
        return new StockPage.Fleet(model, units.size(), age, used, weeks, visits);
    }
}
