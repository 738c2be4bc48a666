package bricksignal.core.circuit;

/** Checks of element values; NaN fails each of them. */
final class Guard {

    private Guard() {
    }

    static void finite(String id, String name, double value) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(id + ": " + name + " is " + value + "; it must be a finite number");
        }
    }

    static void above(String id, String name, double value, double bound) {
        if (!(value > bound)) {
            throw new IllegalArgumentException(id + ": " + name + " is " + value + "; it must be above " + bound);
        }
    }

    static void atLeast(String id, String name, double value, double bound) {
        if (!(value >= bound)) {
            throw new IllegalArgumentException(id + ": " + name + " is " + value + "; it must be at least " + bound);
        }
    }
}
