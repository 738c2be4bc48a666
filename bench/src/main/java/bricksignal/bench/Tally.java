package bricksignal.bench;

import java.util.LinkedHashMap;
import java.util.Map;

/** Means over visits, each weighted by the prior of its fault. */
final class Tally {

    private double weight;
    private int runs;
    private double right;
    private double falseBoard;
    private double tests;
    private double minutes;
    private double cost;

    void add(Outcome outcome, double prior) {
        weight += prior;
        runs++;
        right += outcome.right() ? prior : 0;
        falseBoard += outcome.falseBoard() ? prior : 0;
        tests += prior * outcome.tests();
        minutes += prior * outcome.minutes();
        cost += prior * outcome.cost();
    }

    double right() {
        return right / weight;
    }

    double falseBoard() {
        return falseBoard / weight;
    }

    double meanCost() {
        return cost / weight;
    }

    void print(String pack, String name) {
        System.out.printf("%-12s %-10s %6d %6.1f%% %10.2f%% %6.1f %8.1f %8.1f%n", pack, name, runs, 100 * right(),
                100 * falseBoard(), tests / weight, minutes / weight, cost / weight);
    }

    /** The figures by name, as {@code --json} writes them. */
    Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("runs", runs);
        if (runs == 0) {
            return figures;
        }
        figures.put("right", right());
        figures.put("falseBoard", falseBoard());
        figures.put("meanTests", tests / weight);
        figures.put("meanMinutes", minutes / weight);
        figures.put("meanCost", cost / weight);
        return figures;
    }
}
