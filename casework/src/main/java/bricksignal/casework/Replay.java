package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/**
 * A log that was written elsewhere, let in as if each entry came new: what the rules of the job refuse is left, with its reason, and so is what builds on it.
 *
 * @param now the case that the entries taken make
 * @param taken as they are kept, oldest first
 * @param left what was not taken, oldest first
 */
public record Replay(Case now, List<Filed> taken, List<Left> left) {

    public Replay {
        taken = List.copyOf(taken);
        left = List.copyOf(left);
    }

    /** An entry that was not taken, by id, and why. */
    public record Left(String id, String kind, Message why) {
    }

    /**
     * Lets in one entry after the other.
     *
     * @param empty the unit with nothing entered yet
     * @param sent oldest first
     * @param twins the other units of the site, by id
     * @param signers who made an entry, with what was current on that day
     * @param goOn asked before each entry
     * @throws Refused where it says no: half a log that was not looked at is no log
     */
    public static Replay of(Case empty, List<Filed> sent, Set<String> twins, Function<Filed, Signer> signers, BooleanSupplier goOn) {
        Case now = empty;
        Set<String> known = new HashSet<>();
        List<Filed> taken = new ArrayList<>();
        List<Left> left = new ArrayList<>();
        for (Filed one : sent) {
            if (!goOn.getAsBoolean()) {
                throw new Refused("entries", Message.of("entry.no-time"));
            }
            try {
                if (!known.add(one.id())) {
                    throw new Refused("id", Message.of("entry.twice"));
                }
                if (one.entry() instanceof Entry.Unread unread) {
                    throw new Refused("content", Message.of("entry.not-understood", Message.said(unread.why())));
                }
                if (one.entry() instanceof Entry.Allowed) {
                    throw new Refused("kind", Message.of("entry.allowed-elsewhere"));
                }
                Filed kept = Admission.admit(now, one, twins, signers.apply(one));
                now = now.and(kept);
                taken.add(kept);
            } catch (Refused refused) {
                left.add(new Left(one.id(), EntryFormat.kind(one.entry()), refused.says()));
            }
        }
        return new Replay(now, taken, left);
    }
}
