package bricksignal.core.lamp;

import bricksignal.core.words.Unfit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Reads what was seen of a board's lamps by likelihood. Each part of a pattern is a small hidden Markov chain over the
 * flashes of its round (see {@link PartLikelihood}); flashes go to the part whose mark they carry, and the parts of one
 * pattern multiply.
 */
public final class LampDecoder {

    private static final double NONE_PRIOR = 0.03;
    private static final double STRANGER = 0.02;

    private LampDecoder() {
    }

    /**
     * What a sighting says.
     *
     * @param weights for each pattern the probability that it was this one, all being equally likely before
     * @param none the probability that it was none of them; together they sum to one
     */
    public record Decoding(Map<LampPattern, Double> weights, double none) {
        public Decoding {
            weights = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(weights));
        }

        /** The pattern with the largest weight. */
        public LampPattern best() {
            return weights.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        }
    }

    /**
     * Decodes taps against the patterns a lamp can show.
     *
     * @param patterns at least one that blinks; off and steady cannot be tapped and are passed over
     * @throws IllegalArgumentException if no pattern blinks
     */
    public static Decoding decode(Taps taps, List<LampPattern> patterns) {
        List<LampPattern> blinking = patterns.stream().filter(LampPattern::blinks).toList();
        if (blinking.isEmpty()) {
            throw new Unfit("taps.no-pattern");
        }
        return decode(taps.sighting(), blinking);
    }

    /** Decodes a sighting against the patterns a lamp can show, at least one. */
    public static Decoding decode(Sighting sighting, List<LampPattern> patterns) {
        Set<LampPattern> distinct = new LinkedHashSet<>(patterns);
        Map<LampPattern, Double> logs = new LinkedHashMap<>();
        for (LampPattern pattern : distinct) {
            logs.put(pattern, logLikelihood(sighting, pattern) + Math.log((1 - NONE_PRIOR) / distinct.size()));
        }
        double none = logNone(sighting) + Math.log(NONE_PRIOR);
        double top = Math.max(none, logs.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow());
        double sum = Math.exp(none - top);
        for (double log : logs.values()) {
            sum += Math.exp(log - top);
        }
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        for (Map.Entry<LampPattern, Double> entry : logs.entrySet()) {
            weights.put(entry.getKey(), Math.exp(entry.getValue() - top) / sum);
        }
        return new Decoding(weights, Math.exp(none - top) / sum);
    }

    private static double logLikelihood(Sighting sighting, LampPattern pattern) {
        double log = 0;
        Set<String> expectedSteady = new LinkedHashSet<>();
        List<Sighting.Seen> left = new ArrayList<>(sighting.flashes());
        for (LampPart part : pattern.parts()) {
            if (part.blinks()) {
                List<Sighting.Seen> mine = belonging(sighting.flashes(), part, pattern.parts().size() == 1);
                left.removeAll(mine);
                log += PartLikelihood.log(mine, part, sighting.by());
            } else if (part.kind() == LampPart.Kind.STEADY) {
                expectedSteady.add(part.mark());
            }
        }
        log += left.size() * Math.log(STRANGER) + (sighting.lightTold() ? steady(sighting.steady(), expectedSteady) : 0);
        return log;
    }

    /** A flash without a mark may be of any lamp; in a pattern of several parts it goes to the first that blinks. */
    private static List<Sighting.Seen> belonging(List<Sighting.Seen> flashes, LampPart part, boolean alone) {
        Set<String> marks = part.marks();
        return alone ? flashes : flashes.stream().filter(f -> f.mark().isEmpty() || marks.contains(f.mark())).toList();
    }

    /** Lamps that were seen lit all the time, against those that should be. A colour that nobody told fits any. */
    private static double steady(Set<String> seen, Set<String> expected) {
        double log = 0;
        for (String mark : seen) {
            boolean fits = expected.contains(mark) || mark.isEmpty() && !expected.isEmpty() || expected.contains("");
            log += fits ? 0 : Math.log(STRANGER);
        }
        boolean missing = !expected.isEmpty() && seen.isEmpty();
        return missing ? log + Math.log(STRANGER) : log;
    }

    /** Anything at all: intervals spread evenly over the logarithm. */
    private static double logNone(Sighting sighting) {
        double log = Math.log(STRANGER) * sighting.steady().size();
        List<Sighting.Seen> flashes = sighting.flashes();
        for (int i = 0; i < flashes.size(); i++) {
            Sighting.Seen flash = flashes.get(i);
            log += i > 0 ? Math.log(AnyLamp.interval(flash.at() - flashes.get(i - 1).at())) : Math.log(AnyLamp.nothingFor(flash.at() - flash.watched().from()));
            log += AnyLamp.logLit(flash);
        }
        return flashes.isEmpty() ? log : log + Math.log(AnyLamp.nothingFor(flashes.get(flashes.size() - 1).watched().to() - flashes.get(flashes.size() - 1).at()));
    }
}
