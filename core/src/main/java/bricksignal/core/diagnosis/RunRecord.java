package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import java.util.Set;

/**
 * What is kept of the run of a unit with something the matter: a hundredth of the run itself, and all that a diagnosis asks.
 *
 * @param found by board, the lamp's patterns with their shares of the time in which somebody arrives
 * @param afterReset by board, the same over the whole run
 * @param fails the runs that are watched and not as they should be, by id
 * @param called by run that is called for beside the usual one, and by board: the lamp's patterns where that call is the complaint
 * @param damage what it takes with it while it stands, elements by id
 * @param channels by channel, when it is on in the usual run
 * @param peaks by load, the most amperes it carries in the usual run
 * @param standing by moment, which contacts are closed and which flames lit at that instant, a bit for each element of the circuit
 * @param numbers by place of the test in the catalogue, what a reading shows; null elsewhere
 * @param numbersBefore the same as numbers, but where a board has stopped by then as the unit was before it stopped
 * @param numbersLetGo the same as numbers, but where a board has stopped by then as the unit is when that board lets go of every output
 * @param foundBefore the same as found before a board stops; found itself where none does
 * @param shares by place of the test in the catalogue, the share of the time in which a check says yes; NaN elsewhere
 */
record RunRecord(Map<String, Map<LampPattern, Double>> found, Map<String, Map<LampPattern, Double>> afterReset, Set<String> fails,
        Map<String, Map<String, Map<LampPattern, Double>>> called, Set<String> damage,
        Map<String, ChannelRun> channels, Map<String, Double> peaks, Map<String, BitSet> standing,
        Prediction.@org.jspecify.annotations.Nullable Number[] numbers, Prediction.@org.jspecify.annotations.Nullable Number[] numbersBefore,
        Prediction.@org.jspecify.annotations.Nullable Number[] numbersLetGo, Map<String, Map<LampPattern, Double>> foundBefore, double[] shares) {

    /** What a reading shows at a unit whose boards stop so, by place of the test in the catalogue. */
    Prediction.@org.jspecify.annotations.Nullable Number[] numbers(Stopping stopping) {
        return switch (stopping) {
            case AS_DECLARED -> numbers;
            case NOT_YET -> numbersBefore;
            case LETS_GO -> numbersLetGo;
        };
    }

    /** The same, holding what is as in another record only once. */
    RunRecord sharing(RunRecord good) {
        boolean sameNumbers = Arrays.equals(numbers, good.numbers);
        Prediction.Number[] shown = sameNumbers ? good.numbers : numbers;
        return new RunRecord(one(found, good.found), one(afterReset, good.afterReset), one(fails, good.fails), one(called, good.called),
                one(damage, good.damage), one(channels, good.channels), one(peaks, good.peaks), one(standing, good.standing), shown,
                Arrays.equals(numbersBefore, shown) ? shown : numbersBefore, Arrays.equals(numbersLetGo, shown) ? shown : numbersLetGo, one(one(foundBefore, found), good.foundBefore),
                Arrays.equals(shares, good.shares) ? good.shares : shares);
    }

    private static <T> T one(T mine, T good) {
        return mine.equals(good) ? good : mine;
    }
}
