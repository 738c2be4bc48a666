package bricksignal.server.diagnosis;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.lamp.EdgeFinder;
import bricksignal.server.log.Entry;
import bricksignal.server.pack.Packs;
import java.util.ArrayList;
import java.util.List;

/**
 * A lamp as it is read from what was recorded, to be looked at before it is kept.
 *
 * @param weights the likeliest patterns
 * @param flashes what was found
 * @param threshold brightness between lit and dark, for the samples that were read; empty for taps
 * @param from seconds of the first sample that was read
 * @param notes what should be known, such as a gap
 */
public record LampView(List<DiagnosisView.WeightView> weights, List<FlashView> flashes, List<Double> threshold, double from,
        List<String> notes) {

    /** A flash: when it began, for how long it was lit where that is known, and its colour or position. */
    public record FlashView(double at, double litSeconds, String mark) {
    }

    private static final double UNKNOWN_LENGTH = 0;

    /** Reads the taps or the trace of an entry; nothing is kept. */
    public static LampView of(Packs.Ready ready, Entry entry) {
        LampReading reading = LampReading.of(ready.pack(), entry);
        LogPage page = new LogPage(Diagnosis.of(ready.pack(), List.of()));
        EdgeFinder.Found found = reading.found();
        List<String> notes = new ArrayList<>();
        if (found != null) {
            List<Double> seconds = entry.trace() == null ? List.of() : entry.trace().seconds();
            if (found.threshold().size() < seconds.size()) {
                notes.add("The recording has a gap; only the longest stretch without one is read, from "
                        + Math.round(found.from() * 10) / 10.0 + " to " + Math.round(found.to() * 10) / 10.0 + " s.");
            }
            if (!found.told() && found.sighting().flashes().isEmpty()) {
                notes.add("The brightness never changes. Whether the lamp is lit or dark cannot be told from it; choose it.");
            }
        }
        return new LampView(page.weights(LogReader.board(ready.pack(), entry), reading.decoding()),
                reading.sighting().flashes().stream().map(f -> new FlashView(f.at(),
                        Double.isNaN(f.litSeconds()) ? UNKNOWN_LENGTH : f.litSeconds(), f.mark())).toList(),
                found == null ? List.of() : found.threshold(), found == null ? 0 : found.from(), notes);
    }
}
