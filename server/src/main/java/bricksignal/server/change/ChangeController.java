package bricksignal.server.change;

import bricksignal.casework.page.ChangeOutPage;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.packs.Overlay;
import bricksignal.server.overlay.OverlayService;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Workbench;
import bricksignal.server.visit.VisitService;
import java.security.Principal;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The change of a board. */
@RestController
class ChangeController {

    private final VisitService visits;
    private final OverlayService overlays;
    private final Workbench workbench;

    ChangeController(VisitService visits, OverlayService overlays, Workbench workbench) {
        this.visits = visits;
        this.overlays = overlays;
        this.workbench = workbench;
    }

    /** A board that may come in the place of the old one. */
    record NewBoard(String name, String title) {
    }

    /** The change of a board; a new one of the same kind where none is named. */
    @GetMapping("/api/visits/{id}/change-out")
    ChangeOutPage page(Principal principal, @PathVariable UUID id, @RequestParam(defaultValue = "") String part, @RequestParam(defaultValue = "") String board) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        UnitModel old = standing.now().unit().model();
        return workbench.at(() -> ChangeOutPage.of(standing.now(), board.isEmpty() ? old : fresh(board, standing.visit().unit().pack()), part));
    }

    /** The boards of the same family that are known. */
    @GetMapping("/api/visits/{id}/new-boards")
    List<NewBoard> boards(Principal principal, @PathVariable UUID id) {
        String family = visits.visit(principal.getName(), id).unit().pack();
        return overlays.newest().stream().filter(version -> version.overlay().family().equals(family)).map(version -> new NewBoard(version.overlay().name(),
                version.title())).toList();
    }

    private UnitModel fresh(String board, String family) {
        OverlayVersion version = overlays.version(board, 0);
        Overlay read = overlays.read(version.content());
        if (!read.family().equals(family)) {
            throw new BadInput("board", Message.of("problem.board-family", Message.said(board), Message.said(read.family()), Message.said(family)));
        }
        return read.model();
    }
}
