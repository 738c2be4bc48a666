package bricksignal.core.stock;

/**
 * How many of a part are worth carrying until the van is filled again: the newsvendor's problem (Arrow, Harris and Marschak, Optimal
 * inventory policy, 1951). One more is carried as long as the chance that it is wanted, times what it costs not to have it, outweighs
 * what it costs to carry it in vain.
 *
 * @param demand how often it is wanted
 * @param over weeks until the van is filled again, above 0
 * @param missing what it costs when it is wanted and not there, at least 0: the counter with its wait, or the second trip
 * @param carrying what one costs that is carried and not wanted, above 0: interest on its price, its room
 */
public record Carry(Demand demand, double over, double missing, double carrying) {

    private static final int MOST = 50;

    public Carry {
        if (!(over > 0) || !(missing >= 0) || !(carrying > 0)) {
            throw new IllegalArgumentException("carrying over " + over + " weeks, missing costs " + missing + ", carrying " + carrying
                    + "; the first and the last must be above 0, missing at least 0");
        }
    }

    /** The share of fillings in which what is carried should do: what it costs to miss one against that and what it costs to carry one. */
    public double criticalRatio() {
        return missing / (missing + carrying);
    }

    /** How many to carry where there is room: the fewest that do in at least the critical share of fillings, at most 50. */
    public int best() {
        int carried = 0;
        while (carried < MOST && saved(carried + 1) > 0) {
            carried++;
        }
        return carried;
    }

    /** What the so-manieth piece saves in expectation, from 1 on; falls with each piece, below 0 where it costs more than it saves or none beyond 50 is carried. */
    public double saved(int piece) {
        double wanted = 1 - demand.atMost(piece - 1, over);
        return piece > MOST ? -carrying : wanted * missing - (1 - wanted) * carrying;
    }

    /** What it costs in expectation to carry so many, at least 0: the missed ones and those carried in vain. */
    public double expectedCost(int carried) {
        double missed = demand.expected(over);
        double idle = 0;
        for (int k = 0; k <= carried; k++) {
            double p = demand.probability(k, over);
            idle += (carried - k) * p;
            missed -= k * p;
        }
        missed -= carried * (1 - demand.atMost(carried, over));
        return Math.max(0, missed) * missing + idle * carrying;
    }
}
