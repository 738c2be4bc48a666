package bricksignal.casework;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.page.StockPage;
import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StockPageTest {

    private final UnitModel furnace = PackReader.read(PackLibrary.text("f1-furnace"));

    private StockPage stock(int units, double age, Map<String, Integer> used, double weeks) {
        return stock(units, age, used, weeks, Map.of(), List.of("Ines"), Rates.defaults());
    }

    private StockPage stock(int units, double age, Map<String, Integer> used, double weeks, Map<String, Integer> visits, List<String> vans, Rates rates) {
        return StockPage.of(List.of(new StockPage.Fleet(furnace, units, age, used, weeks, visits)), vans, rates, Policy.defaults());
    }

    private static int carried(StockPage page, String part) {
        return page.lines().stream().filter(line -> line.part().equals(part)).mapToInt(StockPage.StockLine::all).sum();
    }

    @Test
    void nothingIsCarriedForUnitsThatNobodyHas() {
        assertThat(stock(0, 10, Map.of(), 0).lines()).isEmpty();
    }

    @Test
    void moreUnitsAndOlderOnesWantMore() {
        assertThat(carried(stock(400, 10, Map.of(), 0), "igniter")).isGreaterThan(carried(stock(20, 10, Map.of(), 0), "igniter"));
        double young = stock(100, 2, Map.of(), 0).lines().stream().filter(line -> line.part().equals("igniter")).findFirst().orElseThrow().aYear();
        double old = stock(100, 18, Map.of(), 0).lines().stream().filter(line -> line.part().equals("igniter")).findFirst().orElseThrow().aYear();
        assertThat(old).isGreaterThan(young);
    }

    /** Two vans that go there as often as each other share the demand; the one that always goes there carries what one van alone would. */
    @Test
    void whoGoesThereCarriesForIt() {
        List<String> vans = List.of("Ines", "Tobin");
        StockPage.StockLine alike = igniter(stock(400, 10, Map.of(), 0, Map.of("Ines", 50, "Tobin", 50), vans, Rates.defaults()));
        assertThat(alike.carry().get(0)).isEqualTo(alike.carry().get(1));
        assertThat(alike.all()).isEqualTo(alike.carry().get(0) + alike.carry().get(1));
        StockPage.StockLine one = igniter(stock(400, 10, Map.of(), 0, Map.of("Ines", 5000), vans, Rates.defaults()));
        assertThat(one.carry().get(0)).isEqualTo(igniter(stock(400, 10, Map.of(), 0)).carry().get(0)).isGreaterThan(one.carry().get(1));
    }

    @Test
    void vanIsNotOverfull() {
        Rates rates = Rates.defaults();
        Rates small = new Rates(rates.currency(), rates.counterMarkup(), rates.counterHours(), rates.tripHours(), rates.tax(), rates.quoteDays(),
                rates.warrantyYears(), rates.unitPrice(), rates.unitHours(), rates.unitYears(), rates.disposal(), rates.interest(), rates.horizonYears(), 6, rates.ageing());
        StockPage page = stock(400, 10, Map.of(), 0, Map.of(), List.of("Ines"), small);
        assertThat(page.litres()).isEqualTo(6);
        assertThat(page.vans()).singleElement().satisfies(van -> assertThat(van.filled()).isPositive().isLessThanOrEqualTo(6));
        assertThat(carried(page, "igniter")).isPositive();
        assertThat(page.lines().stream().mapToInt(StockPage.StockLine::all).sum()).isLessThan(stock(400, 10, Map.of(), 0).lines().stream()
                .mapToInt(StockPage.StockLine::all).sum());
    }

    private static StockPage.StockLine igniter(StockPage page) {
        return page.lines().stream().filter(line -> line.part().equals("igniter")).findFirst().orElseThrow();
    }

    /** A year in which none was wanted speaks against the prior, one in which two a week were for it. */
    @Test
    void ownRecordsOutweighThePack() {
        assertThat(carried(stock(60, 10, Map.of("igniter", 104), 52), "igniter")).isGreaterThan(carried(stock(60, 10, Map.of(), 0), "igniter"));
        double after = stock(60, 10, Map.of(), 52).lines().stream().filter(line -> line.part().equals("igniter")).mapToDouble(StockPage.StockLine::aYear).sum();
        double before = stock(60, 10, Map.of(), 0).lines().stream().filter(line -> line.part().equals("igniter")).mapToDouble(StockPage.StockLine::aYear).sum();
        assertThat(after).isLessThan(before / 2);
    }
}
