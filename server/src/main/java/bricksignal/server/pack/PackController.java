package bricksignal.server.pack;

import bricksignal.packs.PackException;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackProblem;
import bricksignal.packs.PackReader;
import bricksignal.server.problem.NotHere;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Packs as they are written, and the check of one that somebody corrected. */
@RestController
class PackController {

    private final Packs packs;

    PackController(Packs packs) {
        this.packs = packs;
    }

    /** A pack in a list. */
    record PackView(String id, String title, String duty) {
    }

    /** What a check found; no problem means that it can be used. */
    record CheckView(boolean usable, List<PackProblem> problems) {
    }

    @GetMapping("/api/packs")
    List<PackView> list() {
        return packs.models().stream().map(m -> new PackView(m.id(), m.title(), m.duty())).toList();
    }

    /** What of a family can be typed in for one real board. */
    @GetMapping("/api/packs/{id}/family")
    FamilyView family(@PathVariable String id) {
        return packs.models().stream().filter(m -> m.id().equals(id)).findFirst().map(FamilyView::of)
                .orElseThrow(() -> new NotHere("There is no pack '" + id + "'."));
    }

    @GetMapping(value = "/api/packs/{id}.yaml", produces = MediaType.TEXT_PLAIN_VALUE)
    String text(@PathVariable String id) {
        if (packs.models().stream().noneMatch(m -> m.id().equals(id))) {
            throw new NotHere("There is no pack '" + id + "'.");
        }
        return PackLibrary.text(id);
    }

    @PostMapping(value = "/api/packs/check", consumes = MediaType.TEXT_PLAIN_VALUE)
    CheckView check(@RequestBody String yaml) {
        try {
            PackReader.check(yaml);
            return new CheckView(true, List.of());
        } catch (PackException refused) {
            return new CheckView(false, refused.problems());
        }
    }
}
