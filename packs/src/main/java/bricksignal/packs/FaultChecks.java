package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;

/** Every fault must show: some lamp or some test must look different from a unit in good order. Runs every fault. */
final class FaultChecks {

    private static final double LEAST_DIFFERENCE = 0.1;

    private FaultChecks() {
    }

    static void run(Section root, UnitModel model) {
        CompiledPack pack = root.at("faults").attempt(() -> CompiledPack.of(model, ErrorModel.defaults()));
        for (int h = 0; pack != null && h < pack.faults(); h++) {
            Hypothesis hypothesis = pack.hypotheses().get(h);
            if (!hypothesis.nothing() && !shows(pack, h)) {
                root.at("faults").at(hypothesis.id()).note("nothing can show the fault '" + hypothesis.id()
                        + "': lamps and tests are as in a unit in good order", "Declare a point, a reading or a check that shows it");
            }
        }
    }

    private static boolean shows(CompiledPack pack, int fault) {
        boolean lamp = pack.model().charts().keySet().stream()
                .anyMatch(board -> !pack.lampShares(fault, board).equals(pack.lampShares(pack.sound(), board)));
        return lamp || pack.tests().stream().anyMatch(test -> !changesAPart(test)
                && pack.outcomes(test).common(fault, pack.sound()) < 1 - LEAST_DIFFERENCE);
    }

    private static boolean changesAPart(Test test) {
        return test instanceof Test.Check check && check.sense().changesAPart();
    }
}
