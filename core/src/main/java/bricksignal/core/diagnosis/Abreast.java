package bricksignal.core.diagnosis;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Work on many things at once, on as many cores as there are. */
public final class Abreast {

    private Abreast() {
    }

    /**
     * What the work makes of each, in their order.
     *
     * @param progress told which share is done, 0 to 1, from several threads; what it throws breaks the work off
     */
    public static <T, R> List<R> each(List<T> things, Function<T, R> work, DoubleConsumer progress) {
        Set<Integer> done = ConcurrentHashMap.newKeySet();
        return IntStream.range(0, things.size()).parallel().mapToObj(i -> {
            R made = work.apply(things.get(i));
            done.add(i);
            progress.accept(done.size() / (double) things.size());
            return made;
        }).toList();
    }
}
