package bricksignal.server.problem;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Room for so many computations at once as the machine has use for; who finds no place in time is told that the server is busy. */
@Component
public class Workbench {

    private static final int PLACES_A_CORE = 2;
    private static final int WAIT_SECONDS = 8;

    private final Semaphore places = new Semaphore(PLACES_A_CORE * Runtime.getRuntime().availableProcessors(), true);
    private final Semaphore large = new Semaphore(1, true);

    /** Does some work at a place of its own. */
    public <T> T at(Supplier<T> work) {
        return at(places, work);
    }

    /** Does some work that takes much memory, one at a time. */
    public <T> T alone(Supplier<T> work) {
        return at(large, work);
    }

    private static <T> T at(Semaphore places, Supplier<T> work) {
        try {
            if (!places.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS)) {
                throw new Busy();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Busy();
        }
        try {
            return work.get();
        } finally {
            places.release();
        }
    }
}
