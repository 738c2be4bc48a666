package bricksignal.casework.page;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/**
 * The tests of a unit that are made at one moment of its run, and what can hurt somebody there.
 *
 * @param moment as people say it
 * @param cautions of all of them, each once
 * @param tests quickest first
 */
public record TestGroup(@Phrase String moment, List<Message> cautions, List<TestLine> tests) {

    public TestGroup {
        cautions = List.copyOf(cautions);
        tests = List.copyOf(tests);
    }

    /** All tests of a unit but what is only asked, in the order of its moments; a moment without any is left out. */
    public static List<TestGroup> of(CompiledPack pack) {
        return pack.model().moments().stream().map(moment -> of(pack, moment)).filter(group -> !group.tests().isEmpty()).toList();
    }

    private static TestGroup of(CompiledPack pack, Moment moment) {
        Predicate<Test> asks = test -> CustomerTest.asks(test) || test instanceof Test.Check check && check.sense().onlyAsks();
        List<Test> tests = pack.catalogue().tests().stream().filter(test -> test.moment().equals(moment.id())).filter(asks.negate()).toList();
        return new TestGroup(moment.label(), tests.stream().flatMap(test -> TestPage.cautions(pack, test).stream()).distinct().toList(),
                tests.stream().map(test -> TestPage.line(pack, test, TestCost.minutes(pack, test, Stand.AS_FOUND)))
                        .sorted(Comparator.comparingDouble(TestLine::minutes)).toList());
    }
}
