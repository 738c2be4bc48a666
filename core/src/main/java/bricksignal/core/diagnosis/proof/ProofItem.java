package bricksignal.core.diagnosis.proof;

import bricksignal.core.words.Message;
import java.util.List;

/**
 * One thing that must stand in the log before a part is condemned.
 *
 * @param what it is
 * @param proven whether the log shows it
 * @param tests the tests that could show it, by id, cheapest first; empty where it is proven
 */
public record ProofItem(Message what, boolean proven, List<String> tests) {

    public ProofItem {
        tests = List.copyOf(tests);
    }
}
