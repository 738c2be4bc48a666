package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;

/**
 * Minutes a test takes: reaching the points, changing how the unit stands, waiting for the moment. Times of setting up are
 * common practice, from memory.
 */
public final class TestCost {

    private static final double TAKE_MINUTES = 0.3;
    private static final double POWER_CHANGE_MINUTES = 1.0;
    private static final double PLUG_MINUTES = 0.5;
    private static final double SERIES_SECONDS = 60;
    private static final double GAUGE_SECONDS = 90;
    private static final double DEAD_BOTHER = 0.5;
    private static final double GAUGE_BOTHER = 1;
    private static final double TRY_BOTHER = 1;
    private static final double FED_BOTHER = 3;

    private TestCost() {
    }

    /**
     * Minutes for a test.
     *
     * @param standing how the unit stands now
     */
    public static double minutes(CompiledPack pack, Test test, Stand standing) {
        double minutes = TAKE_MINUTES + test.minutes();
        Setup needed = Setup.AS_IT_IS;
        if (test instanceof Test.Reading reading) {
            minutes += reach(pack, reading.place()) / 60;
            needed = reading.setup();
        }
        if (needed.powerOff() != standing.setup().powerOff()) {
            minutes += POWER_CHANGE_MINUTES;
        }
        for (String connector : needed.unplugged()) {
            minutes += standing.setup().unplugged().contains(connector) ? 0 : PLUG_MINUTES;
        }
        return minutes + (needed.powerOff() ? 0 : standing.waitingMinutes(pack, test.moment()));
    }

    /** Minutes of a test in which nothing is done but wait or watch: a whole run, or until its moment comes. */
    static double waits(CompiledPack pack, Test test, Stand standing) {
        boolean watched = test instanceof Test.Sequence || test instanceof Test.Check check && check.sense().watches();
        boolean off = test instanceof Test.Reading reading && reading.setup().powerOff();
        return watched ? test.minutes() : off ? 0 : standing.waitingMinutes(pack, test.moment());
    }

    /**
     * What a test costs beyond its minutes because of what it is, in minutes: people use their senses and ask before they take a meter, a meter at what is
     * there before a gauge, and a gauge before anything that opens, unplugs or feeds. Common practice, from memory.
     */
    static double bother(Test test) {
        if (test instanceof Test.Reading reading) {
            return reading.place() instanceof Place.Gauge ? GAUGE_BOTHER : reading.setup().powerOff() || !reading.setup().unplugged().isEmpty() ? DEAD_BOTHER : 0;
        }
        return test instanceof Test.Check check ? switch (check.sense()) {
            case TRY -> check.change().kind() == Change.Kind.FED ? FED_BOTHER : TRY_BOTHER;
            case SWAP, SUBSTITUTE -> FED_BOTHER;
            default -> 0;
        } : 0;
    }

    /** Price of the parts that a test uses up: a new part from the van is not sold as new again. */
    public static double partsUsed(CompiledPack pack, Test test) {
        return test instanceof Test.Check check && check.sense() == Test.Sense.SUBSTITUTE ? pack.catalogue().changedBy(check).price() : 0;
    }

    private static double reach(CompiledPack pack, Place place) {
        if (place instanceof Place.Across across) {
            return pack.model().point(across.black()).seconds() + pack.model().point(across.red()).seconds();
        }
        return place instanceof Place.Through ? SERIES_SECONDS : GAUGE_SECONDS;
    }
}
