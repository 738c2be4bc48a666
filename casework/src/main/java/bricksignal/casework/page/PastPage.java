package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.Part;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What an earlier visit left behind in a unit.
 *
 * @param changed parts that were changed
 * @param left settings, each as it was left last
 * @param stillIn temporary changes that nobody said were taken out
 * @param borrowed parts of another unit that nobody said were given back
 * @param spares conductors that nothing was on
 * @param notes remarks, in the words of who made them
 * @param unused parts that were taken along and not put in
 */
public record PastPage(List<Message> changed, List<Message> left, List<Message> stillIn, List<Message> borrowed, List<Message> spares, List<Message> notes,
        List<Message> unused) {

    /** A call-back comes within a month (common practice). */
    private static final double CALL_BACK_DAYS = 30;

    /** What it means that the last visit was so many days ago, at least 0; empty where it means nothing. */
    public static Message callBack(double days) {
        return days <= CALL_BACK_DAYS ? Message.of("history.call-back", new Message.Number(Math.floor(days))) : Message.NOTHING;
    }

    /** What the entries of an earlier visit say; those that this unit does not understand count as nothing. */
    public static PastPage of(CaseUnit unit, List<Filed> entries) {
        Case nothingYet = Case.of(unit, Policy.defaults());
        List<Message> changed = new ArrayList<>();
        Map<String, Message> left = new LinkedHashMap<>();
        List<Message> stillIn = new ArrayList<>();
        List<Message> borrowed = new ArrayList<>();
        List<Message> spares = new ArrayList<>();
        List<Message> notes = new ArrayList<>();
        Set<String> unused = new LinkedHashSet<>();
        List<Filed> standing = Case.standing(entries);
        for (Filed filed : standing) {
            if (filed.entry() instanceof Entry.Repaired repaired) {
                changed.add(part(unit, repaired.part()));
            } else if (filed.entry() instanceof Entry.SetTo set) {
                unit.model().settings().stream().filter(setting -> setting.id().equals(set.setting())).findFirst().ifPresent(setting -> left.put(set.setting(),
                        Message.of("history.left", Message.said(setting.label()), Message.said(set.left()))));
            } else if (filed.entry() instanceof Entry.ChangeIn change) {
                stillIn.add(change(nothingYet, change));
            } else if (filed.entry() instanceof Entry.Lent lent) {
                borrowed.add(part(unit, lent.part()));
            } else if (filed.entry() instanceof Entry.Spare spare) {
                spares.add(WorkLines.spare(spare));
            } else if (filed.entry() instanceof Entry.Note note) {
                notes.add(Message.said(note.text()));
            } else if (filed.entry() instanceof Entry.Along along) {
                unused.add(along.part());
            }
        }
        standing.forEach(filed -> {
            if (filed.entry() instanceof Entry.Repaired repaired) {
                unused.remove(repaired.part());
            }
        });
        return new PastPage(changed, List.copyOf(left.values()), stillIn, borrowed, spares, notes, unused.stream().map(id -> part(unit, id)).toList());
    }

    /** What was put in; by the name of its test where this unit has none of that any more. */
    private static Message change(Case now, Entry.ChangeIn change) {
        try {
            return now.change(change);
        } catch (Refused unknown) {
            return Message.said(String.valueOf(change.test()));
        }
    }

    /** A part as people say it; by its own name where this unit has none of that. */
    public static Message part(CaseUnit unit, String id) {
        return Message.said(unit.model().parts().stream().filter(part -> part.id().equals(id)).map(Part::label).findFirst().orElse(id));
    }
}
