package bricksignal.server.site;

import bricksignal.packs.Composition;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.overlay.OverlayService;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sites and units: what stands where, and which board it has. */
@Service
public class SiteService {

    private final Sites sites;
    private final SiteUnits units;
    private final OverlayService overlays;
    private final Packs packs;

    SiteService(Sites sites, SiteUnits units, OverlayService overlays, Packs packs) {
        this.sites = sites;
        this.units = units;
        this.overlays = overlays;
        this.packs = packs;
    }

    @Transactional(readOnly = true)
    public List<SiteUnit> units() {
        return units.all();
    }

    /** The other units of the same site. */
    @Transactional(readOnly = true)
    public List<SiteUnit> twinsOf(SiteUnit unit) {
        return units.on(unit.site().id()).stream().filter(other -> !other.id().equals(unit.id())).toList();
    }

    /** How many units follow a family. */
    @Transactional(readOnly = true)
    public int unitsOf(String family) {
        return units.countByPack(family);
    }

    @Transactional
    SiteUnit make(String login, SiteController.NewUnit asked) {
        if (packs.models().stream().noneMatch(model -> model.id().equals(asked.pack()))) {
            throw new BadInput("pack", "There is no family '" + asked.pack() + "'; choose one from the list.");
        }
        BoardOverlay board = board(asked.board(), asked.pack());
        Map<String, String> choices = asked.choices();
        if (board == null && choices != null && !choices.isEmpty()) {
            board = chosen(login, asked.pack(), choices);
        }
        SiteUnit unit = new SiteUnit(UUID.randomUUID(), site(asked), asked.label().trim(), asked.location().trim(), asked.pack());
        unit.follow(board);
        return units.save(unit);
    }

    @Transactional
    SiteUnit follow(UUID id, @Nullable String board) {
        SiteUnit unit = units.findById(id).orElseThrow(() -> new NotHere("There is no such unit."));
        unit.follow(board(board, unit.pack()));
        return unit;
    }

    @Transactional
    SiteUnit installed(UUID id, @Nullable Integer year) {
        SiteUnit unit = units.findById(id).orElseThrow(() -> new NotHere("There is no such unit."));
        unit.installed(year);
        return unit;
    }

    /** The board that says nothing but what was chosen of a family: one for all units that are chosen so. */
    private @Nullable BoardOverlay chosen(String login, String family, Map<String, String> choices) {
        Composition composition = packs.composition(family, choices).orElseThrow(() -> new BadInput("choices", "The family '" + family
                + "' cannot be with " + choices + "; choose from what it has."));
        return composition.usual() ? null : overlays.chosen(login, composition);
    }

    private Site site(SiteController.NewUnit asked) {
        UUID known = asked.siteId();
        if (known != null) {
            return sites.findById(known).orElseThrow(() -> new BadInput("siteId", "There is no such site; choose one from the "
                    + "list or name a new one."));
        }
        String name = asked.siteName();
        if (name == null || name.isBlank()) {
            throw new BadInput("siteName", "Name the site, or choose one from the list.");
        }
        String address = asked.address();
        return sites.save(new Site(UUID.randomUUID(), name.trim(), address == null ? "" : address.trim()));
    }

    private @Nullable BoardOverlay board(@Nullable String name, String family) {
        if (name == null || name.isBlank()) {
            return null;
        }
        BoardOverlay board = overlays.version(name, 0).overlay();
        if (!board.family().equals(family)) {
            throw new BadInput("board", "The board '" + name + "' is of the family " + board.family() + ", this unit of "
                    + family + "; choose a board of its own family.");
        }
        return board;
    }
}
