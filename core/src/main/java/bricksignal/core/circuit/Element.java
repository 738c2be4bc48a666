package bricksignal.core.circuit;

import java.util.List;

/**
 * One element of a unit's circuit, as the pack declares it or as a fault leaves it. Values are SI: volts (RMS for
 * alternating), ohms, farads, amperes. Nets are named; the name of a net is also the name of a place a probe can touch.
 */
public sealed interface Element {

    /** The element's name, unique in its circuit. */
    String id();

    /** The nets this element joins, in the order of its terminals. */
    List<String> nets();

    /**
     * A source of alternating voltage with its own impedance; zero volts for direct current.
     *
     * @param volts RMS, at least 0
     * @param degrees phase ahead of the line, for the other legs of a three-phase supply
     * @param ohms series resistance, at least 0
     */
    record Source(String id, String plus, String minus, double volts, double degrees, double ohms) implements Element {
        public Source {
            Guard.atLeast(id, "volts", volts, 0);
            Guard.finite(id, "degrees", degrees);
            Guard.atLeast(id, "ohms", ohms, 0);
        }

        @Override
        public List<String> nets() {
            return List.of(plus, minus);
        }
    }

    /**
     * A source of direct voltage with its own resistance: battery, logic supply, data driver. Zero volts for alternating
     * current.
     *
     * @param volts of either sign
     * @param ohms series resistance, at least 0
     */
    record DirectSource(String id, String plus, String minus, double volts, double ohms) implements Element {
        public DirectSource {
            Guard.finite(id, "volts", volts);
            Guard.atLeast(id, "ohms", ohms, 0);
        }

        @Override
        public List<String> nets() {
            return List.of(plus, minus);
        }
    }

    /**
     * An ideal transformer with its series resistance on the secondary side. Passes no direct current from side to side.
     *
     * @param ratio primary turns over secondary turns, above 0
     * @param ohms series resistance seen at the secondary, above 0
     * @param primaryOhms resistance of the primary winding, for a meter on a dead unit, above 0
     * @param open true when a winding is open: nothing passes
     */
    record Transformer(String id, String p1, String p2, String s1, String s2, double ratio, double ohms,
            double primaryOhms, boolean open) implements Element {
        public Transformer {
            Guard.above(id, "ratio", ratio, 0);
            Guard.above(id, "ohms", ohms, 0);
            Guard.above(id, "primaryOhms", primaryOhms, 0);
        }

        @Override
        public List<String> nets() {
            return List.of(p1, p2, s1, s2);
        }
    }

    /**
     * A resistance with a reactance at line frequency: coil, motor winding, heater, board input.
     *
     * @param ohms resistance, above 0; {@link Double#POSITIVE_INFINITY} is an open load
     * @param reactanceOhms inductive reactance at line frequency, at least 0
     */
    record Load(String id, String a, String b, double ohms, double reactanceOhms) implements Element {
        public Load {
            Guard.above(id, "ohms", ohms, 0);
            Guard.atLeast(id, "reactanceOhms", reactanceOhms, 0);
        }

        /**
         * The same with so many times its impedance.
         *
         * @param factor above 0
         */
        public Load scaled(double factor) {
            return new Load(id, a, b, ohms * factor, reactanceOhms * factor);
        }

        @Override
        public List<String> nets() {
            return List.of(a, b);
        }
    }

    /**
     * A capacitor, or the stray capacitance between two conductors that run side by side.
     *
     * @param farads at least 0; 0 is an open capacitor
     */
    record Capacitor(String id, String a, String b, double farads) implements Element {

        /** The smallest capacitor of a unit's own has some microfarads (from memory). */
        private static final double STRAY_FARADS = 1e-7;

        public Capacitor {
            Guard.atLeast(id, "farads", farads, 0);
        }

        /** True for what is no part but the capacitance of a cable or a coil, which feeds nothing and holds no charge. */
        public boolean stray() {
            return farads <= STRAY_FARADS;
        }

        @Override
        public List<String> nets() {
            return List.of(a, b);
        }
    }

    /**
     * Anything that either conducts or does not: wire, connector pin, switch, relay contact, fuse, breaker.
     *
     * @param ohms resistance when closed, at least 0
     * @param closed whether it conducts
     * @param fuseAmps the current that opens it for good; infinite where it is no fuse
     */
    record Conductor(String id, String a, String b, double ohms, boolean closed, double fuseAmps) implements Element {
        public Conductor {
            Guard.atLeast(id, "ohms", ohms, 0);
            Guard.above(id, "fuseAmps", fuseAmps, 0);
        }

        /** The same conductor, open or closed. */
        public Conductor closed(boolean nowClosed) {
            return nowClosed == closed ? this : new Conductor(id, a, b, ohms, nowClosed, fuseAmps);
        }

        @Override
        public List<String> nets() {
            return List.of(a, b);
        }
    }

    /**
     * The path through a flame from rod to burner. A flame conducts better one way than the other; put on alternating
     * voltage it drives a direct current from the rod. Modelled as a half-wave rectifier, whose mean is sqrt(2)/pi of the
     * RMS voltage, behind the flame's resistance.
     *
     * @param ohms resistance of the flame, above 0
     * @param lit whether there is a flame
     */
    record FlamePath(String id, String rod, String burner, double ohms, boolean lit) implements Element {
        /** Mean of a half-wave rectified sine over its RMS: sqrt(2) / pi. */
        public static final double HALF_WAVE_MEAN = Math.sqrt(2) / Math.PI;

        public FlamePath {
            Guard.above(id, "ohms", ohms, 0);
        }

        /** The same path, lit or dark. */
        public FlamePath lit(boolean nowLit) {
            return nowLit == lit ? this : new FlamePath(id, rod, burner, ohms, nowLit);
        }

        @Override
        public List<String> nets() {
            return List.of(rod, burner);
        }
    }
}
