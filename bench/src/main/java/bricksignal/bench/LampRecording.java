package bricksignal.bench;

import bricksignal.core.lamp.EdgeFinder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.LampShow;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** A lamp as a person taps it or a camera sees it: jitter, flashes missed and too many, a start in the middle of a group. */
final class LampRecording {

    private static final double MISSED = 0.03;
    private static final double EXTRA = 0.01;
    private static final double TAP_JITTER = 0.06;
    private static final double ROUNDS = 3.2;
    private static final double LEAST_SECONDS = 12;
    private static final double FRAME_SECONDS = 1 / 30.0;
    private static final double FRAME_JITTER = 0.012;
    private static final double GAP = 0.004;
    private static final double GAP_SECONDS = 0.12;
    private static final double MAINS_HERTZ = 120;

    private final LampPattern pattern;
    private final Random random;
    private final double start;
    private final double seconds;

    LampRecording(LampPattern pattern, long seed) {
        this.pattern = pattern;
        this.random = new Random(seed);
        double round = pattern.roundSeconds();
        this.start = round > 0 ? random.nextDouble() * round : 0;
        this.seconds = Math.max(LEAST_SECONDS, ROUNDS * round);
    }

    /** Taps of a thumb; empty where the lamp does not blink. */
    Sighting tapped() {
        List<Double> at = new ArrayList<>();
        List<Double> holds = new ArrayList<>();
        List<String> marks = new ArrayList<>();
        for (LampShow.Lit lit : seen()) {
            double when = lit.from() + TAP_JITTER * random.nextGaussian();
            if (!at.isEmpty() && when <= at.get(at.size() - 1)) {
                when = at.get(at.size() - 1) + 0.02;
            }
            at.add(when);
            holds.add((lit.to() - lit.from() > 0.6 ? 0.6 : 0.12) * Math.exp(0.35 * random.nextGaussian()));
            marks.add(lit.mark());
        }
        return new Taps(at, holds, marks).sighting();
    }

    /** Thirty frames a second in a room whose light changes and flickers. */
    Sighting filmed() {
        List<LampShow.Lit> seen = seen();
        List<Double> times = new ArrayList<>();
        List<Double> level = new ArrayList<>();
        List<Double> around = new ArrayList<>();
        double drift = 15 * random.nextGaussian();
        for (double t = 0; t < seconds; t += FRAME_SECONDS + (random.nextDouble() < GAP ? GAP_SECONDS : 0)) {
            double shown = t + FRAME_JITTER * random.nextGaussian();
            double room = 60 + drift * t / seconds + 2 * Math.sin(2 * Math.PI * MAINS_HERTZ * shown);
            boolean lit = seen.stream().anyMatch(l -> lit(l, start + shown));
            times.add(t);
            around.add(room + random.nextGaussian());
            level.add(room + (lit ? 70 : 0) + 1.5 * random.nextGaussian());
        }
        return EdgeFinder.find(new Trace(times, level, around, List.of(), singleMark())).sighting();
    }

    /** A lamp in the picture has one colour or place; where flashes differ in it, their marks cannot be told apart here. */
    private String singleMark() {
        Set<String> marks = pattern.marks();
        return marks.size() == 1 ? marks.iterator().next() : "";
    }

    /** A lamp that is lit all the time is lit before the first frame and after the last. */
    private boolean lit(LampShow.Lit lit, double at) {
        return !blinks(lit) || lit.from() <= at && at < lit.to();
    }

    private boolean blinks(LampShow.Lit lit) {
        return lit.to() - lit.from() < seconds - 0.01;
    }

    private List<LampShow.Lit> seen() {
        List<LampShow.Lit> seen = new ArrayList<>();
        for (LampShow.Lit lit : LampShow.lit(pattern, start, start + seconds)) {
            boolean blinks = blinks(lit);
            if (!blinks || random.nextDouble() >= MISSED) {
                seen.add(lit);
            }
            if (blinks && random.nextDouble() < EXTRA) {
                double at = lit.to() + 0.12 + 0.1 * random.nextDouble();
                seen.add(new LampShow.Lit(at, at + 0.15, lit.mark()));
            }
        }
        return seen;
    }
}
