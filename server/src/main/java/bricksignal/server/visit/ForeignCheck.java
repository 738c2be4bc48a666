package bricksignal.server.visit;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.Replay;
import bricksignal.casework.page.Details;
import bricksignal.core.words.Message;
import bricksignal.packs.PackException;
import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.log.EntryJson;
import bricksignal.server.log.Evidence;
import bricksignal.server.overlay.OverlayVersion;
import bricksignal.server.overlay.OverlayVersions;
import bricksignal.server.pack.Packs;
import bricksignal.server.pack.UnitRef;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Workbench;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import bricksignal.server.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Checks a visit that was written elsewhere as if each of its entries came new; nothing of it is kept but the text of its family. */
@Component
class ForeignCheck {

    /** A visit of a day has under a hundred entries and takes a second or two; 384 readings that contradict each other took 15 s (docs/benchmarks.md). */
    private static final Duration LONGEST = Duration.ofSeconds(15);
    private static final int MOST_SAID = 12;

    private final SiteUnits units;
    private final SiteService sites;
    private final OverlayVersions overlays;
    private final Accounts accounts;
    private final Signers signers;
    private final Packs packs;
    private final PolicyService policy;
    private final VisitService service;
    private final EntryJson json;
    private final Words words;
    private final CompanyDay day;
    private final Workbench workbench;

    ForeignCheck(SiteUnits units, SiteService sites, OverlayVersions overlays, Accounts accounts, Signers signers, Packs packs, PolicyService policy,
            VisitService service, EntryJson json, Words words, CompanyDay day, Workbench workbench) {
        this.units = units;
        this.sites = sites;
        this.overlays = overlays;
        this.accounts = accounts;
        this.signers = signers;
        this.packs = packs;
        this.policy = policy;
        this.service = service;
        this.json = json;
        this.words = words;
        this.day = day;
        this.workbench = workbench;
    }

    /**
     * A visit that can be written.
     *
     * @param there who was there
     * @param digest names the text that it is read with
     * @param rows what was taken of its log, oldest first
     * @param concluded what it comes to here; null where it is left open
     * @param verdict the same in words
     * @param allowed boards changed without proof by a lead's leave, in words
     * @param left what was not taken over, in words
     */
    record Checked(SiteUnit unit, Account there, String digest, @Nullable OverlayVersion board, List<Evidence> rows, Details.@Nullable Concluded concluded,
            String verdict, String allowed, List<Message> left) {
    }

    /**
     * Checks one.
     *
     * @throws BadInput if it names a unit, a board or a person that is not here, or says what cannot be
     */
    Checked checked(Foreign from) {
        times(from);
        SiteUnit unit = unit(from);
        Map<String, Account> people = people(from);
        OverlayVersion board = board(from);
        String digest = packs.keep(from.family(), from.text());
        CaseUnit ready = ready(from, new UnitRef(digest, board == null ? null : board.id(), board == null ? null : board.content()));
        Map<UUID, Account> makers = new LinkedHashMap<>();
        from.entries().forEach(one -> makers.put(one.id(), here(people, one.by())));
        Replay replay = replayed(from, unit, ready, makers);
        Foreign.End end = from.end();
        Optional<Message> open = end == null ? Optional.empty() : service.keepsOpen(replay.now(), end.outcome());
        Details.Concluded concluded = end == null ? null : workbench.at(() -> Details.concluded(replay.now()));
        String verdict = concluded == null ? "" : words.kept(concluded.verdict());
        List<Evidence> rows = replay.taken().stream().map(kept -> json.written(kept, from.id(), Optional.ofNullable(makers.get(UUID.fromString(kept.id()))).orElseThrow().id()))
                .toList();
        return new Checked(unit, here(people, from.technician()), digest, board, rows, open.isPresent() ? null : concluded, verdict, concluded == null ? "" : words.kept(concluded.allowed()),
                left(from, replay, open, verdict));
    }

