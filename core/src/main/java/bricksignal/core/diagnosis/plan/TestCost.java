package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
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

    private TestCost() {
    }

    /**
     * Minutes for a test.
     *
     * @param standing how the unit stands now
     */
    public static double minutes(CompiledPack pack, Test test, Setup standing) {
        double minutes = TAKE_MINUTES + test.minutes();
        Setup needed = Setup.AS_IT_IS;
        if (test instanceof Test.Reading reading) {
            minutes += reach(pack, reading.place()) / 60;
            needed = reading.setup();
        }
        if (needed.powerOff() != standing.powerOff()) {
            minutes += POWER_CHANGE_MINUTES;
        }
        for (String connector : needed.unplugged()) {
            minutes += standing.unplugged().contains(connector) ? 0 : PLUG_MINUTES;
        }
        return minutes + (needed.powerOff() ? 0 : pack.catalogue().waitingMinutes(test.moment()));
    }

    /** Price of the parts that a test uses up: a new part from the van is not sold as new again. */
    public static double partsUsed(CompiledPack pack, Test test) {
        return test instanceof Test.Check check && check.sense() == Test.Sense.SUBSTITUTE ? pack.catalogue().changedBy(check).price() : 0;
    }

    /** How the unit stands after a test. */
    public static Setup after(Test test) {
        return test instanceof Test.Reading reading ? reading.setup() : Setup.AS_IT_IS;
    }

    private static double reach(CompiledPack pack, Place place) {
        if (place instanceof Place.Across across) {
            return pack.model().point(across.black()).seconds() + pack.model().point(across.red()).seconds();
        }
        return place instanceof Place.Through ? SERIES_SECONDS : GAUGE_SECONDS;
    }
}
