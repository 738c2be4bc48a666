package bricksignal.core.unit;

import java.util.List;

/**
 * How the unit stands for a test, beyond a plain run.
 *
 * @param powerOff the disconnect is open and proven off
 * @param unplugged connectors that are pulled, by id
 */
public record Setup(boolean powerOff, List<String> unplugged) {

    /** The unit as it is, running or waiting. */
    public static final Setup AS_IT_IS = new Setup(false, List.of());

    public Setup {
        unplugged = List.copyOf(unplugged);
    }
}
