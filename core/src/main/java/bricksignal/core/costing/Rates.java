package bricksignal.core.costing;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.function.DoubleFunction;

/**
 * What things cost a company beside labour and trips.
 *
 * @param currency its sign or three letters, 1 to 5 characters
 * @param counterMarkup what the counter takes more than the price of a part, a share, at least 0
 * @param counterHours to fetch a part from the counter, at least 0
 * @param tripHours until a second trip with the part, at least 0
 * @param tax share that is added to a quote, 0 to 1
 * @param quoteDays for how long a quote holds, 1 to 365
 * @param warrantyYears on a new part, at least 0
 * @param unitPrice of a new unit, put in, at least 0
 * @param unitHours until a new unit runs, at least 0
 * @param unitYears for how long a unit is kept, above 0
 * @param disposal of an old unit, at least 0
 * @param interest a year, a share, 0 to 1
 * @param horizonYears over which keeping and replacing are compared, 1 to 40
 * @param vanLitres of room that a van has for parts, 1 to 20,000
 * @param ageing how often units fail by their age
 */
public record Rates(String currency, double counterMarkup, double counterHours, double tripHours, double tax, int quoteDays, double warrantyYears,
        double unitPrice, double unitHours, double unitYears, double disposal, double interest, double horizonYears, double vanLitres, Ageing ageing) {

    private static final int LONGEST_SIGN = 5;
    private static final int YEAR_DAYS = 365;
    private static final double LONGEST_YEARS = 40;

    public Rates {
        share("counterMarkup", counterMarkup, 10);
        within("counterHours", counterHours, 0, 24 * YEAR_DAYS);
        within("tripHours", tripHours, 0, 24 * YEAR_DAYS);
        share("tax", tax, 1);
        within("quoteDays", quoteDays, 1, YEAR_DAYS);
        within("warrantyYears", warrantyYears, 0, LONGEST_YEARS);
        within("unitPrice", unitPrice, 0, 1e6);
        within("unitHours", unitHours, 0, 24 * YEAR_DAYS);
        within("unitYears", unitYears, 1, 2 * LONGEST_YEARS);
        within("disposal", disposal, 0, 1e6);
        share("interest", interest, 1);
        within("horizonYears", horizonYears, 1, LONGEST_YEARS);
        within("vanLitres", vanLitres, 1, 20_000);
        if (currency.isBlank() || currency.length() > LONGEST_SIGN) {
            throw new Unfit("rate.sign", Message.said(currency), new Message.Number(LONGEST_SIGN));
        }
    }

    /** The same with another ageing. */
    public Rates ageing(Ageing other) {
        return new Rates(currency, counterMarkup, counterHours, tripHours, tax, quoteDays, warrantyYears, unitPrice, unitHours, unitYears, disposal, interest,
                horizonYears, vanLitres, other);
    }

    private static void within(String name, double value, double least, double most) {
        within(name, value, least, most, Message.Number::new);
    }

    private static void share(String name, double value, double most) {
        within(name, value, 0, most, Message.Share::new);
    }

    private static void within(String name, double value, double least, double most, DoubleFunction<Message> told) {
        if (!(value >= least && value <= most)) {
            throw new Unfit("rate.out", Message.of("rate." + name), told.apply(value), told.apply(least), told.apply(most));
        }
    }

    /** Invented figures of the demo company. */
    public static Rates defaults() {
        return new Rates("SKD", 0.6, 2.5, 48, 0.08, 30, 1, 4200, 96, 18, 120, 0.04, 10, 250, new Ageing(1.7, 9));
    }
}
