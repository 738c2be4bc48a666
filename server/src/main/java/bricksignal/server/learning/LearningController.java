package bricksignal.server.learning;

import bricksignal.core.costing.Ageing;
import bricksignal.core.learning.PartShares;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Phrase;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.PolicyService;
import java.security.Principal;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What the company's own records say against the packs, before and after; the lead decides whether visits to come are told. */
@PreAuthorize("hasRole('LEAD')")
@RestController
class LearningController {

    private final LearningService learning;
    private final Packs packs;
    private final OwnAgeing ageing;
    private final PolicyService policy;

    LearningController(LearningService learning, Packs packs, OwnAgeing ageing, PolicyService policy) {
        this.learning = learning;
        this.packs = packs;
        this.ageing = ageing;
        this.policy = policy;
    }

    /**
     * A part.
     *
     * @param before share of the faults by the pack
     * @param confirmed visits that ended with it
     * @param after share by the pack and those visits
     */
    record LearnedPart(String part, @Phrase String label, double before, int confirmed, double after) {
    }

    /** A family of which visits were confirmed, and the parts that they move most, the most moved first. */
    record LearnedFamily(String family, @Phrase String title, int confirmed, List<LearnedPart> parts) {
    }

    /** What was counted once. */
    record LearnedVersion(long number, Instant madeAt, int confirmed) {
    }

    /**
     * When a unit has had its first fault, in expectation.
     *
     * @param before years by what was set
     * @param after years by that and by own records
     * @param faults that were seen
     * @param unitYears over which they were
     */
    record LearnedAgeing(double before, double after, int faults, double unitYears) {
    }

    /**
     * The whole of it.
     *
     * @param inUse the version that visits to come are told; null where that is none
     * @param versions newest first
     * @param families as the records stand now
     */
    record Learning(@Nullable Long inUse, List<LearnedVersion> versions, List<LearnedFamily> families, LearnedAgeing ageing) {
    }

    /** Which version to use; null for the packs alone. */
    record InUse(@Nullable Long number) {
    }

    @GetMapping("/api/lead/learning")
    Learning learning() {
        Map<String, Map<String, Integer>> now = learning.now();
        List<LearnedFamily> families = packs.models().stream().filter(model -> now.containsKey(model.id())).map(model -> family(model, now.getOrDefault(model.id(), Map.of())))
                .sorted(Comparator.comparingInt(LearnedFamily::confirmed).reversed()).toList();
        List<Learned> versions = learning.versions();
        return new Learning(versions.stream().filter(Learned::inUse).map(Learned::number).findFirst().orElse(null),
                versions.stream().map(v -> new LearnedVersion(v.number(), v.madeAt(), learning.counts(v).values().stream().mapToInt(LearningController::sum).sum()))
                        .toList(), families, ageing());
    }

    /** Keeps what is confirmed now, and tells it visits to come. */
    @PostMapping("/api/lead/learning")
    Learning learn(Principal principal) {
        learning.learn(principal.getName());
        return learning();
    }

    /** Goes back to what was counted before, or to the packs alone. */
    @PutMapping("/api/lead/learning/in-use")
    Learning use(@RequestBody InUse asked) {
        learning.use(asked.number());
        return learning();
    }

    private LearnedAgeing ageing() {
        Ageing set = policy.rates().ageing();
        OwnAgeing.Seen seen = ageing.seen(set);
        return new LearnedAgeing(set.scaleYears(), seen.ageing().scaleYears(), seen.faults(), seen.unitYears());
    }

    private static LearnedFamily family(UnitModel model, Map<String, Integer> counts) {
        List<LearnedPart> parts = PartShares.of(model, counts).stream()
                .sorted(Comparator.comparingDouble((PartShares.Share share) -> Math.abs(share.after() - share.before())).reversed())
                .map(share -> new LearnedPart(share.part(), model.part(share.part()).label(), share.before(), share.confirmed(), share.after())).toList();
        return new LearnedFamily(model.id(), model.title(), sum(counts), parts);
    }

    private static int sum(Map<String, Integer> counts) {
        return counts.values().stream().mapToInt(Integer::intValue).sum();
    }
}
