package bricksignal.core.unit;

import org.jspecify.annotations.Nullable;

/** Where an instrument goes. */
public sealed interface Place {

    /** True where the same has to be reached: the same two nets either way round, the same quantity whatever it is judged against. */
    default boolean same(Place other) {
        return equals(other) || this instanceof Across here && other instanceof Across there && here.black().equals(there.red()) && here.red().equals(there.black())
                || this instanceof Gauge here && other instanceof Gauge there && here.quantity().equals(there.quantity());
    }

    /** The two probes on two nets. */
    record Across(String black, String red) implements Place {
    }

    /** In series with an element, or a clamp around it. */
    record Through(String element) implements Place {
    }

    /**
     * A gauge on a process value: draft, gas pressure, temperature.
     *
     * @param stamp what it is judged against, or null
     * @param thermistor the sensor through which a temperature is read on ohms, or null
     */
    record Gauge(String quantity, @Nullable Stamp stamp, @Nullable Thermistor thermistor) implements Place {
    }
}
