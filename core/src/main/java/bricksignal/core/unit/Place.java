package bricksignal.core.unit;

/** Where an instrument goes. */
public sealed interface Place {

    /** The two probes on two nets. */
    record Across(String black, String red) implements Place {
    }

    /** In series with an element, or a clamp around it. */
    record Through(String element) implements Place {
    }

    /** A gauge on a process value: draft, gas pressure, temperature. */
    record Gauge(String quantity) implements Place {
    }
}
