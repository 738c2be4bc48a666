package bricksignal.server.quote;

import bricksignal.casework.page.WayOutPage;
import bricksignal.core.costing.Rates;
import bricksignal.core.words.Message;
import bricksignal.server.words.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * An offer: what is done for how much, as it was when it was made.
 *
 * @param way what is done
 * @param why what was found
 * @param validUntil the last day on which it holds
 * @param plain without what never got power
 * @param whole with it
 * @param limits what is not promised
 * @param trip what the second trip in it costs; null where there is none
 * @param also what is done at other units of the site on the same order; null in offers of before
 */
record Offer(String currency, String way, String why, LocalDate validUntil, Sum plain, Sum whole, List<String> limits, @Nullable Double trip,
        @Nullable List<Beside> also) {

    static final Message TRIP = Message.of("cost.trip");
    private static final double CENTS = 100;

    /** A line of an offer. */
    record OfferLine(String label, double amount) {
        static OfferLine withLabour(String part, double cost) {
            return new OfferLine(part + ", with its labour", cents(cost));
        }

        OfferLine at(String unit) {
            return new OfferLine(unit + ": " + label, amount);
        }
    }

    /** Lines and what they come to. */
    record Sum(List<OfferLine> lines, double net, double tax, double total) {

        static Sum of(List<OfferLine> lines, double taxShare) {
            double net = cents(lines.stream().mapToDouble(OfferLine::amount).sum());
            double tax = cents(net * taxShare);
            return new Sum(List.copyOf(lines), net, tax, cents(net + tax));
        }
    }

    /** What is done at another unit, and why. */
    record Beside(String unit, String way, String why) {
    }

    /**
     * The same with its lines.
     *
     * @param trip what the second trip in them costs; null where there is none
     */
    record Extra(Beside beside, List<OfferLine> plain, List<OfferLine> whole, @Nullable Double trip) {
    }

    /** The offer of a way on a day. */
    static Offer of(WayOutPage page, WayOutPage.WayLine way, Rates rates, Words words, LocalDate day) {
        List<WayOutPage.CostLine> quoted = way.items().stream().filter(WayOutPage.CostLine::quoted).toList();
        List<OfferLine> plain = quoted.stream().map(item -> new OfferLine(words.of(item.label()), cents(item.cost()))).toList();
        List<OfferLine> whole = new ArrayList<>(plain);
        page.untested().forEach(part -> whole.add(OfferLine.withLabour(part.label(), part.cost())));
        LocalDate until = day.plusDays(rates.quoteDays());
        Double trip = quoted.stream().filter(item -> item.label().equals(TRIP)).map(item -> cents(item.cost())).findFirst().orElse(null);
        return new Offer(page.currency(), words.sentence(way.label()), words.sentence(page.cause()), until, Sum.of(plain, rates.tax()), Sum.of(whole, rates.tax()),
                limits(page, until), trip, List.of());
    }

    /**
     * The same with what is done at other units on the same order: their lines, and one second trip for all.
     *
     * @param unit of this offer, as people call it
     */
    Offer with(String unit, List<Extra> extras, double taxShare, Words words) {
        if (extras.isEmpty()) {
            return this;
        }
        List<Double> trips = Stream.concat(Stream.ofNullable(trip), extras.stream().flatMap(extra -> Stream.ofNullable(extra.trip()))).toList();
        double spared = trips.stream().mapToDouble(one -> one).sum() - trips.stream().mapToDouble(one -> one).max().orElse(0);
        List<OfferLine> once = spared > 0 ? List.of(new OfferLine(words.of(Message.of("cost.one-trip")), -cents(spared))) : List.of();
        return new Offer(currency, way, why, validUntil, Sum.of(together(unit, plain, extras, Extra::plain, once), taxShare),
                Sum.of(together(unit, whole, extras, Extra::whole, once), taxShare), limits, trip,
                extras.stream().map(Extra::beside).toList());
    }

    private static List<OfferLine> together(String unit, Sum own, List<Extra> extras, Function<Extra, List<OfferLine>> lines, List<OfferLine> once) {
        Stream<OfferLine> others = extras.stream().flatMap(extra -> lines.apply(extra).stream().map(line -> line.at(extra.beside().unit())));
        return Stream.of(own.lines().stream().map(line -> line.at(unit)), others, once.stream()).flatMap(all -> all).toList();
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

    static double cents(double amount) {
        return Math.round(amount * CENTS) / CENTS;
    }
}
