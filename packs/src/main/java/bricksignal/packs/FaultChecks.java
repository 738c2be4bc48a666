package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;

/** Every fault must show: some lamp or some test must look different from a unit in good order. Runs every fault. */
final class FaultChecks {

    private static final double LEAST_DIFFERENCE = 0.1;

    private FaultChecks() {
    }

    static void run(Section root, UnitModel model) {
        CompiledPack pack = root.at("faults").attempt(() -> CompiledPack.of(model, ErrorModel.defaults()));
        if (pack == null) {
            return;
        }
        for (Hypothesis hypothesis : pack.space().faults()) {
            if (!hypothesis.nothing() && !shows(pack, hypothesis.id())) {
                root.at("faults").at(hypothesis.fault().id()).note("nothing can show the fault '" + hypothesis.fault().id()
                        + "': lamps and tests are as in a unit in good order", "Declare a point, a reading or a check that shows it");
            }
        }
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
