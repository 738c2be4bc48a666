package bricksignal.server.pack;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinWorkerThread;

/** Where runs are made: whoever asks for a page meanwhile has a core left. */
final class Workers {

    private Workers() {
    }

    /** Daemons; what is done in parallel within their work stays on them. */
    static ExecutorService onAllCoresButOne() {
        return new ForkJoinPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), pool -> {
            ForkJoinWorkerThread thread = ForkJoinPool.defaultForkJoinWorkerThreadFactory.newThread(pool);
            thread.setContextClassLoader(Workers.class.getClassLoader());
            return thread;
        }, null, true);
    }
}
