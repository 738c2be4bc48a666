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
        return StockPage.of(List.of(new StockPage.Fleet(furnace, units, age, used, weeks)), Rates.defaults(), Policy.defaults());
    }

    private static int carried(StockPage page, String part) {
        return page.lines().stream().filter(line -> line.part().equals(part)).mapToInt(StockPage.StockLine::carry).sum();
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

    /** A year in which none was wanted speaks against the prior, one in which two a week were for it. */
    @Test
    void ownRecordsOutweighThePack() {
        assertThat(carried(stock(60, 10, Map.of("igniter", 104), 52), "igniter")).isGreaterThan(carried(stock(60, 10, Map.of(), 0), "igniter"));
        double after = stock(60, 10, Map.of(), 52).lines().stream().filter(line -> line.part().equals("igniter")).mapToDouble(StockPage.StockLine::aYear).sum();
        double before = stock(60, 10, Map.of(), 0).lines().stream().filter(line -> line.part().equals("igniter")).mapToDouble(StockPage.StockLine::aYear).sum();
        assertThat(after).isLessThan(before / 2);
    }
}
