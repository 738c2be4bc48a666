package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What the lamps of a pattern show as time goes by, exactly: what drives the lamp on the bench. */
public final class LampShow {

    private LampShow() {
    }

    /**
     * A stretch in which a lamp is lit.
     *
     * @param from seconds
     * @param to seconds
     * @param mark colour, position or both
     */
    public record Lit(double from, double to, String mark) {
    }

    /** Every stretch of light that begins between two times; the round begins at zero. */
    public static List<Lit> lit(LampPattern pattern, double from, double to) {
        List<Lit> lit = new ArrayList<>();
        for (LampPart part : pattern.parts()) {
            if (part.kind() == LampPart.Kind.STEADY) {
                lit.add(new Lit(from, to, part.mark()));
            }
            double length = part.roundSeconds();
            double round = length > 0 ? Math.floor(from / length) : 0;
            for (; length > 0 && round * length < to; round++) {
                addRound(lit, part, round * length, from, to);
            }
        }
        lit.sort(java.util.Comparator.comparingDouble(Lit::from));
        return lit;
    }

    private static void addRound(List<Lit> lit, LampPart part, double start, double from, double to) {
        double at = start;
        for (LampPattern.Flash flash : part.round()) {
            if (at >= from && at < to) {
                lit.add(new Lit(at, at + flash.litSeconds(), flash.mark()));
            }
            at += flash.period();
        }
    }

    /** The marks of the lamps that are lit at that instant. */
    public static Set<String> at(LampPattern pattern, double seconds) {
        Set<String> marks = new LinkedHashSet<>();
        for (LampPart part : pattern.parts()) {
            if (part.kind() == LampPart.Kind.STEADY) {
                marks.add(part.mark());
            }
            double length = part.roundSeconds();
            double left = length > 0 ? seconds - Math.floor(seconds / length) * length : 0;
            for (LampPattern.Flash flash : part.round()) {
                if (left >= 0 && left < flash.litSeconds()) {
                    marks.add(flash.mark());
                }
                left -= flash.period();
            }
        }
        return marks;
    }
}
