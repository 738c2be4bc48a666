package bricksignal.casework;

import bricksignal.casework.entry.Filed;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampDecoder.Decoding;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An entry of a case with what it tells.
 *
 * @param filed the entry
 * @param observations what it tells the engine; none for a remark or an entry that takes another back
 * @param lamp how a lamp was read, or null
 * @param counts whether it still stands: neither taken back nor replaced
 */
public record Line(Filed filed, List<Observation> observations, @Nullable Decoding lamp, boolean counts) {

    public Line {
        observations = List.copyOf(observations);
    }

    Line counting(boolean now) {
        return now == counts ? this : new Line(filed, observations, lamp, now);
    }
}
