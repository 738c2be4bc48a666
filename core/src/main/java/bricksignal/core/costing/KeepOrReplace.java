package bricksignal.core.costing;

import java.util.ArrayList;
import java.util.List;

/**
 * Whether a unit is worth its repair: the present cost of keeping it and of replacing it over the same horizon, what either is still
 * worth at the end taken off. Present cost after any text on engineering economy; faults by {@link Ageing}.
 *
 * @param keep present cost of the repair and of all faults expected over the horizon
 * @param replace present cost of a new unit and of its faults
 * @param breakEvenAge the age from which replacing is cheaper, years; NaN where it is not up to the longest age
 * @param byAge the same by age, for the picture
 */
public record KeepOrReplace(double keep, double replace, double breakEvenAge, List<AtAge> byAge) {

    private static final double LONGEST_AGE = 40;
    private static final double STEP_YEARS = 1;
    private static final int HALVINGS = 50;

    /** Present costs for a unit of an age, years. */
    public record AtAge(double age, double keep, double replace) {
    }

    public KeepOrReplace {
        byAge = List.copyOf(byAge);
    }

    /**
     * The comparison.
     *
     * @param repair what the repair costs now, at least 0
     * @param meanRepair what a later fault costs, at least 0
     * @param age of the unit, years
     */
    public static KeepOrReplace of(Rates rates, double repair, double meanRepair, double age) {
        List<AtAge> byAge = new ArrayList<>();
        for (double at = 0; at <= LONGEST_AGE; at += STEP_YEARS) {
            byAge.add(at(rates, repair, meanRepair, at));
        }
        AtAge now = at(rates, repair, meanRepair, age);
        return new KeepOrReplace(now.keep(), now.replace(), breakEven(rates, repair, meanRepair), byAge);
    }

    private static AtAge at(Rates rates, double repair, double meanRepair, double age) {
        double keep = repair + faults(rates, meanRepair, age) - worth(rates, age + rates.horizonYears());
        double replace = rates.unitPrice() + rates.disposal() + faults(rates, meanRepair, 0) - worth(rates, rates.horizonYears());
        return new AtAge(age, keep, replace);
    }

    /** Present cost of the faults of a unit from an age on, each year's at its end. */
    static double faults(Rates rates, double meanRepair, double age) {
        double sum = 0;
        for (double year = 1; year <= rates.horizonYears(); year++) {
            sum += present(rates.ageing().faults(age + year - 1, age + year) * meanRepair, rates.interest(), year);
        }
        return sum;
    }

    /** What comes after so many years, in the money of today. */
    static double present(double cost, double interest, double years) {
        return cost / Math.pow(1 + interest, years);
    }

    /** What is left of the price of a unit at an age, in the money of the end of the horizon brought to today. */
    private static double worth(Rates rates, double age) {
        return present(rates.unitPrice() * Math.max(0, 1 - age / rates.unitYears()), rates.interest(), rates.horizonYears());
    }

    private static double breakEven(Rates rates, double repair, double meanRepair) {
        double low = 0;
        double high = LONGEST_AGE;
        if (dearer(rates, repair, meanRepair, low)) {
            return 0;
        }
        if (!dearer(rates, repair, meanRepair, high)) {
            return Double.NaN;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (dearer(rates, repair, meanRepair, middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private static boolean dearer(Rates rates, double repair, double meanRepair, double age) {
        AtAge at = at(rates, repair, meanRepair, age);
        return at.keep() > at.replace();
    }
}
