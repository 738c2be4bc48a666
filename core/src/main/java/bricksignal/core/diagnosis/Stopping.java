package bricksignal.core.diagnosis;

/**
 * How the boards of a unit stop. The pack has one maker's way of it; what another unit shows where that of the pack has stopped belongs together: it is a state of the
 * whole unit, not a slip of one reading. Shares from memory.
 */
enum Stopping {

    /** As the unit of the pack does. */
    AS_DECLARED(0.75),
    /** Its board keeps other times, or it heats slower: it has not stopped yet. */
    NOT_YET(0.1),
    /** Its board lets go of some outputs or of all once it has stopped, where that of the pack holds a fan or a pump. */
    LETS_GO(0.15);

    private static final Stopping[] ALL = values();

    private final double share;
    private final double logShare;

    Stopping(double share) {
        this.share = share;
        this.logShare = Math.log(share);
    }

    double share() {
        return share;
    }

    /** Logarithms of likelihoods where it is not known how the unit stops, from those where it is: in this order, and then by hypothesis. */
    static double[] mixedLogs(double[][] logs) {
        double[] mixed = new double[logs[0].length];
        double[] weighed = new double[ALL.length];
        for (int h = 0; h < mixed.length; h++) {
            boolean alike = true;
            for (int way = 0; way < weighed.length; way++) {
                alike &= logs[way][h] == logs[0][h];
                weighed[way] = ALL[way].logShare + logs[way][h];
            }
            mixed[h] = alike ? logs[0][h] : PairSearch.logSum(weighed);
        }
        return mixed;
    }
}
