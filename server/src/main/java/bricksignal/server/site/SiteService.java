package bricksignal.server.site;

import bricksignal.core.words.Message;
import bricksignal.packs.Composition;
import bricksignal.server.account.Account;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.overlay.BoardOverlay;
import bricksignal.server.overlay.OverlayService;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.Changing;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sites and units: what stands where, and which board it has. */
@Service
public class SiteService {

    private static final int MOST_CHANGES = 20;

    private final Sites sites;
    private final SiteUnits units;
    private final OverlayService overlays;
    private final Packs packs;
    private final UnitChanges changes;
    private final SessionAccounts accounts;
    private final Changing changing;

    SiteService(Sites sites, SiteUnits units, OverlayService overlays, Packs packs, UnitChanges changes, SessionAccounts accounts, Changing changing) {
        this.changes = changes;
        this.accounts = accounts;
        this.changing = changing;
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
            throw new BadInput("pack", Message.of("problem.no-family", Message.said(asked.pack())));
        }
        BoardOverlay board = board(asked.board(), asked.pack());
        Map<String, String> choices = asked.choices();
        if (board == null && choices != null && !choices.isEmpty()) {
            board = chosen(login, asked.pack(), choices);
        }
        SiteUnit unit = new SiteUnit(UUID.randomUUID(), site(asked), asked.label().trim(), asked.location().trim(), asked.pack());
        unit.follow(board);
        unit.madeBy(accounts.of(login).id());
        return units.save(unit);
    }

    @Transactional
    SiteUnit follow(String login, UUID id, @Nullable String name) {
        SiteUnit unit = changed(login, id);
        BoardOverlay before = unit.overlay();
        BoardOverlay board = board(name, unit.pack());
        noted(login, unit, "board", before == null ? "the family as it is" : before.name(), board == null ? "the family as it is" : board.name());
        unit.follow(board);
        return unit;
    }

    /** A unit of any site. */
    @Transactional(readOnly = true)
    public SiteUnit unit(UUID id) {
        return units.findById(id).orElseThrow(() -> new NotHere(Message.of("problem.no-unit")));
    }

    @Transactional
    SiteUnit read(String login, UUID id, Nameplate plate, @Nullable Integer year) {
        SiteUnit unit = installed(login, id, year);
        noted(login, unit, "nameplate", unit.nameplate().text(), plate.text());
        unit.nameplate(plate);
        return unit;
    }

    @Transactional
    SiteUnit installed(String login, UUID id, @Nullable Integer year) {
        SiteUnit unit = changed(login, id);
        noted(login, unit, "year it was put in", unit.installedYear() == null ? "not known" : String.valueOf(unit.installedYear()),
                year == null ? "not known" : String.valueOf(year));
        unit.installed(year);
        return unit;
    }

    /** What was changed of a unit since it was made, newest first. */
    @Transactional(readOnly = true)
    public List<UnitChange> changes(SiteUnit unit) {
        return changes.newest(unit.id(), Limit.of(MOST_CHANGES));
    }

    /**
     * A unit that this person may change.
     *
     * @throws bricksignal.server.problem.NotTheirs if the rules of the house forbid it
     */
    public SiteUnit changed(String login, UUID id) {
        SiteUnit unit = unit(id);
        Account account = accounts.of(login);
        boolean theirs = account.id().equals(unit.madeBy()) || units.openVisits(id, account.id()) > 0;
        changing.must(account.role() == Account.Role.LEAD, theirs, "The unit '" + unit.label() + "'", "Ask the lead, or make a job for it first.");
        return unit;
    }

    /** Who that is, by id. */
    public UUID account(String login) {
        return accounts.of(login).id();
    }

    /** Writes down that something of a unit became something else. */
    public void noted(String login, SiteUnit unit, String what, String before, String after) {
        if (!before.equals(after)) {
            changes.save(new UnitChange(unit.id(), accounts.of(login), Instant.now(), what + ": " + before + " to " + after));
        }
    }

    /** The board that says nothing but what was chosen of a family: one for all units that are chosen so. */
    private @Nullable BoardOverlay chosen(String login, String family, Map<String, String> choices) {
        Composition composition = packs.composition(family, choices).orElseThrow(() -> new BadInput("choices", Message.of("problem.choices", Message.said(family))));
        return composition.usual() ? null : overlays.chosen(login, composition);
    }

    private Site site(SiteController.NewUnit asked) {
        UUID known = asked.siteId();
        if (known != null) {
            return sites.findById(known).orElseThrow(() -> new BadInput("siteId", Message.of("problem.no-site")));
        }
        String name = asked.siteName();
        if (name == null || name.isBlank()) {
            throw new BadInput("siteName", Message.of("problem.name-site"));
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
            throw new BadInput("board", Message.of("problem.board-family", Message.said(name), Message.said(board.family()), Message.said(family)));
        }
        return board;
    }
}
