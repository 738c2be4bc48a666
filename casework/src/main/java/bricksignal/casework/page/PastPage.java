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
import java.util.List;
import java.util.Map;

/**
 * What an earlier visit left behind in a unit.
 *
 * @param changed parts that were changed
 * @param left settings, each as it was left last
 * @param stillIn temporary changes that nobody said were taken out
 * @param borrowed parts of another unit that nobody said were given back
 */
public record PastPage(List<Message> changed, List<Message> left, List<Message> stillIn, List<Message> borrowed) {

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
        for (Filed filed : Case.standing(entries)) {
            if (filed.entry() instanceof Entry.Repaired repaired) {
                changed.add(part(unit, repaired.part()));
            } else if (filed.entry() instanceof Entry.SetTo set) {
                unit.model().settings().stream().filter(setting -> setting.id().equals(set.setting())).findFirst().ifPresent(setting -> left.put(set.setting(),
                        Message.of("history.left", Message.said(setting.label()), Message.said(set.left()))));
            } else if (filed.entry() instanceof Entry.ChangeIn change) {
                stillIn.add(change(nothingYet, change));
            } else if (filed.entry() instanceof Entry.Lent lent) {
                borrowed.add(part(unit, lent.part()));
            }
        }
        return new PastPage(changed, List.copyOf(left.values()), stillIn, borrowed);
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
