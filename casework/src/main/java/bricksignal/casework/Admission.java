package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.diagnosis.DangerTest;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.lamp.EdgeFinder;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Lets an entry into a case, or refuses it: what it says must make sense for the unit, and the rules of the job must let it pass. */
public final class Admission {

    /** The most entries of one visit, so that every answer stays bounded. Ours: a long day's visit has under a hundred. */
    static final int MOST_ENTRIES = 1000;

    private Admission() {
    }

    /**
     * The entry as it is kept.
     *
     * @param twins the other units of the site, by id
     * @throws Refused if it is not let in
     */
    public static Filed admit(Case before, Filed sent, Set<String> twins) {
        return admit(before, sent, twins, Signer.NOBODY);
    }

    /**
     * The same, of somebody who may have licences.
     *
     * @param twins the other units of the site, by id
     * @throws Refused if it is not let in
     */
    public static Filed admit(Case before, Filed sent, Set<String> twins, Signer signer) {
        if (before.lines().size() >= MOST_ENTRIES) {
            throw new Refused("kind", Message.of("entry.full", new Message.Number(MOST_ENTRIES)));
        }
        if (sent.entry() instanceof Entry.Experience) {
            throw new Refused("kind", Message.of("entry.own-records"));
        }
        Line about = about(before, sent);
        Filed kept = sent.with(signed(kept(sent.entry(), about), signer));
        new EntryReader(before.unit().pack(), before.stamps()).read(kept.entry(), before.run());
        if (kept.entry() instanceof Entry.Twin twin && !twins.contains(twin.unit()) || kept.entry() instanceof Entry.Lent lent
                && !twins.contains(lent.unit())) {
            throw new Refused("unit", Message.of("entry.no-twin"));
        }
        if (kept.entry() instanceof Entry.Repaired repaired) {
            repair(before, repaired.part());
        }
        if (kept.entry() instanceof Entry.Unable unable && DangerTest.comesFirst(before.unit().pack().catalogue().test(unable.test()))) {
            throw new Refused("test", Message.of("entry.asked-first"));
        }
        if (kept.entry() instanceof Entry.OfCommissioning step) {
            Commissioning.admit(before, step);
        }
        if (kept.entry() instanceof Entry.OfTheWork work) {
            work(before, work, signer);
        }
        if (kept.entry() instanceof Entry.ChangeIn change && change.text() != null) {
            throw new Refused("text", Message.of("entry.change-typed"));
        }
        stopped(before, kept, signer);
        return kept;
    }

    private static Entry signed(Entry entry, Signer signer) {
        return entry instanceof Entry.Lifted lifted ? new Entry.Lifted(lifted.finding(), lifted.done(), signer.name())
                : entry instanceof Entry.Allowed allowed ? new Entry.Allowed(allowed.part(), allowed.reason(), signer.name()) : entry;
    }

    /** While a finding stands that ended the diagnosis, nothing is let in that it forbids, and it goes by nothing but being put right. */
    private static void stopped(Case before, Filed kept, Signer signer) {
        if (kept.entry() instanceof Entry.Lifted lifted) {
            Stop.Licence needed = lifted.finding().licence(before.unit().model().dangers());
            if (!before.stops().containsKey(lifted.finding())) {
                throw new Refused("finding", Message.of("entry.not-stopped", lifted.finding().says("what")));
            } else if (!signer.mayLift(lifted.finding(), needed)) {
                throw new Refused("finding", Message.of("entry.needs-licence", Message.of("licence." + needed)));
            }
        }
        String about = kept.supersedes();
        Line found = about == null ? null : before.line(about);
        if (found != null && found.counts() && (Stops.found(before.unit().model(), found).filter(before.stops()::containsKey).isPresent()
                || found.filed().entry() instanceof Entry.Lifted)) {
            throw new Refused("supersedes", Message.of("entry.stop-stays"));
        }
        before.stops().keySet().stream().findFirst().filter(stop -> forbidden(before, kept.entry())).ifPresent(stop -> {
            throw new Refused("kind", Message.of("entry.stopped", stop.says("what")));
        });
    }

    private static boolean forbidden(Case before, Entry entry) {
        if (entry instanceof Entry.ChangeIn || entry instanceof Entry.Seen || entry instanceof Entry.Missed || entry instanceof Entry.Watched) {
            return true;
        }
        return new EntryReader(before.unit().pack(), before.stamps()).tests(entry).stream().anyMatch(test -> !before.mayBeMade(test));
    }

