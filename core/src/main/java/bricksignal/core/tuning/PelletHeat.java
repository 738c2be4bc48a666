package bricksignal.core.tuning;

import bricksignal.core.words.TradeUnit;
import java.util.List;
import java.util.Map;

/** What a stove's feed gives, and what feed the room needs: pounds an hour by weighing, times the fuel, times the share that reaches the room. */
final class PelletHeat extends Calculator {

    private static final double POUNDS_A_BAG = 40;
    private static final double MINUTES_AN_HOUR = 60;
    private static final double WITHIN = 0.1;
    private static final double PERCENT = 100;

    PelletHeat() {
        super("pellet-heat", Input.of("pounds", TradeUnit.POUNDS, 0.9, 0.05, 40), Input.of("minutes", TradeUnit.MINUTES, 20, 2, 600), Input.of("fuel", TradeUnit.BTU_A_POUND, 8_200, 5_000, 9_500),
                Input.of("efficiency", TradeUnit.PERCENT, 75, 30, 95), Input.of("need", TradeUnit.BTU_AN_HOUR, 16_000, 1_000, 100_000));
    }

    /** What the augers of room stoves feed (common practice, from memory). */
    @Override
    Map<String, Bounds> customary(Given given) {
        return Map.of("feed", new Bounds(0.5, 8), "needed", new Bounds(0.5, 8));
    }

    @Override
    Finding find(Given given) {
        double feed = given.number("pounds") * MINUTES_AN_HOUR / given.number("minutes");
        double aPound = Heat.ofPellets(1, given.number("fuel"), given.number("efficiency") / PERCENT);
        double heat = feed * aPound;
        double needed = given.number("need") / aPound;
        String says = Math.abs(needed / feed - 1) <= WITHIN ? "within" : needed > feed ? "more" : "less";
        return finding(says, says.equals("within"), List.of(result("heat", heat, TradeUnit.BTU_AN_HOUR, 0), result("feed", feed, TradeUnit.POUNDS_AN_HOUR, 1), result("needed", needed, TradeUnit.POUNDS_AN_HOUR, 1),
                result("bag", POUNDS_A_BAG / feed, TradeUnit.HOURS, 0)), null, told(TradeUnit.POUNDS_AN_HOUR, needed, 1));
    }
}
