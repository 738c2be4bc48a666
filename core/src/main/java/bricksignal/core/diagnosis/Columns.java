package bricksignal.core.diagnosis;

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
        this.known = shelf.row(column -> BYTES_OF_A_KEY + 3L * Double.BYTES * column.stopped().length);
        this.pack = pack;
        this.likelihoods = Likelihoods.of(pack);
        this.loose = Likelihoods.loose(pack);
    }

    /**
     * Logarithms of the likelihoods under each considered hypothesis, in the order of the space; not to be changed.
     *
     * @param stopped where the unit stopped as that of the pack does
     * @param onItsWay where it had not stopped yet
     * @param loose where something is the matter that the model does not know
     */
    record Column(double[] stopped, double[] onItsWay, double[] loose) {
    }

    Column of(Evidence.Entry entry) {
        return known.get(entry, () -> made(entry));
    }

    private Column made(Evidence.Entry entry) {
        int count = pack.space().considered().size();
        boolean tells = Likelihoods.tells(entry.observation());
        double[] stopped = new double[count];
        double[] onItsWay = tells ? new double[count] : stopped;
        double[] unlike = entry.observation().ofTheSequence() ? stopped : new double[count];
        for (int h = 0; h < count; h++) {
            HypothesisId then = entry.then(pack.space(), pack.space().considered().get(h).id());
            stopped[h] = likelihoods.log(entry.together(), then, false);
            if (tells) {
                onItsWay[h] = likelihoods.log(entry.together(), then, true);
            }
            if (unlike != stopped) {
                unlike[h] = loose.log(entry.together(), then, false);
            }
        }
        return new Column(stopped, onItsWay, unlike);
    }
}
