package bricksignal.server.ownpack;

import bricksignal.core.words.Message;
import bricksignal.packs.Family;
import bricksignal.packs.PackException;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.pack.PackCheck;
import bricksignal.server.pack.PackChecks;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.Conflict;
import bricksignal.server.problem.NotHere;
import jakarta.annotation.PostConstruct;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps the packs of the company: each save is a new version, nothing is overwritten, and only what passes the whole check is used. */
@Service
class OwnPackService {

    private static final Logger LOG = LoggerFactory.getLogger(OwnPackService.class);

    private final OwnPackList list;
    private final OwnPackVersions versions;
    private final SessionAccounts accounts;
    private final Packs packs;
    private final PackChecks checks;
    private final TransactionTemplate transaction;
    private final Clock clock = Clock.systemUTC();
    private final Map<String, State> installed = new ConcurrentHashMap<>();
    private final Map<String, String> unreadable = new ConcurrentHashMap<>();

    OwnPackService(OwnPackList list, OwnPackVersions versions, SessionAccounts accounts, Packs packs, PackChecks checks,
            TransactionTemplate transaction) {
        this.list = list;
        this.versions = versions;
        this.accounts = accounts;
        this.packs = packs;
        this.checks = checks;
        this.transaction = transaction;
    }

    /** A pack with all its versions, the newest first. */
    record Kept(OwnPack pack, List<OwnPackVersion> versions) {

        OwnPackVersion version(int number) {
            return versions.stream().filter(v -> v.version() == number).findFirst()
                    .orElseThrow(() -> new NotHere(Message.of("problem.no-pack-version", Message.said(pack.name()), new Message.Number(number))));
        }
    }

    /** What is installed of a pack. */
    private record State(int used, boolean withdrawn) {
    }

    /** Those that were kept before are there again. */
    @PostConstruct
    void installAll() {
        all().forEach(this::installOrLater);
    }

    /** What another instance kept meanwhile is here too. */
    @Scheduled(fixedDelayString = "PT5S")
    void catchUp() {
        try {
            list.findAll().stream().filter(pack -> !stateOf(pack).equals(installed.get(pack.name()))).forEach(pack -> installOrLater(kept(pack)));
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("the database is away; tried again soon", away);
        }
    }

    /** One that cannot be installed now stands in nobody's way, and is tried again with the next look. */
    private void installOrLater(Kept kept) {
        try {
            install(kept);
        } catch (RuntimeException now) {
            LOG.warn("The pack {} could not be installed; tried again soon", kept.pack().name(), now);
        }
    }

    private synchronized void install(Kept kept) {
        OwnPack pack = kept.pack();
        try {
            packs.install(Family.of(kept.version(pack.used()).content()), !pack.withdrawn());
            unreadable.remove(pack.name());
        } catch (PackException outOfDate) {
            unreadable.put(pack.name(), outOfDate.problems().get(0).toString());
            LOG.warn("The pack {} cannot be read any more: {}", pack.name(), outOfDate.problems());
        }
        installed.put(pack.name(), stateOf(pack));
    }

    private static State stateOf(OwnPack pack) {
        return new State(pack.used(), pack.withdrawn());
    }

    /** Why the version that units of a pack follow cannot be read: it was kept by another version of the application; null where it can. */
    @Nullable
    String unreadable(String name) {
        return unreadable.get(name);
    }

    @Transactional(readOnly = true)
    public List<Kept> all() {
        return list.findAll().stream().map(this::kept).toList();
    }

    /** A pack of the company. */
    @Transactional(readOnly = true)
    public Kept kept(String name) {
        return list.findById(name).map(this::kept)
                .orElseThrow(() -> new NotHere(Message.of("problem.no-pack", Message.said(name))));
    }

    private Kept kept(OwnPack pack) {
        return new Kept(pack, versions.findByPackOrderByVersionDesc(pack.name()));
    }

    /**
     * Keeps a text as a new version, which its units follow from now on; the same text as that of the newest version makes no new one.
     * A text with problems is not kept.
     *
     * @throws bricksignal.server.problem.Compiling while the check goes on: asked again with the same text, it is kept
     */
    PackCheck keep(String login, String text) {
        PackCheck check = checks.of(text);
        if (check.usable()) {
            Family family = Family.of(text);
            if (PackLibrary.ids().contains(family.id())) {
                throw new Conflict(Message.of("problem.pack-ships", Message.said(family.id())));
            }
            transaction.executeWithoutResult(status -> add(login, family));
            now(family.id());
        }
        return check;
    }

    private void add(String login, Family family) {
        list.hold(family.id());
        OwnPack pack = list.findById(family.id()).orElseGet(() -> list.save(new OwnPack(family.id())));
        OwnPackVersion last = versions.findByPackOrderByVersionDesc(family.id()).stream().findFirst().orElse(null);
        if (last == null || !last.content().equals(family.source())) {
            last = versions.saveAndFlush(new OwnPackVersion(UUID.randomUUID(), family.id(), last == null ? 1 : last.version() + 1,
                    family.compositions().get(0).title(), family.source(), accounts.of(login).id(), clock.instant()));
        }
        pack.use(last.version());
    }

    /**
     * Its units follow that version from now on, an earlier one too.
     *
     * @throws Conflict if this version of the application cannot read it
     */
    Kept use(String name, int version) {
        try {
            PackReader.read(Family.of(kept(name).version(version).content()).text(Map.of()));
        } catch (PackException outOfDate) {
            throw new Conflict(Message.of("problem.pack-unreadable", new Message.Number(version), Message.said(name), Message.said(outOfDate.problems().get(0).toString())));
        }
        transaction.executeWithoutResult(status -> {
            Kept kept = kept(name);
            kept.version(version);
            kept.pack().use(version);
        });
        return now(name);
    }

    /** No other unit follows it from now on. */
    Kept withdraw(String name) {
        transaction.executeWithoutResult(status -> kept(name).pack().withdraw());
        return now(name);
    }

    /** A pack as it is kept now, and installed so. */
    private Kept now(String name) {
        Kept kept = kept(name);
        install(kept);
        return kept;
    }
}
