package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.TestCatalogue;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import org.jspecify.annotations.Nullable;

/**
 * How the unit stands after what was done last: its power, its plugs, and where in which run it is. What runs goes on running while the next reading is taken.
 *
 * @param setup power and plugs
 * @param moment of the run it stands at, by id; null where a call must be placed anew
 */
public record Stand(Setup setup, @Nullable String moment) {

    /** As somebody comes to it. */
    public static final Stand AS_FOUND = new Stand(Setup.AS_IT_IS, null);

    /** A stretch that is over sooner is over before the next reading is taken, seconds (common practice, from memory). */
    private static final double LASTING_SECONDS = 120;

    /** How it stands after a test: a question asked of somebody leaves it, a part or a plug that is touched, and a whole run that is watched, end its run. */
    public Stand after(Test test) {
        if (test instanceof Test.Reading reading) {
            return new Stand(reading.setup(), reading.setup().powerOff() ? null : reading.moment());
        }
        if (test instanceof Test.Check check && !check.sense().watches()) {
            return check.sense().onlyAsks() ? this : new Stand(Setup.AS_IT_IS, check.sense().onlyPerceives() || check.sense() == Test.Sense.FEEL ? check.moment() : null);
        }
        return AS_FOUND;
    }

    /** What it takes from here until a moment comes, minutes: nothing where it stands there still, what is left of the way where that run goes on, or a new call. */
    double waitingMinutes(CompiledPack pack, String wanted) {
        TestCatalogue catalogue = pack.catalogue();
        double anew = catalogue.waitingMinutes(wanted);
        if (moment == null || setup.powerOff()) {
            return anew;
        }
        if (moment.equals(wanted)) {
            return catalogue.lastsSeconds(wanted) >= LASTING_SECONDS ? 0 : anew;
        }
        Moment here = pack.model().moment(moment);
        double left = catalogue.seconds(wanted) - catalogue.seconds(moment);
        return here.scenario().equals(pack.model().moment(wanted).scenario()) && left >= 0 ? Math.min(anew, left / 60) : anew;
    }
}
