package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.entry.Entry;
import bricksignal.core.lamp.EdgeFinder;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * A recorded lamp as it is read, to be looked at before it is kept.
 *
 * @param weights the likeliest patterns
 * @param flashes what was found
 * @param threshold brightness between lit and dark, for each sample
 * @param notes what should be known, such as a gap
 */
public record LampPage(List<CasePage.Weight> weights, List<Flash> flashes, List<Double> threshold, List<Message> notes) {

    /** A flash: when it began, for how long it was lit where that is known, and its colour or position. */
    public record Flash(double at, double litSeconds, String mark) {
    }

    private static final double UNKNOWN_LENGTH = 0;

    /** Reads a recording; nothing is kept. */
    public static LampPage of(Case now, Entry.Film film) {
        CaseUnit unit = now.unit();
        String named = film.board();
        String board = named == null ? unit.model().charts().keySet().iterator().next() : named;
        EdgeFinder.Found found = EdgeFinder.find(film.trace());
        LampDecoder.Decoding decoding = LampDecoder.decode(found.sighting(), unit.model().chart(board).patterns());
        List<Message> notes = new ArrayList<>();
        if (film.trace().stretches().size() > 2) {
            notes.add(Message.of("lamp.gap", new Message.Number(film.trace().longestGap())));
        }
        if (!found.told() && found.sighting().flashes().isEmpty()) {
            notes.add(Message.of("lamp.not-told"));
        }
        return new LampPage(new LogLines(now).weights(board, decoding), found.sighting().flashes().stream().map(f -> new Flash(
                f.at(), Double.isNaN(f.litSeconds()) ? UNKNOWN_LENGTH : f.litSeconds(), f.mark())).toList(), found.threshold(), notes);
    }
}
