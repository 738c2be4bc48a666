package bricksignal.server.diagnosis;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.lamp.EdgeFinder;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import bricksignal.server.problem.BadInput;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A lamp as an entry recorded it, read.
 *
 * @param decoding what it says
 * @param sighting the flashes that were found
 * @param found how a trace was read, or null for taps
 */
record LampReading(LampDecoder.Decoding decoding, Sighting sighting, EdgeFinder.@Nullable Found found) {

    /**
     * Reads the taps or the trace of an entry against the chart of its board.
     *
     * @throws BadInput if they make no sense
     */
    static LampReading of(CompiledPack pack, Entry entry) {
        String board = LogReader.board(pack, entry);
        List<LampPattern> chart = pack.model().chart(board).patterns();
        if (entry.kind() == Evidence.Kind.TRACE) {
            EdgeFinder.Found found = LogReader.field("trace", () -> EdgeFinder.find(trace(entry)));
            return new LampReading(LampDecoder.decode(found.sighting(), chart), found.sighting(), found);
        }
        Taps taps = LogReader.field("taps", () -> new Taps(orEmpty(entry.taps()), orEmpty(entry.holds()),
                orEmpty(entry.marks())));
        return new LampReading(LogReader.field("taps", () -> LampDecoder.decode(taps, chart)), taps.sighting(), null);
    }

    private static Trace trace(Entry entry) {
        Entry.TraceData data = entry.trace();
        if (data == null) {
            throw new BadInput("trace", "The trace is empty; record the lamp for some seconds.");
        }
        String mark = data.mark();
        return new Trace(data.seconds(), data.level(), orEmpty(data.around()), orEmpty(data.colours()).stream()
                .map(LampReading::colour).toList(), mark == null ? "" : mark);
    }

    private static Trace.Rgb colour(List<Double> parts) {
        if (parts.size() != 3) {
            throw new IllegalArgumentException("a colour has three parts, not " + parts.size());
        }
        return new Trace.Rgb(parts.get(0), parts.get(1), parts.get(2));
    }

    private static <T> List<T> orEmpty(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
