package bricksignal.core.lamp;

/** The name of a lamp's colour. Hue by the hexagonal model; the borders are where people change the word (from memory). */
final class Hue {

    private static final double WHITE_BELOW = 0.25;

    private Hue() {
    }

    /** One of {@link LampPart#COLOURS}; each part of the colour at least 0, below counts as 0. */
    static String name(double red, double green, double blue) {
        double r = Math.max(0, red);
        double g = Math.max(0, green);
        double b = Math.max(0, blue);
        double most = Math.max(r, Math.max(g, b));
        double least = Math.min(r, Math.min(g, b));
        double chroma = most - least;
        if (!(most > 0) || chroma / most < WHITE_BELOW) {
            return "white";
        }
        double hue = most == r ? (60 * (g - b) / chroma + 360) % 360
                : most == g ? 60 * (b - r) / chroma + 120 : 60 * (r - g) / chroma + 240;
        if (hue < 18 || hue >= 320) {
            return "red";
        }
        return hue < 45 ? "amber" : hue < 70 ? "yellow" : hue < 175 ? "green" : "blue";
    }
}
