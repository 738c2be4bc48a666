package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The notice to the occupant of a unit that is shut off and tagged.
 *
 * @param reasons what stands, most dangerous first
 * @param facts who was told, what is at risk, the next visit
 * @param signature whether it was signed or refused
 */
public record NoticePage(Message title, List<Reason> reasons, List<Fact> facts, Message signature, Message defer) {

    /** Why the unit is off. */
    public record Reason(Message what, Message never, Message until, Message call) {

        private static Reason of(Stop stop) {
            return new Reason(stop.says("what"), Message.of("notice.never", stop.says("never")), Message.of("notice.until", stop.says("until")),
                    Message.of("notice.call", stop.says("call")));
        }
    }

    /** A line of it. */
    public record Fact(Message label, String text) {
    }

    /** The notice; empty where nobody was told yet. */
    public static Optional<NoticePage> of(Case now) {
        return tagged(now).map(tagged -> new NoticePage(Message.of("notice.title"), now.stops().keySet().stream().map(Reason::of).toList(), facts(tagged),
                Message.of(tagged.signed() ? "notice.signed" : "notice.refused"), Message.of("defer")));
    }

    private static Optional<Entry.Tagged> tagged(Case now) {
        return now.lines().stream().filter(Line::counts).flatMap(line -> line.filed().entry() instanceof Entry.Tagged one ? Stream.of(one)
                : Stream.<Entry.Tagged>empty()).reduce((first, last) -> last);
    }

    private static List<Fact> facts(Entry.Tagged tagged) {
        List<Fact> facts = new ArrayList<>();
        fact(facts, "notice.told", tagged.told());
        fact(facts, "notice.risk", tagged.risk());
        fact(facts, "notice.next", tagged.next());
        return facts;
    }

    private static void fact(List<Fact> facts, String key, @Nullable String text) {
        if (text != null) {
            facts.add(new Fact(Message.of(key), text));
        }
    }

    /**
     * What keeps a visit from being closed so; empty where nothing does. While something stands that ended the diagnosis it ends in one
     * way, and that one wants the occupant told.
     *
     * @param shutOff whether it is to be closed as shut off and tagged
     */
    public static Optional<Message> keepsOpen(Case now, boolean shutOff) {
        if (shutOff) {
            return tagged(now).isPresent() ? Optional.empty() : Optional.of(Message.of("close.not-tagged"));
        }
        return now.stops().keySet().stream().findFirst().map(stop -> Message.of("close.stopped", stop.says("what")));
    }
}
