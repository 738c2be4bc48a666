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
 * @param yes ANSWER
 * @param board TAPS and PATTERN: the board whose lamp it is; absent for the first
 * @param taps TAPS: seconds of each tap
 * @param pattern PATTERN: what the lamp shows, such as {@code 4 flashes}
 * @param text NOTE and CHANGE_IN: jumper, held switch, pulled connector
 */
public record Entry(@NotNull UUID id, Evidence.@NotNull Kind kind, @NotNull Instant madeAt, @Nullable UUID supersedes,
        @Nullable String test, @Nullable String black, @Nullable String red, @Nullable MeterMode mode,
        @Nullable String moment, @Nullable @Size(max = 40) String reading, @Nullable Boolean yes, @Nullable String board,
        @Nullable List<Double> taps, @Nullable String pattern, @Nullable @Size(max = 4000) String text) {

    /** The same reading of the same place, where this one names none: what a correction leaves out. */
    public Entry where(Entry corrected) {
        boolean named = test != null || red != null || corrected.kind() != Evidence.Kind.READING;
        return named ? this : new Entry(id, kind, madeAt, supersedes, corrected.test(), corrected.black(), corrected.red(),
                corrected.mode(), corrected.moment(), reading, yes, board, taps, pattern, text);
    }
}
