package bricksignal.casework.page;

import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.stock.Carry;
import bricksignal.core.stock.Demand;
import bricksignal.core.stock.Load;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * What each van should carry for the units that a company looks after, until it is filled again after a week.
 *
 * @param currency of all money
 * @param litres of room that a van has
 * @param vans in the order of what is carried
 * @param lines parts worth carrying or wanted at least once a year, the dearest to miss first
 */
public record StockPage(String currency, double litres, List<Van> vans, List<StockLine> lines) {

    private static final double WEEKS_A_YEAR = 52;
    private static final double FILLED_WEEKS = 1;
    /** What a pack's weights say of the rate counts for as many weeks of own records (from memory). */
    private static final double PRIOR_WEEKS = 26;
    /** The prior knows no rate better than from so many times (from memory). */
    private static final double LEAST_TIMES = 0.05;
    /** What carrying a part costs a week, beside the interest on its price: counting it, losing it, its damage (from memory). */
    private static final double CARE_A_WEEK = 0.4;
    /** A van that has not been to a family yet counts as having been there once. */
    private static final double PRIOR_VISITS = 1;
    private static final double HOUR_MINUTES = 60;

    /**
     * A van.
     *
     * @param who drives it
     * @param filled litres of it that are taken
     */
    public record Van(String who, double filled) {
    }

    /**
     * A part.
     *
     * @param aYear how many are expected to be wanted in a year, of all vans
     * @param used how many were wanted by the company's own records
     * @param price what it costs
     * @param missing what it costs not to have it with one
     * @param litres that one takes
     * @param carry how many each van carries
     * @param all how many all vans carry together
     */
    public record StockLine(String family, String part, @Phrase String label, double aYear, int used, double price, double missing, double litres, List<Integer> carry,
            int all) {
    }

    /**
     * A family that a company looks after.
     *
     * @param units how many
     * @param age of them in the mean, years
     * @param used parts that were repaired, by id
     * @param weeks over which they were counted, at least 0
     * @param visits to it by who made them; whoever is not in it made none
     */
    public record Fleet(UnitModel model, int units, double age, Map<String, Integer> used, double weeks, Map<String, Integer> visits) {
    }

    /** A part of a family that may be carried. */
    private record Stocked(Fleet fleet, Part part, Demand demand, double missing, double carrying) {

        /** The share of the demand that a van meets; thinned like that a Poisson process stays one, and the gamma law of its rate is scaled. */
        Load.Item on(String van, List<String> vans) {
            double visits = vans.stream().mapToDouble(one -> made(one)).sum();
            return new Load.Item(new Carry(new Demand(demand.wanted(), demand.weeks() * visits / made(van)), FILLED_WEEKS, missing, carrying), part.litres());
        }

        private double made(String van) {
            return fleet.visits().getOrDefault(van, 0) + PRIOR_VISITS;
        }

        StockLine line(List<Integer> carry) {
            return new StockLine(fleet.model().id(), part.id(), part.label(), demand.expected(WEEKS_A_YEAR), fleet.used().getOrDefault(part.id(), 0), part.price(), missing,
                    part.litres(), carry, carry.stream().mapToInt(Integer::intValue).sum());
        }
    }

    /**
     * What to carry.
     *
     * @param vans who drives one each
     */
    public static StockPage of(List<Fleet> fleets, List<String> vans, Rates rates, Policy policy) {
        List<Stocked> parts = fleets.stream().filter(fleet -> fleet.units() > 0).flatMap(fleet -> stocked(fleet, rates, policy).stream()).toList();
        List<List<Integer>> loads = vans.stream().map(van -> Load.of(parts.stream().map(part -> part.on(van, vans)).toList(), rates.vanLitres())).toList();
        List<Van> filled = IntStream.range(0, vans.size()).mapToObj(van -> new Van(vans.get(van), IntStream.range(0, parts.size())
                .mapToDouble(part -> loads.get(van).get(part) * parts.get(part).part().litres()).sum())).toList();
        List<StockLine> lines = IntStream.range(0, parts.size()).mapToObj(part -> parts.get(part).line(loads.stream().map(load -> load.get(part)).toList()))
                .filter(line -> line.all() > 0 || line.aYear() >= 1)
                .sorted(Comparator.comparingDouble((StockLine line) -> line.aYear() * line.missing()).reversed()).toList();
        return new StockPage(rates.currency(), rates.vanLitres(), filled, lines);
    }

    private static List<Stocked> stocked(Fleet fleet, Rates rates, Policy policy) {
        List<Fault> faults = fleet.model().faults().stream().filter(fault -> fault.kind() != Fault.Kind.NOTHING_WRONG).toList();
        double all = faults.stream().mapToDouble(Fault::weight).sum();
        double faultsAYear = fleet.units() * rates.ageing().faults(fleet.age(), fleet.age() + 1);
        List<Stocked> parts = new ArrayList<>();
        for (Part part : fleet.model().parts()) {
            double share = faults.stream().filter(fault -> fault.part().equals(part.id())).mapToDouble(Fault::weight).sum() / all;
            if ((part.kind() == Part.Kind.PART || part.kind() == Part.Kind.BOARD) && share > 0) {
                double thought = Math.max(LEAST_TIMES, faultsAYear * share / WEEKS_A_YEAR * PRIOR_WEEKS);
                double counter = part.price() * rates.counterMarkup() + rates.counterHours() * HOUR_MINUTES * policy.labourPerMinute();
                parts.add(new Stocked(fleet, part, new Demand(thought, PRIOR_WEEKS).after(fleet.used().getOrDefault(part.id(), 0), fleet.weeks()),
                        Math.min(counter, policy.tripCost()), part.price() * rates.interest() / WEEKS_A_YEAR + CARE_A_WEEK));
            }
        }
        return parts;
    }
}
