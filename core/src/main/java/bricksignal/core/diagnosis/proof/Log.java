package bricksignal.core.diagnosis.proof;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.function.Predicate;

/** The readings of a visit, asked for proof: which test shows something, and does the log hold it. */
final class Log {

    private final Diagnosis diagnosis;

    Log(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
    }

    /** A proof item: some test of this kind must have been made and its value must say so. */
    ProofItem item(Message what, Predicate<Test.Reading> kind, BiPredicate<Test.Reading, Double> shows) {
        return either(what, kind, shows, check -> false);
    }

    /** A proof item by a reading that says so, or by a check that was answered with yes. */
    ProofItem either(Message what, Predicate<Test.Reading> kind, BiPredicate<Test.Reading, Double> shows, Predicate<Test.Check> check) {
        boolean proven = diagnosis.sinceRepair().stream().anyMatch(o -> o instanceof Observation.Reading r && kind.test(r.test())
                && shows.test(r.test(), r.value()) || o instanceof Observation.Answer a && check.test(a.test()) && a.yes());
        return new ProofItem(what, proven, proven ? List.of() : cheapest(t -> t instanceof Test.Reading r && kind.test(r)
                || t instanceof Test.Check c && check.test(c)));
    }

    /** A proof item by a check that was made, whatever came of it: that is in the belief. */
    ProofItem made(Message what, Predicate<Test.Check> kind) {
        return answered(what, kind, answer -> true);
    }

    /** A proof item by a check that was answered with no, and never with yes. */
    ProofItem never(Message what, Predicate<Test.Check> kind) {
        ProofItem once = answered(what, kind, answer -> !answer.yes());
        return answered(what, kind, Observation.Answer::yes).proven() ? new ProofItem(what, false, List.of()) : once;
    }

    /** A proof item by a check that was answered with yes. */
    ProofItem said(Message what, Predicate<Test.Check> kind) {
        return answered(what, kind, Observation.Answer::yes);
    }

    /** True if a part was changed against that of a twin twice since the last repair, and the fault went with it each time. */
    boolean wentWithTwice(Part part) {
        List<Boolean> went = diagnosis.sinceRepair().stream().filter(Observation.Answer.class::isInstance).map(Observation.Answer.class::cast).filter(answer -> answer.test().sense()
                == Test.Sense.SWAP && diagnosis.pack().catalogue().changedBy(answer.test()).equals(part)).map(Observation.Answer::yes).toList();
        return went.size() >= 2 && !went.contains(false);
    }

    private ProofItem answered(Message what, Predicate<Test.Check> kind, Predicate<Observation.Answer> as) {
        boolean proven = diagnosis.sinceRepair().stream().anyMatch(o -> o instanceof Observation.Answer a && kind.test(a.test())
                && as.test(a));
        return new ProofItem(what, proven, proven ? List.of() : cheapest(t -> t instanceof Test.Check check && kind.test(check)));
    }

    /** Tests of the pack of this kind, cheapest first, by id. */
    List<String> cheapest(Predicate<Test> kind) {
        CompiledPack pack = diagnosis.pack();
        return pack.catalogue().tests().stream().filter(kind).filter(diagnosis::possible)
                .sorted(Comparator.comparingDouble(test -> TestCost.minutes(pack, test, Stand.AS_FOUND)))
                .map(Test::id).toList();
    }

    /** True for volts of any kind. */
    static boolean volts(Test.Reading test) {
        return test.mode().volts();
    }

    /** True for volts between these two nets, either way round. */
    static boolean volts(Test.Reading test, String a, String b) {
        return volts(test) && between(test, a, b);
    }

    /** True for a resistance between these two nets, either way round. */
    static boolean ohms(Test.Reading test, String a, String b) {
        return test.mode() == MeterMode.OHMS && between(test, a, b);
    }

    /** What a unit in good order shows in this test. */
    double nominal(Test.Reading test) {
        return diagnosis.pack().predictions().nominalValue(test);
    }

    /** True where a unit in good order shows more than nothing. */
    boolean due(Test.Reading test) {
        return ErrorModel.due((Prediction.Number) diagnosis.pack().predictions().nominal(test));
    }

    private static boolean between(Test.Reading test, String a, String b) {
        return test.place() instanceof Place.Across across
                && (across.black().equals(a) && across.red().equals(b) || across.black().equals(b) && across.red().equals(a));
    }
}
