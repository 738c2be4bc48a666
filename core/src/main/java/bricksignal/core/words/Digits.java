package bricksignal.core.words;

/** Numbers in digits, the same on every platform. */
public final class Digits {

    private Digits() {
    }

    /** A number to three figures or so, without exponent below ten million. */
    public static String of(double value) {
        double size = Math.abs(value);
        double step = size >= 100 ? 1 : size >= 10 ? 0.1 : 0.01;
        double rounded = Math.round(value / step) * step;
        if (rounded == 0) {
            return "0";
        }
        long hundredths = Math.round(Math.abs(rounded) * 100);
        String text = String.valueOf(hundredths / 100);
        long rest = hundredths % 100;
        if (rest != 0) {
            text += "." + (rest < 10 ? "0" : "") + (rest % 10 == 0 ? rest / 10 : rest);
        }
        return rounded < 0 ? "-" + text : text;
    }
}