    private Replay replayed(Foreign from, SiteUnit unit, CaseUnit ready, Map<UUID, Account> makers) {
        Set<String> twins = sites.twinsOf(unit).stream().map(other -> other.id().toString()).collect(Collectors.toSet());
        Instant until = day.now().plus(LONGEST);
        return workbench.at(() -> Replay.of(Case.of(ready, policy.current()), from.entries().stream().map(one -> json.read(new Evidence(one.id(), from.id(), unit.id(),
                one.kind(), one.format(), one.content(), one.supersedes(), one.madeAt()))).toList(), twins, filed -> signers.of(Optional.ofNullable(makers.get(
                        UUID.fromString(filed.id()))).orElseThrow(), day.of(Instant.ofEpochMilli(filed.madeAt()))), () -> day.now().isBefore(until)));
    }

    private CaseUnit ready(Foreign from, UnitRef ref) {
        try {
            CaseUnit unit = packs.unit(ref);
            if (!unit.model().id().equals(from.family())) {
                throw new BadInput("text", Message.of("import.text-family", Message.said(unit.model().id()), Message.said(from.family())));
            }
            return unit;
        } catch (PackException unreadable) {
            throw new BadInput("text", Message.of("import.text-unreadable", Message.said(String.valueOf(unreadable.getMessage()))));
        }
    }

    private List<Message> left(Foreign from, Replay replay, Optional<Message> open, String verdict) {
        List<Message> left = new ArrayList<>();
        replay.left().stream().limit(MOST_SAID).forEach(one -> left.add(Message.of("import.left-entry", Message.said(one.id()), Message.said(one.kind().toString()), one.why())));
        if (replay.left().size() > MOST_SAID) {
            left.add(Message.of("import.left-more", new Message.Number(replay.left().size() - MOST_SAID)));
        }
        Foreign.End end = from.end();
        if (end != null) {
            open.ifPresent(why -> left.add(Message.of("import.left-end", Message.of("doc.outcome." + end.outcome()), Message.said(day.of(end.at()).toString()), why)));
            if (!verdict.equals(end.verdict())) {
                left.add(Message.of("import.left-verdict", Message.said(end.verdict()), Message.said(verdict)));
            }
        }
        return left;
    }

    private Map<String, Account> people(Foreign from) {
        Map<String, Account> people = new LinkedHashMap<>();
        Stream.concat(Stream.of(from.technician()), from.entries().stream().map(Foreign.Logged::by)).distinct().forEach(login -> accounts.findByLogin(login).ifPresent(
                account -> people.put(login, account)));
        return people;
    }

    private static Account here(Map<String, Account> people, String login) {
        return Optional.ofNullable(people.get(login)).orElseThrow(() -> new BadInput("technician", Message.of("import.no-login", Message.said(login))));
    }

    /** Days and times must be some that a visit here could have. */
    private void times(Foreign from) {
        VisitDays.check("scheduledOn", from.scheduledOn());
        Foreign.End end = from.end();
        Instant last = day.now().plus(Duration.ofDays(1));
        Stream<@Nullable Instant> outside = Stream.of(from.openedAt(), end == null ? null : end.at());
        Stream.of(outside, from.entries().stream().map(Foreign.Logged::madeAt), from.events().stream().map(Foreign.Event::at)).flatMap(all -> all).filter(at -> at != null
                && (at.isAfter(last) || at.isBefore(VisitDays.FIRST_MOMENT))).findFirst().ifPresent(at -> {
                    throw new BadInput("at", Message.of("import.time", Message.said(at.toString())));
                });
        Instant opened = from.openedAt();
        if (end != null && (opened == null || end.at().isBefore(opened))) {
            throw new BadInput("end", opened == null ? Message.of("import.never-began", Message.said(end.at().toString()))
                    : Message.of("import.ended-before", Message.said(end.at().toString()), Message.said(opened.toString())));
        }
    }

    private SiteUnit unit(Foreign from) {
        SiteUnit unit = units.findById(from.unit()).orElseThrow(() -> new BadInput("unit", Message.of("import.no-unit", Message.said(from.unit().toString()))));
        if (!unit.pack().equals(from.family())) {
            throw new BadInput("unit", Message.of("import.unit-family", Message.said(from.family()), Message.said(unit.pack())));
        }
        return unit;
    }

    private @Nullable OverlayVersion board(Foreign from) {
        UUID board = from.board();
        return board == null ? null : overlays.findById(board).orElseThrow(() -> new BadInput("board", Message.of("import.no-board", Message.said(board.toString()))));
    }
}
