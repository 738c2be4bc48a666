package bricksignal.server.learning;

import bricksignal.casework.entry.Entry;
import bricksignal.core.learning.PartShares;
import bricksignal.core.unit.UnitModel;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.problem.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Counts what is confirmed, keeps it by number, and tells a visit what is in use. */
@Service
public class LearningService {

    private static final TypeReference<Map<String, Map<String, Integer>>> COUNTS = new TypeReference<>() {
    };
    /** What moves a part by less says nothing. */
    private static final double MOVES = 0.02;

    private final LearnedVersions versions;
    private final Confirmed confirmed;
    private final SessionAccounts accounts;
    private final JsonMapper json;
    private final Clock clock = Clock.systemUTC();

    LearningService(LearnedVersions versions, Confirmed confirmed, SessionAccounts accounts, JsonMapper json) {
        this.versions = versions;
        this.confirmed = confirmed;
        this.accounts = accounts;
        this.json = json;
    }

    /** What a visit to a unit of a family is told before anything is seen; empty where nothing is in use or nothing is known of the family. */
    @Transactional(readOnly = true)
    public Optional<Entry.Experience> experience(String family, UnitModel model) {
        Map<String, Integer> counts = versions.findByInUseTrue().map(this::counts).map(all -> all.getOrDefault(family, Map.of())).orElse(Map.of());
        List<PartShares.Share> moved = PartShares.of(model, counts).stream()
                .filter(share -> Math.abs(share.factor() - 1) >= MOVES).toList();
        return moved.isEmpty() ? Optional.empty() : Optional.of(new Entry.Experience(moved.stream().map(PartShares.Share::part).toList(),
                moved.stream().map(PartShares.Share::factor).toList()));
    }

    /** All that was counted, newest first. */
    @Transactional(readOnly = true)
    List<Learned> versions() {
        return versions.findAllByOrderByNumberDesc();
    }

    Map<String, Map<String, Integer>> now() {
        return confirmed.counts();
    }

    Map<String, Map<String, Integer>> counts(Learned version) {
        return json.readValue(version.counts(), COUNTS);
    }

    /** Keeps what is confirmed now and uses it. */
    @Transactional
    void learn(String login) {
        Learned made = versions.save(new Learned(accounts.of(login).id(), clock.instant(), json.writeValueAsString(confirmed.counts())));
        use(made);
    }

    /**
     * Uses what was counted once, or nothing.
     *
     * @param number of the version; null for the packs alone
     */
    @Transactional
    void use(@Nullable Long number) {
        use(number == null ? null : versions.findById(number).orElseThrow(() -> new NotHere("Nothing was counted under number " + number + ".")));
    }

    private void use(@Nullable Learned version) {
        versions.findByInUseTrue().ifPresent(old -> {
            old.use(false);
            versions.saveAndFlush(old);
        });
        if (version != null) {
            version.use(true);
        }
    }
}
