package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Noticed;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.common.CommonFailures;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the customer noticed, as questions with yes or no, computed from the runs of every hypothesis: whether the fan, the burner, the outdoor unit run, stop
 * again, never stop; what a look or a hand of the pack would find that anybody notices; whether it began after somebody worked on it. People are right
 * eleven times of twelve (common practice, from memory).
 */
public final class CustomerTest {

    private static final String TOLD = "told.";
    private static final String RUNS = ".runs";
    private static final String STOPS = ".stops";
    private static final String NEVER_STOPS = ".never-stops";
    private static final String SINCE_WORK = TOLD + "since-work";
    private static final double MINUTES = 0.2;
    /** Misheard, or not looked at closely. */
    private static final double MISTAKEN = 0.08;
    /** Of what comes and goes people tell how it is when it fails, so often. */
    private static final double TOLD_AS_IT_FAILS = 0.75;

    private static final double SINCE_WORK_BY_CHANCE = 0.1;
    private static final double SINCE_LEFT_BEHIND = 0.6;
    private static final double SINCE_SET_WRONG = 0.5;

    private CustomerTest() {
    }

    /** The questions that a unit gives, in the order of its channels and checks. */
    public static List<Test.Check> of(UnitModel model) {
        Map<String, Test.Check> questions = new LinkedHashMap<>();
        String found = model.asFound().orElse(model.moments().get(0)).id();
        for (UnitModel.Channel channel : model.channels()) {
            Noticed noticed = channel.noticed();
            if (noticed != null) {
                for (String what : List.of(RUNS, STOPS, NEVER_STOPS)) {
                    question(questions, noticed.text() + what, found);
                }
            }
        }
        model.checks().stream().map(Test.Check::noticed).flatMap(Optional::stream).forEach(noticed -> question(questions, noticed.text(), found));
        if (!questions.isEmpty()) {
            question(questions, "since-work", found);
        }
        return List.copyOf(questions.values());
    }

    private static void question(Map<String, Test.Check> questions, String what, String moment) {
        questions.putIfAbsent(what, new Test.Check(TOLD + what, Message.of("test." + TOLD + what), Test.Sense.COMPLAINT, moment, null, Map.of(), MISTAKEN, MINUTES, "",
                Change.NONE));
    }

    /** True for a question to the customer about what was noticed. */
    public static boolean asks(Test test) {
        return test.id().startsWith(TOLD);
    }

    /**
     * Probability of yes.
     *
     * @param records what was taken down of the run of the hypothesis, and of that of the unit in good order
     * @param found what a check of the pack finds in the hypothesis: probability of yes
     */
    static double yes(UnitModel model, Test.Check question, Hypothesis h, Records records, Found found) {
        if (question.id().equals(SINCE_WORK)) {
            return sinceWork(h);
        }
        double is = truth(model, question, records, found, false);
        if (h.intermittent()) {
            is = TOLD_AS_IT_FAILS * is + (1 - TOLD_AS_IT_FAILS) * truth(model, question, records, found, true);
        }
        return MISTAKEN + (1 - 2 * MISTAKEN) * is;
    }

    /** Two records. */
    record Records(RunRecord is, RunRecord good) {
    }

    /** What a check finds. */
    interface Found {
        double yes(Test.Check check, boolean good);
    }

    private static double truth(UnitModel model, Test.Check question, Records records, Found found, boolean good) {
        RunRecord record = good ? records.good() : records.is();
        String what = question.id().substring(TOLD.length());
        int dot = what.indexOf('.');
        if (dot < 0) {
            return model.checks().stream().filter(check -> check.noticed().filter(noticed -> noticed.text().equals(what)).isPresent())
                    .mapToDouble(check -> found.yes(check, good)).max().orElse(0);
        }
        List<String> channels = model.channels().stream().filter(channel -> channel.noticed() != null && channel.noticed().text().equals(what.substring(0, dot)))
                .map(UnitModel.Channel::id).toList();
        return channels.stream().anyMatch(channel -> holds(model, what.substring(dot), Known.in(record.channels(), channel), Known.in(records.good().channels(), channel))) ? 1 : 0;
    }

    private static boolean holds(UnitModel model, String what, ChannelRun run, ChannelRun good) {
        return switch (what) {
            case RUNS -> !run.begins().isEmpty();
            case STOPS -> !run.begins().isEmpty() && run.endsEarly(good).findAny().isPresent();
            default -> model.afterCall().map(Moment::offset).filter(rest -> run.spans().stream().anyMatch(span -> span.from() <= rest && rest < span.to())
                    && good.spans().stream().noneMatch(span -> span.from() <= rest && rest < span.to())).isPresent();
        };
    }

    private static double sinceWork(Hypothesis h) {
        boolean wrong = h.faults().stream().anyMatch(fault -> fault.kind() == Fault.Kind.SET_WRONG);
        boolean hands = h.parts().stream().map(Part::id).anyMatch(Set.of(CommonFailures.LEFT, CommonFailures.ADDED)::contains);
        return hands ? SINCE_LEFT_BEHIND : wrong ? SINCE_SET_WRONG : SINCE_WORK_BY_CHANCE;
    }
}
