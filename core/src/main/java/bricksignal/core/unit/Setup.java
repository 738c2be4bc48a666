package bricksignal.core.unit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How the unit stands for a test, beyond a plain run.
 *
 * @param powerOff the disconnect is open and proven off
 * @param unplugged connectors that are pulled, by id
 * @param given process values at which it is read, by name, whatever the run left: across the disc of a cold stove
 */
public record Setup(boolean powerOff, List<String> unplugged, Map<String, Double> given) {

    /** The unit as it is, running or waiting. */
    public static final Setup AS_IT_IS = new Setup(false, List.of());

    public Setup {
        unplugged = List.copyOf(unplugged);
        given = Collections.unmodifiableMap(new LinkedHashMap<>(given));
    }

    /** At whatever the run left. */
    public Setup(boolean powerOff, List<String> unplugged) {
        this(powerOff, unplugged, Map.of());
    }
}
