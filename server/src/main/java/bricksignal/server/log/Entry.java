package bricksignal.server.log;

import bricksignal.core.circuit.solve.MeterMode;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An entry as a client sends it. Which of the fields count depends on the kind.
 *
 * @param id made by the client; the same id again is the same entry, never a second one
 * @param madeAt when it was made, by the client's clock
 * @param supersedes the entry it takes back or replaces
 * @param test READING and ANSWER: a test of the unit, or absent for a free reading
 * @param black READING: point of the black probe
 * @param red READING: point of the red probe
 * @param mode READING: setting of the meter
 * @param moment READING: moment of the run
 * @param reading READING: what the display shows, as typed
 * @param yes ANSWER; RESET: whether the power was cycled; TWIN: whether it fails alike
 * @param board TAPS, TRACE and PATTERN: the board whose lamp it is; absent for the first
 * @param taps TAPS: seconds of each tap
 * @param holds TAPS: seconds each tap was held, or absent
 * @param marks TAPS: colour or position of the lamp of each tap, or absent
 * @param trace TRACE
 * @param unit TWIN: the other unit
 * @param channel EVENT and NOT_SEEN: a line of the strip
 * @param begins EVENT: whether it began or ended
 * @param seconds EVENT and NOT_SEEN: seconds after the call
 * @param part REPAIRED: the part, by id
 * @param pattern PATTERN: what the lamp shows, such as {@code 4 flashes}
 * @param text NOTE and CHANGE_IN: jumper, held switch, pulled connector
 */
public record Entry(@NotNull UUID id, Evidence.@NotNull Kind kind, @NotNull Instant madeAt, @Nullable UUID supersedes,
        @Nullable String test, @Nullable String black, @Nullable String red, @Nullable MeterMode mode,
        @Nullable String moment, @Nullable @Size(max = 40) String reading, @Nullable Boolean yes, @Nullable String board,
        @Nullable List<Double> taps, @Nullable List<Double> holds, @Nullable List<String> marks, @Nullable TraceData trace,
        @Nullable UUID unit, @Nullable String channel, @Nullable Boolean begins, @Nullable Double seconds,
        @Nullable String part, @Nullable String pattern, @Nullable @Size(max = 4000) String text) {

    /**
     * A recording of a lamp.
     *
     * @param seconds time of each sample
     * @param level brightness of the lamp
     * @param around brightness beside it, or absent
     * @param colours red, green and blue of each sample, or absent
     * @param mark colour or position as told, or absent
     */
    public record TraceData(List<Double> seconds, List<Double> level, @Nullable List<Double> around,
            @Nullable List<List<Double>> colours, @Nullable String mark) {
    }

    /** A bare entry of a kind, made on the server. */
    public static Entry of(Evidence.Kind kind, @Nullable String test, @Nullable String reading, @Nullable Boolean yes,
            @Nullable String pattern) {
        return new Entry(UUID.randomUUID(), kind, Instant.now(), null, test, null, null, null, null, reading, yes, null, null,
                null, null, null, null, null, null, null, null, pattern, null);
    }

    /** The same reading of the same place, where this one names none: what a correction leaves out. */
    public Entry where(Entry corrected) {
        boolean named = test != null || red != null || corrected.kind() != Evidence.Kind.READING;
        return named ? this : new Entry(id, kind, madeAt, supersedes, corrected.test(), corrected.black(), corrected.red(),
                corrected.mode(), corrected.moment(), reading, yes, board, taps, holds, marks, trace, unit, channel, begins, seconds, part, pattern,
                text);
    }
}