    /** The line that an entry supersedes. */
    private static @Nullable Line about(Case before, Filed sent) {
        String id = sent.supersedes();
        boolean needed = sent.entry() instanceof Entry.TakeBack || sent.entry() instanceof Entry.ChangeOut
                || sent.entry() instanceof Entry.Correction || sent.entry() instanceof Entry.GivenBack;
        if (id == null) {
            if (needed) {
                throw new Refused("supersedes", Message.of("entry.supersedes-what"));
            }
            return null;
        }
        Line line = before.line(id);
        if (line == null) {
            throw new Refused("supersedes", Message.of("entry.supersedes-nothing"));
        }
        if (needed && !line.counts()) {
            throw new Refused("supersedes", Message.of("entry.gone-already"));
        }
        if (sent.entry() instanceof Entry.ChangeOut && !(line.filed().entry() instanceof Entry.ChangeIn)) {
            throw new Refused("supersedes", Message.of("entry.not-a-change"));
        }
        if (sent.entry() instanceof Entry.GivenBack && !(line.filed().entry() instanceof Entry.Lent)) {
            throw new Refused("supersedes", Message.of("entry.not-lent"));
        }
        return line;
    }

    private static Entry kept(Entry entry, @Nullable Line about) {
        if (entry instanceof Entry.Earlier earlier) {
            return new Entry.Earlier(kept(earlier.what(), about), earlier.when());
        }
        if (entry instanceof Entry.Correction correction) {
            Entry corrected = about == null ? null : about.filed().entry();
            if (corrected instanceof Entry.OfAReading reading) {
                return reading.reading(correction.reading());
            } else if (corrected instanceof Entry.Earlier earlier && earlier.what() instanceof Entry.OfAReading reading) {
                return new Entry.Earlier(reading.reading(correction.reading()), earlier.when());
            }
            throw new Refused("supersedes", Message.of("entry.not-a-reading"));
        }
        return entry instanceof Entry.Film film ? found(film) : entry;
    }

    /** A recording with its flashes found: what is kept, so that it is never searched again. */
    static Entry.Filmed found(Entry.Film film) {
        Trace trace = film.trace();
        EdgeFinder.Found found = EdgeFinder.find(trace);
        return new Entry.Filmed(film.board(), found.sighting(), trace.seconds().get(trace.seconds().size() - 1)
                - trace.seconds().get(0));
    }

    /** A board is not ordered before it is proven either, and only a lead lets one be changed that is not. */
    private static void work(Case before, Entry.OfTheWork work, Signer signer) {
        if (work instanceof Entry.Ordered ordered && !mayBeChanged(before, before.unit().model().part(ordered.part()))) {
            throw new Refused("part", Message.of("entry.board-not-proven", Message.said(before.unit().model().part(ordered.part()).label())));
        }
        if (work instanceof Entry.Allowed allowed) {
            Part part = before.unit().model().part(allowed.part());
            if (part.kind() != Part.Kind.BOARD) {
                throw new Refused("part", Message.of("entry.not-a-board", Message.said(part.label())));
            } else if (!signer.lead()) {
                throw new Refused("kind", Message.of("entry.needs-lead"));
            }
        }
    }

    /** A board is not replaced before it is proven. */
    private static void repair(Case before, String id) {
        Part part = before.unit().model().part(id);
        if (before.diagnosis().repaired().contains(id)) {
            throw new Refused("part", Message.of("entry.repaired-already", Message.said(part.label())));
        }
        Verdict verdict = before.advice().verdict();
        if (verdict.damaged().contains(id)) {
            throw new Refused("part", Message.of("entry.cause-first", Message.said(part.label()),
                    before.diagnosis().hypothesis(verdict.leader()).label()));
        }
        if (!mayBeRepaired(before, part)) {
            throw new Refused("part", Message.of("entry.board-not-proven", Message.said(part.label())));
        }
    }

    /** True if a repair of that part is offered: any part, but a board only when it is proven itself, and nothing that its cause would take again. */
    public static boolean mayBeRepaired(Case now, Part part) {
        return !now.verdict().damaged().contains(part.id()) && mayBeChanged(now, part);
    }

    /** The same for a part that its cause took with it: it is ordered before the cause is put right. */
    public static boolean mayBeChanged(Case now, Part part) {
        Verdict verdict = now.verdict();
        return part.kind() != Part.Kind.BOARD || now.allowed(part.id()).isPresent() || verdict.damaged().contains(part.id())
                || verdict.status() == Verdict.Status.PROVEN && now.diagnosis().hypothesis(verdict.leader()).parts().contains(part);
    }
}
