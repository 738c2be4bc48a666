package bricksignal.server.identify;

import bricksignal.core.Known;
import bricksignal.core.identify.Identification;
import bricksignal.core.identify.Question;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Phrase;
import bricksignal.core.words.Unfit;
import bricksignal.packs.Composition;
import bricksignal.packs.Family;
import bricksignal.packs.Vocabulary;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Which family is this unit of. */
@RestController
class IdentifyController {

    private final Packs packs;

    IdentifyController(Packs packs) {
        this.packs = packs;
    }

    /** What was answered so far, by question; an empty answer is a question that was skipped. */
    record Answers(Map<String, String> answers) {
    }

    /** A question with its answers. */
    record QuestionView(String id, @Phrase String text, List<AnswerView> answers) {
    }

    /** An answer and how many families it leaves. */
    record AnswerView(String id, @Phrase String text, int families) {
    }

    /**
     * A family with its choices made and how likely it is.
     *
     * @param id of the family
     * @param name of the composition
     * @param choices option by choice; empty where all are as usual
     */
    record CandidateView(String id, String name, Map<String, String> choices, @Phrase String title, @Phrase String duty, double probability) {
    }

    /** A family, however its choices are made: how likely, and in how many ways it can still be composed. */
    record KindView(String id, @Phrase String title, double probability, int ways) {
    }

    /**
     * Where the questions stand; no next question means that they are over.
     *
     * @param families compositions that it can still be, the likeliest first
     * @param kinds the same by family
     */
    record IdentifyView(List<CandidateView> families, List<KindView> kinds, @Nullable QuestionView next, int asked) {
    }

    @PostMapping("/api/identify")
    IdentifyView identify(@RequestBody Answers given) {
        Map<String, Map<String, List<String>>> traits = new LinkedHashMap<>();
        Map<String, Composition> compositions = new LinkedHashMap<>();
        packs.compositions().forEach(composition -> {
            traits.put(composition.name(), composition.traits());
            compositions.put(composition.name(), composition);
        });
        try {
            Identification now = Identification.of(List.copyOf(Vocabulary.questions().values()), traits, given.answers());
            List<CandidateView> candidates = now.families().entrySet().stream().map(e -> candidate(Known.in(compositions, e.getKey()), e.getValue())).toList();
            return new IdentifyView(candidates, kinds(candidates), now.next().map(q -> question(now, q)).orElse(null), given.answers().size());
        } catch (Unfit refused) {
            throw new BadInput("answers", refused.says());
        }
    }

    /** The conditions that a code can stand for. */
    @GetMapping("/api/vocabulary")
    Set<String> vocabulary() {
        return Vocabulary.conditions();
    }

    private CandidateView candidate(Composition composition, double probability) {
        UnitModel model = packs.models().stream().filter(m -> m.id().equals(composition.family())).findFirst().orElseThrow();
        return new CandidateView(composition.family(), composition.name(), composition.usual() ? Map.of() : composition.choices(),
                composition.title(), model.duty(), probability);
    }

    private List<KindView> kinds(List<CandidateView> candidates) {
        Map<String, Family> families = packs.families();
        Map<String, List<CandidateView>> byFamily = candidates.stream().collect(Collectors.groupingBy(CandidateView::id, LinkedHashMap::new, Collectors.toList()));
        return byFamily.entrySet().stream().map(e -> new KindView(e.getKey(), Known.in(families, e.getKey()).title(), e.getValue().stream()
                .mapToDouble(CandidateView::probability).sum(), e.getValue().size())).sorted(Comparator.comparingDouble(KindView::probability).reversed()).toList();
    }

    private static QuestionView question(Identification now, Question question) {
        return new QuestionView(question.id(), question.text(), question.answers().entrySet().stream()
                .map(a -> new AnswerView(a.getKey(), a.getValue(), now.familiesWith(question.id(), a.getKey()).size())).toList());
    }
}
