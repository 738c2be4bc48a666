package bricksignal.server.pack;

import bricksignal.casework.Case;
import bricksignal.casework.CaseUnit;
import bricksignal.casework.page.DrawingPage;
import bricksignal.casework.page.TestGroup;
import bricksignal.core.Known;
import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import bricksignal.packs.Composition;
import bricksignal.packs.Family;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import bricksignal.server.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Packs as they are written, and the check of one that somebody corrected. */
@RestController
class PackController {

    private final Packs packs;
    private final ProofReports proofs;
    private final PackChecks checks;
    private final Words words;

    PackController(Packs packs, ProofReports proofs, PackChecks checks, Words words) {
        this.words = words;
        this.packs = packs;
        this.proofs = proofs;
        this.checks = checks;
    }

    /** A pack in a list. */
    record PackView(String id, @Phrase String title, @Phrase String duty, boolean own) {
    }

    @GetMapping("/api/packs")
    List<PackView> list() {
        return packs.models().stream().map(m -> new PackView(m.id(), m.title(), m.duty(), !PackLibrary.ids().contains(m.id()))).toList();
    }

    /** What of a family can be typed in for one real board. */
    @GetMapping("/api/packs/{id}/family")
    FamilyView family(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        Composition composition = composition(id, choice);
        Family family = Known.in(packs.families(), id);
        UnitModel model = composition.usual() ? packs.model(id).orElseThrow() : PackReader.read(family.text(composition.choices()));
        return FamilyView.of(model, family.choices(), composition.choices());
    }

    /** A family as its author wrote it, to begin another with. */
    @GetMapping(value = "/api/packs/{id}/source", produces = MediaType.TEXT_PLAIN_VALUE)
    String source(@PathVariable String id) {
        composition(id, List.of());
        return Known.in(packs.families(), id).source();
    }

    /** The flat text of a family, with the options chosen that are asked for. */
    @GetMapping(value = "/api/packs/{id}.yaml", produces = MediaType.TEXT_PLAIN_VALUE)
    String text(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        return Known.in(packs.families(), id).text(composition(id, choice).choices());
    }

    /** The usual run of a unit in good order, as a timing diagram. */
    @GetMapping("/api/packs/{id}/run")
    TimingDiagram run(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        return TimingDiagram.inGoodOrder(packs.unit(ref(composition(id, choice))).pack());
    }

    /** Its ladder diagram as a unit in good order stands at a moment, the first where none is named, with how often each part is at fault. */
    @GetMapping("/api/packs/{id}/drawing")
    DrawingPage drawing(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice, @RequestParam(required = false) @Nullable String moment) {
        CaseUnit unit = packs.unit(ref(composition(id, choice)));
        if (moment != null && unit.model().moments().stream().noneMatch(m -> m.id().equals(moment))) {
            throw new BadInput("moment", "This unit has no moment '" + moment + "'.");
        }
        return DrawingPage.of(Case.of(unit, Policy.defaults()), moment == null ? unit.model().moments().get(0).id() : moment, words::of);
    }

    /** Its tests by the moment of its run, with what can hurt somebody there. */
    @GetMapping("/api/packs/{id}/tests")
    List<TestGroup> tests(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        return TestGroup.of(packs.unit(ref(composition(id, choice))).pack());
    }

    /** How each of its faults is proven. */
    @GetMapping("/api/packs/{id}/proof")
    List<ProofReports.FaultProof> proof(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        UnitRef ref = ref(composition(id, choice));
        return proofs.of(ref.key(), packs.unit(ref).pack());
    }

    private UnitRef ref(Composition composition) {
        return new UnitRef(packs.digestOf(composition.family(), composition.choices()), null, null);
    }

    /** The composition that is asked for by {@code choice=ignition:spark}; the usual options where nothing is. */
    private Composition composition(String id, List<String> asked) {
        if (packs.model(id).isEmpty()) {
            throw new NotHere(Message.of("problem.no-family", Message.said(id)));
        }
        Map<String, String> chosen = new LinkedHashMap<>();
        asked.forEach(one -> chosen.put(one.replaceFirst(":.*", ""), one.replaceFirst("^[^:]*:?", "")));
        return packs.composition(id, chosen).orElseThrow(() -> new BadInput("choice", Message.of("problem.choices", Message.said(id))));
    }

    /** Reads a text that somebody wrote, runs and proves every fault of it; nothing is kept. */
    @PostMapping(value = "/api/packs/check", consumes = MediaType.TEXT_PLAIN_VALUE)
    PackCheck check(@RequestBody String yaml) {
        return checks.of(yaml);
    }
}
