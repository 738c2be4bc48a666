package bricksignal.server.overlay;

import bricksignal.core.words.Message;
import bricksignal.packs.Composition;
import bricksignal.packs.Overlay;
import bricksignal.packs.OverlayReader;
import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.Changing;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.dataformat.yaml.YAMLMapper;
import tools.jackson.dataformat.yaml.YAMLWriteFeature;

/** Keeps overlays: each save is a new version, and nothing is overwritten. */
@Service
public class OverlayService {

    private final Overlays overlays;
    private final OverlayVersions versions;
    private final SessionAccounts accounts;
    private final Packs packs;
    private final JsonMapper json;
    private final Changing changing;
    private final Accounts people;
    private final YAMLMapper yaml = YAMLMapper.builder().disable(YAMLWriteFeature.WRITE_DOC_START_MARKER)
            .enable(YAMLWriteFeature.MINIMIZE_QUOTES).build();
    private final Clock clock = Clock.systemUTC();

    OverlayService(Overlays overlays, OverlayVersions versions, SessionAccounts accounts, Packs packs, JsonMapper json, Changing changing,
            Accounts people) {
        this.changing = changing;
        this.people = people;
        this.overlays = overlays;
        this.versions = versions;
        this.accounts = accounts;
        this.packs = packs;
        this.json = json;
    }

    /** A version with what its reading noted. */
    public record Kept(OverlayVersion version, Overlay read) {
    }

    /**
     * A board's text over its family as it is now.
     *
     * @throws bricksignal.packs.PackException if the text cannot be used
     */
    public Overlay read(String text) {
        return OverlayReader.read(text, packs.families());
    }

    /** The YAML of a draft. */
    String text(OverlayDraft draft) {
        return yaml.writeValueAsString(json.valueToTree(draft));
    }

    /** The draft of a YAML text that was read already. */
    OverlayDraft draft(String text) {
        return json.treeToValue(yaml.readTree(text), OverlayDraft.class);
    }

    /**
     * Keeps a text as a new version of the overlay that it names. The same text again makes no new version.
     *
     * @throws bricksignal.packs.PackException if the text cannot be used
     */
    @Transactional
    public Kept save(String login, String text) {
        Overlay read = read(text);
        overlays.hold(read.id());
        BoardOverlay overlay = overlays.findByName(read.id())
                .orElseGet(() -> overlays.save(new BoardOverlay(UUID.randomUUID(), read.id(), read.family())));
        if (!overlay.family().equals(read.family())) {
            throw new Conflict(Message.of("problem.board-other", Message.said(read.id()), Message.said(overlay.family()), Message.said(read.family())));
        }
        OverlayVersion last = versions.newestOf(overlay.id()).orElse(null);
        if (last != null && last.content().equals(text)) {
            return new Kept(last, read);
        }
        if (last != null) {
            Account account = accounts.of(login);
            changing.must(account.role() == Account.Role.LEAD, versions.madeBy(overlay.id(), account.id()), "The board '" + read.id() + "'",
                    "Ask the lead, or keep it under another name.");
        }
        int next = last == null ? 1 : last.version() + 1;
        return new Kept(versions.saveAndFlush(new OverlayVersion(UUID.randomUUID(), overlay, next, read.title(), text,
                accounts.of(login).id(), clock.instant())), read);
    }

    /** The board that says nothing but what was chosen of a family; made where it is not there yet. */
    @Transactional
    public BoardOverlay chosen(String login, Composition composition) {
        String name = composition.family() + "-" + String.join("-", composition.choices().values());
        return overlays.findByName(name).orElseGet(() -> save(login, text(new OverlayDraft(name, composition.family(),
                composition.title(), composition.choices(), null, null, null, null, null, null, null, null, null, null, null))).version().overlay());
    }

    @Transactional(readOnly = true)
    public List<OverlayVersion> newest() {
        return versions.newest();
    }

    /** A version of an overlay, the newest where none is asked for. */
    @Transactional(readOnly = true)
    public OverlayVersion version(String name, int version) {
        return versions.allOf(name).stream().filter(v -> version == 0 || v.version() == version).findFirst()
                .orElseThrow(() -> new NotHere(version == 0 ? Message.of("problem.no-board", Message.said(name)) : Message.of("problem.no-board-version", Message.said(name), Message.said(String.valueOf(version)))));
    }

    /** True if this person may keep another version of a board. */
    @Transactional(readOnly = true)
    public boolean mayChange(String login, BoardOverlay board) {
        Account account = accounts.of(login);
        return changing.may(account.role() == Account.Role.LEAD, versions.madeBy(board.id(), account.id()));
    }

    /** Who made versions, as people call them, by account. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names(List<OverlayVersion> of) {
        return people.findAllById(of.stream().map(OverlayVersion::madeBy).distinct().toList()).stream().collect(Collectors.toMap(Account::id, Account::name));
    }

    @Transactional(readOnly = true)
    public List<OverlayVersion> history(String name) {
        return versions.allOf(name);
    }
}
