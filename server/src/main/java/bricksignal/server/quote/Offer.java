package bricksignal.server.quote;

import bricksignal.casework.page.WayOutPage;
import bricksignal.core.costing.Rates;
import bricksignal.server.words.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * An offer: what is done for how much, as it was when it was made.
 *
 * @param way what is done
 * @param why what was found
 * @param validUntil the last day on which it holds
 * @param plain without what never got power
 * @param whole with it
 * @param limits what is not promised
 */
record Offer(String currency, String way, String why, LocalDate validUntil, Sum plain, Sum whole, List<String> limits) {

    private static final double CENTS = 100;

    /** A line of an offer. */
    record OfferLine(String label, double amount) {
    }

    /** Lines and what they come to. */
    record Sum(List<OfferLine> lines, double net, double tax, double total) {

        static Sum of(List<OfferLine> lines, double taxShare) {
            double net = cents(lines.stream().mapToDouble(OfferLine::amount).sum());
            double tax = cents(net * taxShare);
            return new Sum(List.copyOf(lines), net, tax, cents(net + tax));
        }
    }

    /** The offer of a way on a day. */
    static Offer of(WayOutPage page, WayOutPage.WayLine way, Rates rates, Words words, LocalDate day) {
        List<OfferLine> plain = way.items().stream().filter(WayOutPage.CostLine::quoted).map(item -> new OfferLine(words.of(item.label()), cents(item.cost())))
                .toList();
        List<OfferLine> whole = new ArrayList<>(plain);
        page.untested().forEach(part -> whole.add(new OfferLine(part.label() + ", with its labour", cents(part.cost()))));
        LocalDate until = day.plusDays(rates.quoteDays());
        return new Offer(page.currency(), words.sentence(way.label()), words.sentence(page.cause()), until, Sum.of(plain, rates.tax()), Sum.of(whole, rates.tax()),
                limits(page, until));
    }

    private static List<String> limits(WayOutPage page, LocalDate until) {
        List<String> limits = new ArrayList<>();
        limits.add("This offer holds until " + until + ".");
        if (!page.proven()) {
            limits.add("The cause is likely and not proven: if another is found the work stops, and a new offer is made before it goes on.");
        }
        if (!page.untested().isEmpty()) {
            limits.add("Never got power because of what was found, and could not be tested: " + String.join(", ", page.untested().stream()
                    .map(WayOutPage.UntestedLine::label).toList()) + ". The first sum does not cover them; the second does.");
        }
        limits.add("Work on gas, line voltage and refrigerant follows the maker's instructions and the local code, and is done by licensed people.");
        return limits;
    }

    private static double cents(double amount) {
        return Math.round(amount * CENTS) / CENTS;
    }
}
