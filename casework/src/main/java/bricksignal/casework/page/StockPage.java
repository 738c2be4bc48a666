package bricksignal.casework.page;

import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.stock.Carry;
import bricksignal.core.stock.Demand;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * What a van should carry for the units that a company looks after, until it is filled again after a week.
 *
 * @param currency of all money
 * @param lines parts worth carrying or wanted at least once a year, the dearest to miss first
 */
public record StockPage(String currency, List<StockLine> lines) {

    private static final double WEEKS_A_YEAR = 52;
    private static final double FILLED_WEEKS = 1;
    /** What a pack's weights say of the rate counts for as many weeks of own records (from memory). */
    private static final double PRIOR_WEEKS = 26;
    /** The prior knows no rate better than from so many times (from memory). */
    private static final double LEAST_TIMES = 0.05;
    /** What the room of a part on a van costs a week, beside the interest on its price (from memory). */
    private static final double ROOM_A_WEEK = 0.4;
    private static final double HOUR_MINUTES = 60;

    /**
     * A part.
     *
     * @param aYear how many are expected to be wanted in a year
     * @param used how many were wanted by the company's own records
     * @param price what it costs
     * @param missing what it costs not to have it with one
     * @param carry how many to carry
     */
    public record StockLine(String family, String part, String label, double aYear, int used, double price, double missing, int carry) {
    }

    /**
     * A family that a company looks after.
     *
     * @param units how many
     * @param age of them in the mean, years
     * @param used parts that were repaired, by id
     * @param weeks over which they were counted, at least 0
     */
    public record Fleet(UnitModel model, int units, double age, Map<String, Integer> used, double weeks) {
    }

    /** What to carry. */
    public static StockPage of(List<Fleet> fleets, Rates rates, Policy policy) {
        List<StockLine> lines = new ArrayList<>();
        for (Fleet fleet : fleets) {
            double all = fleet.model().faults().stream().filter(fault -> fault.kind() != Fault.Kind.NOTHING_WRONG).mapToDouble(Fault::weight).sum();
            double faultsAYear = fleet.units() * rates.ageing().faults(fleet.age(), fleet.age() + 1);
            for (Part part : fleet.model().parts()) {
                double share = fleet.model().faults().stream().filter(fault -> fault.part().equals(part.id())).mapToDouble(Fault::weight).sum() / all;
                boolean bought = part.kind() == Part.Kind.PART || part.kind() == Part.Kind.BOARD;
                if (bought && share > 0 && fleet.units() > 0) {
                    lines.add(line(fleet, part, faultsAYear * share, rates, policy));
                }
            }
        }
        lines.removeIf(line -> line.carry() == 0 && line.aYear() < 1);
        lines.sort(Comparator.comparingDouble((StockLine line) -> line.aYear() * line.missing()).reversed());
        return new StockPage(rates.currency(), List.copyOf(lines));
    }

    private static StockLine line(Fleet fleet, Part part, double thoughtAYear, Rates rates, Policy policy) {
        int used = fleet.used().getOrDefault(part.id(), 0);
        Demand demand = new Demand(Math.max(LEAST_TIMES, thoughtAYear / WEEKS_A_YEAR * PRIOR_WEEKS), PRIOR_WEEKS).after(used, fleet.weeks());
        double counter = part.price() * rates.counterMarkup() + rates.counterHours() * HOUR_MINUTES * policy.labourPerMinute();
        double missing = Math.min(counter, policy.tripCost());
        double carrying = part.price() * rates.interest() / WEEKS_A_YEAR + ROOM_A_WEEK;
        return new StockLine(fleet.model().id(), part.id(), part.label(), demand.expected(WEEKS_A_YEAR), used, part.price(), missing,
                new Carry(demand, FILLED_WEEKS, missing, carrying).best());
    }
}
