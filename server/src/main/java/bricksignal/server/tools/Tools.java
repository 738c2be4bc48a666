package bricksignal.server.tools;

import bricksignal.core.tuning.Misfit;
import bricksignal.server.problem.BadInput;
import java.util.function.Supplier;

/** What core refuses is told to who typed it. */
final class Tools {

    private Tools() {
    }

    static <T> T computed(Supplier<T> computation) {
        try {
            return computation.get();
        } catch (Misfit misfit) {
            throw misfit;
        } catch (IllegalArgumentException refused) {
            String why = String.valueOf(refused.getMessage());
            throw new BadInput("", Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".");
        }
    }
}
