package bricksignal.core.diagnosis;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How likely every considered hypothesis makes an observation. The same is asked for again and again, by each visit and each way that is
 * thought through, so what was asked for lately is kept on the shelf.
 */
final class Columns {

    /** The observations that belong together and are part of the key: their records and lists, from memory of the heap. */
    private static final long BYTES_OF_A_KEY = 600;

    private final CompiledPack pack;
    private final Likelihoods likelihoods;
    private final Likelihoods loose;
    private final Shelf.Row<Evidence.Entry, Column> known;

    Columns(CompiledPack pack, Shelf shelf) {
        this.known = shelf.row(column -> BYTES_OF_A_KEY + 4L * Double.BYTES * column.loose().length);
        this.pack = pack;
        this.likelihoods = Likelihoods.of(pack);
        this.loose = Likelihoods.loose(pack);
    }

    /**
     * Logarithms of the likelihoods under each considered hypothesis, in the order of the space; not to be changed.
     *
     * @param stopping by how the unit stops, in the order of {@link Stopping}; one and the same where that does not matter
     * @param loose where something is the matter that the model does not know
     */
    record Column(double[][] stopping, double[] loose) {

        /** The likeliest of them. */
        double[] best() {
            double[] first = stopping[0];
            if (Arrays.stream(stopping).allMatch(one -> one == first)) {
                return first;
            }
            return IntStream.range(0, first.length).mapToDouble(h -> Arrays.stream(stopping).mapToDouble(one -> one[h]).max().orElseThrow()).toArray();
        }
    }

    Column of(Evidence.Entry entry) {
        return known.get(entry, () -> made(entry));
    }

    private Column made(Evidence.Entry entry) {
        double[] declared = logs(likelihoods, entry, Stopping.AS_DECLARED);
        boolean tells = Likelihoods.tells(entry.observation());
        double[][] ways = Arrays.stream(Stopping.values()).map(stopping -> stopping == Stopping.AS_DECLARED || !tells ? declared : logs(likelihoods, entry, stopping))
                .toArray(double[][]::new);
        double[] unlike = entry.observation().ofTheSequence() ? declared : logs(loose, entry, Stopping.AS_DECLARED);
        return new Column(ways, unlike);
    }

    private double[] logs(Likelihoods by, Evidence.Entry entry, Stopping stopping) {
        return pack.space().considered().stream().mapToDouble(h -> by.log(entry.together(), entry.then(pack.space(), h.id()), stopping)).toArray();
    }
}
