package bricksignal.server.pack;

import bricksignal.packs.Family;
import bricksignal.packs.PackException;
import bricksignal.packs.PackProblem;
import bricksignal.packs.PackReader;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import org.springframework.stereotype.Service;

/** Checks texts that somebody wrote: each once, and no longer than some minutes. */
@Service
public class PackChecks {

    /** The largest family that ships takes a quarter of a minute on two cores. */
    private static final Duration LONGEST = Duration.ofMinutes(3);
    private static final int MOST = 40;

    private final Map<String, Double> progress = new ConcurrentHashMap<>();
    private final ExecutorService worker = Workers.onAllCoresButOne();
    private final AsyncCache<String, PackCheck> checks = Caffeine.newBuilder().maximumSize(MOST).executor(worker).buildAsync();

    /** Breaks a check off that takes too long. */
    private static final class TookTooLong extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /**
     * What the check of a text finds.
     *
     * @throws bricksignal.server.problem.Compiling if that takes longer than somebody should wait; asked again, it goes on
     */
    public PackCheck of(String yaml) {
        String key = Packs.digest(yaml);
        try {
            return Patience.await(checks.get(key, text -> made(text, yaml)),
                    () -> progress.getOrDefault(key, 0.0));
        } catch (ExecutionException failed) {
            throw new IllegalStateException("the text " + key + " cannot be checked", failed.getCause());
        }
    }

    private PackCheck made(String key, String yaml) {
        long until = System.nanoTime() + LONGEST.toNanos();
        try {
            PackReader.check(Family.of(yaml), share -> {
                progress.put(key, share);
                if (System.nanoTime() > until) {
                    throw new TookTooLong();
                }
            });
            return new PackCheck(true, List.of());
        } catch (PackException refused) {
            return new PackCheck(false, refused.problems());
        } catch (TookTooLong late) {
            return new PackCheck(false, List.of(new PackProblem(1, "/", "to run and prove every fault takes longer than "
                    + LONGEST.toMinutes() + " minutes", "Make the runs shorter, or two families of it")));
        } finally {
            progress.remove(key);
        }
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }
}
