package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a unit shows of which it is known what is the matter, as the entries that a person would make: for invented visits. */
public final class Shown {

    private Shown() {
    }

    /** The entries of a test: one for a reading or an answer, those of the whole run where it is to watch. */
    public static List<Entry> by(CompiledPack pack, Test test, HypothesisId matter) {
        List<Entry> run = new ArrayList<>();
        double until = 0;
        for (Observation shown : pack.likeliest(test, matter)) {
            if (shown instanceof Observation.Reading reading) {
                return List.of(new Entry.TestReading(test.id(), Double.isInfinite(reading.value()) ? "OL" : String.format(Locale.ROOT, "%.3f", reading.value())));
            } else if (shown instanceof Observation.Answer answer) {
                return List.of(new Entry.Answer(test.id(), answer.yes()));
            } else if (shown instanceof Observation.Event event) {
                run.add(new Entry.Seen(event.channel(), event.begins(), event.afterCall()));
                until = Math.max(until, event.afterCall());
            } else if (shown instanceof Observation.NotSeen missing) {
                run.add(new Entry.Missed(missing.channel(), missing.until()));
                until = Math.max(until, missing.until());
            }
        }
        run.add(new Entry.Watched(until));
        return List.copyOf(run);
    }
}
