package bricksignal.server.visit;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.entry.Filed;
import bricksignal.server.log.EntryJson;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.Workbench;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The cases that people work on, held by weight in a stated share of the heap so that a reading more is only added. Each can be made anew from its log at any time, here or
 * on another instance; what is held is always checked against the log.
 */
@Component
class Cases {

    private static final long KILOBYTE = 1024;
    private static final Duration LEFT_ALONE = Duration.ofMinutes(30);

    private final VisitStore store;
    private final Packs packs;
    private final EntryJson json;
    private final Workbench workbench;
    private final Cache<UUID, Held> held;

    Cases(VisitStore store, Packs packs, EntryJson json, Workbench workbench, @Value("${brick.cases.heap-share}") double heapShare) {
        this.store = store;
        this.packs = packs;
        this.json = json;
        this.workbench = workbench;
        this.held = Caffeine.newBuilder().maximumWeight((long) (heapShare * Runtime.getRuntime().maxMemory() / KILOBYTE))
                .weigher((UUID id, Held one) -> (int) Math.max(1, one.now().bytes() / KILOBYTE)).expireAfterAccess(LEFT_ALONE).build();
        packs.whenDropped(key -> held.asMap().values().removeIf(one -> one.now().unit().key().equals(key)));
    }

    /** A case as far as the entry at a place. */
    private record Held(Case now, long place) {
    }

    /**
     * A visit with its case.
     *
     * @param place the place of its last entry
     */
    record Open(VisitStore.Snapshot visit, Case now, long place) {
    }

    /** A visit with its case as it stands. No connection is held while it is computed. */
    Open open(String login, UUID id) {
        Held known = held.getIfPresent(id);
        long from = known == null ? 0 : known.place();
        VisitStore.Snapshot snapshot = store.snapshot(login, id, from);
        CaseUnit unit = packs.unit(snapshot.unit());
        if (known != null && known.now().unit() != unit) {
            known = null;
            from = 0;
            snapshot = store.snapshot(login, id, from);
        }
        Held base = known;
        VisitStore.Snapshot seen = snapshot;
        Case now = workbench.at(() -> base == null ? Case.of(unit, seen.policy(), seen.added().stream().map(json::read).toList())
                : goneOn(base.now().under(seen.policy()), seen));
        long place = snapshot.place(from);
        held.put(id, new Held(now, place));
        return new Open(snapshot, now, place);
    }

    /** Takes in that an entry was added. */
    Case added(Open before, Filed kept, long place) {
        Case after = workbench.at(() -> before.now().and(kept));
        held.put(before.visit().visit().id(), new Held(after, place));
        return after;
    }

    private Case goneOn(Case known, VisitStore.Snapshot snapshot) {
        Case now = known;
        for (var evidence : snapshot.added()) {
            now = now.and(json.read(evidence));
        }
        return now;
    }
}
