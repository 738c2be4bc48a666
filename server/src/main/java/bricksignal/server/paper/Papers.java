package bricksignal.server.paper;

import bricksignal.core.words.Message;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps papers, so many for each unit and each kind of board and no more. */
@Service
class Papers {

    /** What a unit comes with is a handful: manual, wiring diagram, chart, start-up sheet (an estimate). */
    private static final int MOST = 30;

    private final PaperRows rows;
    private final SiteService sites;
    private final Clock clock = Clock.systemUTC();

    Papers(PaperRows rows, SiteService sites) {
        this.rows = rows;
        this.sites = sites;
    }

    /** Those of a unit and of its kind of board. */
    @Transactional(readOnly = true)
    List<PaperRows.Line> of(UUID unit) {
        BoardOverlay board = sites.unit(unit).overlay();
        return rows.of(unit, board == null ? null : board.id());
    }

    @Transactional(readOnly = true)
    Paper one(UUID id) {
        return rows.findById(id).orElseThrow(() -> new NotHere(Message.of("problem.no-paper")));
    }

    /**
     * Keeps one; the same again is the same row.
     *
     * @param board whether it belongs to the kind of board that the unit has
     */
    @Transactional
    Paper keep(String login, UUID unitId, UUID id, String title, @Nullable String part, @Nullable Integer page, boolean board, PaperFile file) {
        SiteUnit unit = sites.changed(login, unitId);
        BoardOverlay overlay = unit.overlay();
        if (board && overlay == null) {
            throw new BadInput("board", Message.of("problem.paper-no-board"));
        }
        if (page != null && page > file.pages()) {
            throw new BadInput("page", Message.of("problem.paper-page", new Message.Number(page), new Message.Number(file.pages())));
        }
        PaperAbout about = board && overlay != null ? new PaperAbout(null, overlay.id(), title, part, page) : new PaperAbout(unitId, null, title, part, page);
        Paper known = rows.findById(id).orElse(null);
        if (known != null && known.about().equals(about)) {
            return known;
        }
        if (known != null) {
            throw new Conflict(Message.of("problem.paper-known"));
        }
        if (board && overlay != null ? rows.countByOverlayId(overlay.id()) >= MOST : rows.countByUnitId(unitId) >= MOST) {
            throw new Conflict(Message.of("problem.paper-most", new Message.Number(MOST)));
        }
        sites.noted(login, unit, "paper", "none", title);
        return rows.save(new Paper(id, about, sites.account(login), clock.instant(), file));
    }

    /** Throws one away. */
    @Transactional
    void remove(String login, UUID unitId, UUID id) {
        SiteUnit unit = sites.changed(login, unitId);
        BoardOverlay overlay = unit.overlay();
        Paper paper = one(id);
        boolean here = unitId.equals(paper.about().unit()) || overlay != null && overlay.id().equals(paper.about().overlay());
        if (!here) {
            throw new NotHere(Message.of("problem.no-paper"));
        }
        sites.noted(login, unit, "paper", paper.about().title(), "none");
        rows.delete(paper);
    }
}
