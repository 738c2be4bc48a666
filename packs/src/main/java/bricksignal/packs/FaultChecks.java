package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.diagnosis.proof.Provability;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;

/**
 * Every fault must show: some lamp or some test must look different from a unit in good order. And what cannot be proven must not
 * be declared: an ideal visit to the fault must end proven. Runs every fault.
 */
final class FaultChecks {

    private static final double LEAST_DIFFERENCE = 0.1;

    /** The share of the work that is done when all is run. Measured on the furnace. */
    private static final double COMPILED = 0.4;

    private FaultChecks() {
    }

    /** Runs the faults of a model; what is wrong with them is noted at the sections of its document. */
    static void run(Section root, UnitModel model, DoubleConsumer progress) {
        CompiledPack pack = root.at("faults").attempt(() -> CompiledPack.of(model, ErrorModel.defaults(), Shelf.usual(),
                share -> progress.accept(COMPILED * share)));
        if (pack == null) {
            return;
        }
        codes(root.at("charts"), pack);
        Set<String> hidden = new LinkedHashSet<>();
        for (Hypothesis hypothesis : pack.space().faults()) {
            if (!hypothesis.nothing() && !shows(pack, hypothesis.id())) {
                root.at("faults").at(hypothesis.fault().id()).note("nothing can show the fault '" + hypothesis.fault().id()
                        + "': lamps and tests are as in a unit in good order", "Declare a point, a reading or a check that shows it");
                hidden.add(hypothesis.fault().id());
            }
            if (!pack.unit(hypothesis.id()).settles(model.scenarios().get(0).id())) {
                root.at("faults").at(hypothesis.fault().id()).note("with the fault '" + hypothesis.fault().id() + "' the unit chatters: contacts and "
                        + "board find no rest", "Look for two states that send each other back, or a contact that opens what closes it");
            }
        }
        for (Provability.Session visit : Provability.of(pack, share -> progress.accept(COMPILED + (1 - COMPILED) * share))) {
            if (!visit.proven() && !hidden.contains(visit.fault())) {
                root.at("faults").at(visit.fault()).note("the fault '" + visit.fault() + "' can never be proven: when every test is "
                        + "made the visit ends " + visit.status().name().toLowerCase(Locale.ROOT) + ", names " + visit.named()
                        + (visit.open().isEmpty() ? ", too near to its rivals" : " and no test closes " + String.join(", ", visit.open().stream()
                        .map(FaultChecks::plain).toList())),
                        "Declare a reading or a check at the part that its rivals " + String.join(", ", visit.rivals().stream()
                        .map(HypothesisId::text).toList()) + " cannot show as well");
            }
        }
    }

    /** A code that nothing shows stands for something that the unit does not have, or that no fault tells of. */
    private static void codes(Section charts, CompiledPack pack) {
        List<HypothesisId> all = Stream.concat(pack.space().faults().stream(), pack.runs().unlisted().stream()).map(Hypothesis::id).toList();
        pack.model().charts().forEach((board, chart) -> chart.patterns().stream().filter(pattern -> all.stream()
                .noneMatch(id -> pack.predictions().lampSharesAfterReset(id, board).getOrDefault(pattern, 0.0) > 0
                        || pack.predictions().lampShares(id, board).getOrDefault(pattern, 0.0) > 0)).forEach(pattern -> charts.at(board)
                .at(pattern.text()).note("nothing shows the code '" + pattern.text() + "': no fault leads the board there",
                        "Declare the fault that it tells of, or take the code out")));
    }

    /** What a message is about without its words, which are made elsewhere: {@code proof.output-dead} of a valve is "output dead (valve)". */
    private static String plain(Message message) {
        if (message instanceof Message.Keyed keyed) {
            String about = String.join(", ", keyed.parts().stream().map(FaultChecks::plain).toList());
            String key = keyed.key().substring(keyed.key().indexOf('.') + 1).replace('-', ' ');
            return about.isEmpty() ? key : key + " (" + about + ")";
        }
        return message instanceof Message.Said said ? said.text() : message.toString();
    }

    private static boolean shows(CompiledPack pack, HypothesisId fault) {
        boolean lamp = pack.model().charts().keySet().stream()
                .anyMatch(board -> !pack.predictions().lampShares(fault, board)
                        .equals(pack.predictions().lampShares(pack.space().nothing(), board)));
        return lamp || pack.catalogue().tests().stream().anyMatch(test -> !changesAPart(test)
                && pack.predictions().outcomes(test).common(fault, pack.space().nothing()) < 1 - LEAST_DIFFERENCE);
    }

    private static boolean changesAPart(Test test) {
        return test instanceof Test.Check check && check.sense().changesAPart();
    }
}
