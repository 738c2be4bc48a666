package bricksignal.server.pack;

import bricksignal.server.problem.Compiling;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.DoubleSupplier;

/** Waits for work as long as somebody should wait, and no longer. */
final class Patience {

    private static final int WAIT_MS = 2500;

    private Patience() {
    }

    /**
     * What the work comes to.
     *
     * @param progress the share of it that is done, 0 to 1
     * @throws Compiling if it takes longer, or the wait is broken off
     * @throws ExecutionException if it failed
     */
    static <T> T await(CompletableFuture<T> work, DoubleSupplier progress) throws ExecutionException {
        try {
            return work.get(WAIT_MS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException later) {
            throw new Compiling(progress.getAsDouble());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Compiling(0);
        }
    }
}
