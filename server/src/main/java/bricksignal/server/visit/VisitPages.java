package bricksignal.server.visit;

import bricksignal.casework.Case;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.UnitPage;
import bricksignal.packs.PackDifferences;
import bricksignal.packs.PackException;
import bricksignal.server.log.EntryJson;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.Workbench;
import bricksignal.server.visit.VisitController.EventView;
import bricksignal.server.visit.VisitController.JobView;
import bricksignal.server.visit.VisitController.RawEntry;
import bricksignal.server.visit.VisitController.TwinView;
import bricksignal.server.visit.VisitController.VisitView;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes the whole view of a visit. One whose pack cannot be read any more is shown as it was written. */
@Component
class VisitPages {

    private static final int MOST = 1000;

    private final VisitService service;
    private final VisitStore store;
    private final Packs packs;
    private final EntryJson json;
    private final Workbench workbench;
    private final Cache<Case, CasePage> made = Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    VisitPages(VisitService service, VisitStore store, Packs packs, EntryJson json, Workbench workbench) {
        this.service = service;
        this.store = store;
        this.packs = packs;
        this.json = json;
        this.workbench = workbench;
    }

    /** What the screen shows first of a case; made once, however often it is asked for. */
    CasePage page(Case now) {
        return made.get(now, asked -> workbench.at(() -> CasePages.of(asked)));
    }

    VisitView of(String login, UUID id) {
        try {
            Cases.Open open = service.open(login, id);
            UnitPage unit = workbench.at(() -> UnitPage.of(open.now().unit()));
            return view(open.visit(), unit, page(open.now()), VisitController.twinsOf(open.now()), List.of());
        } catch (PackException unreadable) {
            VisitStore.Snapshot seen = store.snapshot(login, id, 0);
            return view(seen, null, null, Map.of(), seen.added().stream().map(e -> new RawEntry(e.id(), EntryFormat.kind(
                    json.read(e).entry()), e.madeAt().toEpochMilli(), e.content())).toList());
        }
    }

    private VisitView view(VisitStore.Snapshot seen, @Nullable UnitPage unit, @Nullable CasePage page, Map<String, Boolean> said,
            List<RawEntry> raw) {
        Visit v = seen.visit();
        BoardOverlay overlay = v.unit().overlay();
        return new VisitView(JobView.of(v), v.openedAt(), v.closedAt(), v.outcome(), v.decided(),
                store.mayReopen(seen.account(), v), store.events(v.id()).stream().map(EventView::of).toList(), store.earlier(v).stream().map(JobView::of).toList(), v.unit().id(), v.unit().pack(),
                overlay == null ? null : overlay.name(), store.twins(v).stream().map(TwinView::of).toList(), said, newer(seen), unit,
                page, raw);
    }

    /** In what the installed pack differs; null where an open visit is read with it, and for a closed one. */
    private @Nullable List<PackDifferences.Difference> newer(VisitStore.Snapshot seen) {
        String digest = seen.unit().digest();
        String family = seen.visit().unit().pack();
        if (seen.visit().closed() || packs.isInstalled(digest) || packs.models().stream().noneMatch(m -> m.id().equals(family))) {
            return null;
        }
        return PackDifferences.of(packs.text(digest).orElse(""), packs.text(packs.digestOf(family, Map.of())).orElse(""));
    }
}
