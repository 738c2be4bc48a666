package bricksignal.core.tuning;

/**
 * Water temperature by the weather. The heat that is needed falls in a straight line from the design day to the day without heating; the emitter gives it by
 * a power of how much warmer than the room its water is (EN 442: 1.3 for radiators, 1.1 for floors, 1.4 for convectors and fin tube). All degrees Fahrenheit.
 *
 * @param designOutdoor the coldest day
 * @param designWater mean water temperature that day
 * @param noHeatOutdoor the day from which nobody heats; above the coldest day
 * @param room wanted; above that of the day without heating or equal to it, and below the water
 * @param exponent of the emitter, 1 to 1.6
 * @param least the water is never cooler: what a boiler must not condense below, or nothing
 */
public record ResetLine(double designOutdoor, double designWater, double noHeatOutdoor, double room, double exponent, double least) {

    private static final double MOST_EXPONENT = 1.6;

    public ResetLine {
        if (!inOrder(designOutdoor, noHeatOutdoor, room, designWater)) {
            throw new IllegalArgumentException("design day " + designOutdoor + ", day without heating " + noHeatOutdoor + ", room " + room + ", water " + designWater
                    + " °F; each must be warmer than the one before");
        }
        if (!(exponent >= 1 && exponent <= MOST_EXPONENT)) {
            throw new IllegalArgumentException("the emitter's exponent is " + exponent + "; it must be from 1 to 1.6");
        }
        if (!(least <= designWater)) {
            throw new IllegalArgumentException("the water is never to be cooler than " + least + " °F, above the " + designWater + " of the design day");
        }
    }

    /** Whether a line goes through them: each warmer than the one before. */
    static boolean inOrder(double designOutdoor, double noHeatOutdoor, double room, double designWater) {
        return designOutdoor < noHeatOutdoor && noHeatOutdoor <= room && room < designWater;
    }

    /** The share of the design load on a day, 0 to 1. */
    public double load(double outdoor) {
        return Math.min(1, Math.max(0, (noHeatOutdoor - outdoor) / (noHeatOutdoor - designOutdoor)));
    }

    /** The water that gives that load; the least where that is more. */
    public double water(double outdoor) {
        return Math.max(least, room + (designWater - room) * Math.pow(load(outdoor), 1 / exponent));
    }
}
