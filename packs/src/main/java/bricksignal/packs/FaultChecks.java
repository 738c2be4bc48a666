package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Outcomes;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;

/** Every fault must show: some lamp or some test must look different from a unit in good order. Runs every fault. */
final class FaultChecks {

    private static final double LEAST_DIFFERENCE = 0.1;

    private FaultChecks() {
    }

    static void run(Section root, UnitModel model) {
        CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
        int sound = -1;
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            sound = pack.hypotheses().get(h).fault().effects().isEmpty() ? h : sound;
        }
        if (sound < 0) {
            root.at("faults").note("no fault stands for 'nothing wrong now'", "Declare one that does nothing");
            return;
        }
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            Hypothesis hypothesis = pack.hypotheses().get(h);
            if (!hypothesis.fault().effects().isEmpty() && !shows(pack, h, sound)) {
                root.at("faults").at(hypothesis.id()).note("nothing can show the fault '" + hypothesis.id()
                        + "': lamps and tests are as in a unit in good order", "Declare a point, a reading or a check that shows it");
            }
        }
    }

    private static boolean shows(CompiledPack pack, int fault, int sound) {
        boolean lamp = pack.model().charts().keySet().stream()
                .anyMatch(board -> !pack.lampShares(fault, board).equals(pack.lampShares(sound, board)));
        return lamp || pack.tests().stream().anyMatch(test -> differs(pack, test, fault, sound));
    }

    private static boolean differs(CompiledPack pack, Test test, int a, int b) {
        boolean swap = test instanceof Test.Check check && check.sense() == Test.Sense.SWAP;
        Outcomes outcomes = pack.outcomes(test);
        double common = 0;
        for (int k = 0; k < outcomes.count(); k++) {
            common += Math.min(outcomes.chance(k, a), outcomes.chance(k, b));
        }
        return !swap && common < 1 - LEAST_DIFFERENCE;
    }
}
