package bricksignal.core.costing;

import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The ways out of a verdict, cheapest in expectation first. Beside what is paid now each counts what may come: that the verdict is
 * wrong, that something that never got power fails next, and the next fault within two years by the age of the unit. Common practice
 * of careful estimators; no published source for the list, the arithmetic is expectation and variance of independent events.
 */
public final class WaysOut {

    /** The next fault counts as far as people remember who was there last. */
    private static final double YEARS_AHEAD = 2;
    private static final double HOUR_MINUTES = 60;
    /** One sigma of the minutes of a repair, as a share of them (from memory). */
    private static final double MINUTES_SPREAD = 0.35;

    private final Situation at;

    private WaysOut(Situation at) {
        this.at = at;
    }

    /** The ways, cheapest first; the whole unit is always among them. */
    public static List<Way> of(Situation situation) {
        WaysOut ways = new WaysOut(situation);
        List<Way> all = new ArrayList<>();
        if (situation.inPlace()) {
            all.add(ways.way(Way.What.REPAIR, Way.Source.NOTHING_NEEDED));
        } else {
            if (situation.onTheVan()) {
                all.add(ways.way(ways.what(), Way.Source.VAN));
            }
            all.add(ways.way(ways.what(), Way.Source.COUNTER));
            all.add(ways.way(ways.what(), Way.Source.SECOND_TRIP));
            if (situation.twin()) {
                all.add(ways.way(ways.what(), Way.Source.TWIN));
            }
        }
        all.add(ways.unit());
        all.sort(Comparator.comparingDouble(Way::expected));
        return List.copyOf(all);
    }

    private Way.What what() {
        return at.board() ? Way.What.BOARD : Way.What.PART;
    }

    private Way way(Way.What what, Way.Source source) {
        Tally tally = new Tally();
        double labour = at.policy().labourPerMinute();
        double minutes = at.minutes();
        tally.sure("cost.parts", at.price(), true);
        tally.work("cost.labour", minutes * labour, true);
        double hours = minutes / HOUR_MINUTES;
        switch (source) {
            case COUNTER -> {
                tally.sure("cost.markup", at.price() * at.rates().counterMarkup(), true);
                tally.work("cost.wait", at.rates().counterHours() * HOUR_MINUTES * labour, true);
                hours += at.rates().counterHours();
            }
            case SECOND_TRIP -> {
                tally.sure("cost.trip", at.policy().tripCost(), true);
                hours += at.rates().tripHours();
            }
            case TWIN -> {
                tally.sure("cost.trip", at.policy().tripCost(), true);
                tally.work("cost.back", minutes * labour, true);
            }
            default -> { }
        }
        tally.risk("cost.mistake", 1 - at.probability(), at.policy().mistakeCost());
        for (Situation.Untested untested : at.untested()) {
            tally.risk(Message.of("cost.untested", Message.said(untested.part().label())), untested.chance(), untested.part().price()
                    + (untested.part().minutes() + at.policy().verifyMinutes()) * labour + at.policy().tripCost());
        }
        double next = at.rates().ageing().failsWithin(at.age(), YEARS_AHEAD);
        tally.risk(Message.of("cost.next", new Message.Share(next)), next, at.meanRepair());
        if (!at.inPlace()) {
            double covered = Math.min(1, at.rates().warrantyYears() / YEARS_AHEAD);
            tally.saved("cost.warranty", next * at.share() * covered * at.price());
        }
        return new Way(what, source, tally.items, Math.sqrt(tally.variance), hours);
    }

    private Way unit() {
        Tally tally = new Tally();
        tally.sure("cost.unit", at.rates().unitPrice(), true);
        tally.sure("cost.disposal", at.rates().disposal(), true);
        tally.sure("cost.trip", at.policy().tripCost(), true);
        double next = at.rates().ageing().failsWithin(0, YEARS_AHEAD);
        tally.risk(Message.of("cost.next", new Message.Share(next)), next, at.meanRepair());
        return new Way(Way.What.UNIT, Way.Source.SECOND_TRIP, tally.items, Math.sqrt(tally.variance), at.rates().unitHours());
    }

    /** Sums up expectation and variance of what is independent. */
    private static final class Tally {

        private final List<Way.Item> items = new ArrayList<>();
        private double variance;

        private void sure(String label, double cost, boolean quoted) {
            if (cost > 0) {
                items.add(new Way.Item(Message.of(label), cost, quoted));
            }
        }

        private void work(String label, double cost, boolean quoted) {
            sure(label, cost, quoted);
            variance += Math.pow(MINUTES_SPREAD * cost, 2);
        }

        private void risk(String label, double chance, double cost) {
            risk(Message.of(label, new Message.Share(chance)), chance, cost);
        }

        private void risk(Message label, double chance, double cost) {
            if (chance * cost > 0) {
                items.add(new Way.Item(label, chance * cost, false));
                variance += chance * (1 - chance) * cost * cost;
            }
        }

        private void saved(String label, double cost) {
            if (cost > 0) {
                items.add(new Way.Item(Message.of(label), -cost, false));
            }
        }
    }
}
