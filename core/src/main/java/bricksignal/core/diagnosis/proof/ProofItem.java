package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.words.Message;
import java.util.List;

/**
 * One thing that must stand in the log before a part is condemned.
 *
 * @param what it is
 * @param proven whether the log shows it
 * @param tests the tests that could show it, by id, cheapest first; empty where it is proven
 * @param asked the least strict school that asks for it
 * @param again whether it is a test to be made a second time
 */
public record ProofItem(Message what, boolean proven, List<String> tests, School asked, boolean again) {

    public ProofItem {
        tests = List.copyOf(tests);
    }

    /** Something that every school asks for. */
    ProofItem(Message what, boolean proven, List<String> tests) {
        this(what, proven, tests, School.USUAL, false);
    }

    /** The same, asked for by the strict alone. */
    ProofItem strict() {
        return new ProofItem(what, proven, tests, School.STRICT, again);
    }

    /** The same, shown by something that is no test. */
    ProofItem shown() {
        return new ProofItem(what, true, List.of(), asked, false);
    }

    /** The same, shown by a test that was made once already. */
    ProofItem secondTime() {
        return new ProofItem(what, proven, tests, asked, true);
    }

    boolean askedBy(School school) {
        return asked == School.USUAL || school == School.STRICT;
    }
}
