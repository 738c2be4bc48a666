package bricksignal.server.pack;

import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.Composition;
import bricksignal.packs.PackException;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackProblem;
import bricksignal.packs.PackReader;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    PackController(Packs packs, ProofReports proofs) {
        this.packs = packs;
        this.proofs = proofs;
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
    FamilyView family(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        Composition composition = composition(id, choice);
        UnitModel model = composition.usual() ? packs.models().stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow()
                : PackReader.read(PackLibrary.text(id, composition.choices()));
        return FamilyView.of(model, PackLibrary.choices(id), composition.choices());
    }

    /** The flat text of a family, with the options chosen that are asked for. */
    @GetMapping(value = "/api/packs/{id}.yaml", produces = MediaType.TEXT_PLAIN_VALUE)
    String text(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        return PackLibrary.text(id, composition(id, choice).choices());
    }

    /** The usual run of a unit in good order, as a timing diagram. */
    @GetMapping("/api/packs/{id}/run")
    TimingDiagram run(@PathVariable String id, @RequestParam(defaultValue = "") List<String> choice) {
        return TimingDiagram.inGoodOrder(packs.unit(ref(composition(id, choice))).pack());
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
        if (packs.models().stream().noneMatch(m -> m.id().equals(id))) {
            throw new NotHere("There is no pack '" + id + "'.");
        }
        Map<String, String> chosen = new LinkedHashMap<>();
        asked.forEach(one -> chosen.put(one.replaceFirst(":.*", ""), one.replaceFirst("^[^:]*:?", "")));
        return packs.composition(id, chosen).orElseThrow(() -> new BadInput("choice", "There is no '" + id + "' with "
                + String.join(", ", asked) + "; choose from what the family has."));
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
