package bricksignal.casework.page;

import bricksignal.casework.Admission;
import bricksignal.casework.Case;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Plan;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Station;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What of a case is shown when somebody asks for it. */
public final class Details {

    private static final double WORTH_NAMING = 0.03;
    private static final int MOST_SUSPECTS = 3;
    /** One call in twenty: seldomer, nobody turns round for it (from memory). */
    private static final double WORTH_TAKING = 0.05;
    private static final int MOST_TAKEN = 3;
    private static final double HALF = 0.5;

    private Details() {
    }

    /** One outcome of the next test and what comes then; without a next test it is clear enough, or to be taken again. */
    public record Way(Message expected, double probability, List<Message> suspects, @Nullable TestLine next) {
    }

    /**
     * A part that may be repaired.
     *
     * @param probability that it is the cause
     * @param cost of repairing it and trying the unit, in the pack's currency
     * @param done whether it was repaired
     * @param offered whether its repair may be entered now
     * @param orderable whether it may be ordered: not a board that nothing has proven
     * @param needs the licences of whoever repairs it
     * @param handling what to know with it in hand
     */
    public record Repair(String part, @Phrase String label, double probability, double cost, boolean board, boolean done,
            boolean offered, boolean orderable, List<Stop.Licence> needs, @Phrase List<String> handling) {
    }

    /** The entries with what each says, oldest first. */
    public static List<CasePage.LogLine> log(Case now) {
        return now.lines().stream().map(new LogLines(now)::line).toList();
    }

    /** What was seen of the sequence, oldest first. */
    static List<CasePage.Tap> taps(Case now) {
        return now.lines().stream().filter(Line::counts).flatMap(line -> line.filed().entry() instanceof Entry.Seen seen ? Stream.of(new CasePage.Tap(
                line.filed().id(), seen.channel(), now.unit().model().channel(seen.channel()).label(), seen.begins(), seen.seconds()))
                : Stream.<CasePage.Tap>empty()).toList();
    }

    /**
     * What a visit came to.
     *
     * @param verdict in one line, as it is kept: what was found before each repair, or what is found now
     * @param proven whether what was found was proven before each repair, or as it stands
     * @param repaired parts, by id, in the order in which they were repaired
     * @param board whether a board is among them
     * @param skipped how many things a stricter school would have asked for and nobody showed
     * @param bookMinutes what the tests that were made, the parts that were changed and a try after each take by the figures of the pack
     * @param partsCost price of the parts that were changed
     * @param allowed boards that a lead let be changed although nothing had proven them to be bad, by whom and why; nothing where none was
     */
    public record Concluded(Message verdict, boolean proven, List<String> repaired, boolean board, int skipped, double bookMinutes, double partsCost, Message allowed) {
    }

    /** What a case came to. */
    public static Concluded concluded(Case now) {
        List<Case> cases = found(now).toList();
        List<Verdict> verdicts = cases.stream().map(Case::verdict).toList();
        List<String> repaired = List.copyOf(now.diagnosis().repaired());
        List<Part> parts = repaired.stream().map(now.unit().model()::part).toList();
        return new Concluded(Message.items(Message.Joint.SEMICOLON, cases.stream().map(Details::kept).toList()), verdicts.stream().allMatch(verdict -> verdict
                .status() == Verdict.Status.PROVEN), repaired, parts.stream().anyMatch(part -> part.kind() == Part.Kind.BOARD),
                verdicts.stream().mapToInt(verdict -> verdict.skipped().size()).sum(), testMinutes(now) + parts.stream().mapToDouble(part -> part.minutes()
                + now.policy().verifyMinutes()).sum(), parts.stream().mapToDouble(Part::price).sum(), allowed(now, repaired));
    }

    private static Message allowed(Case now, List<String> repaired) {
        List<Message> allowed = Stream.concat(repaired.stream(), now.ordered().stream()).distinct().flatMap(part -> now.allowed(part).stream()).map(let -> Message.of("log.allowed-because",
                Message.said(now.unit().model().part(let.part()).label()), Message.said(let.by()), Message.said(let.reason()))).toList();
        return allowed.isEmpty() ? Message.NOTHING : Message.items(Message.Joint.SEMICOLON, allowed);
    }

    /** What the tests that were made take, each as the unit stood after the one before. */
    private static double testMinutes(Case now) {
        double minutes = 0;
        Stand standing = Stand.AS_FOUND;
        for (Observation made : now.diagnosis().observations()) {
            Test test = made.about().orElse(null);
            if (test != null) {
                minutes += TestCost.minutes(now.unit().pack(), test, standing);
                standing = standing.after(test);
            }
        }
        return minutes;
    }

    private static Message kept(Case then) {
        Verdict verdict = then.verdict();
        return Message.of("verdict.kept", then.diagnosis().hypothesis(verdict.leader()).label(), Message.of("verdict." + verdict.status()),
                new Message.Share(verdict.probability()));
    }

    /** The cases in which something was found: as each stood before a repair, or as it stands where nothing was repaired. */
    private static Stream<Case> found(Case now) {
        List<Case> before = now.beforeRepairs();
        return before.isEmpty() ? Stream.of(now) : before.stream();
    }

    /** What was found on a visit, one verdict for each repair; the verdict as it stands where nothing was repaired. */
    public static List<CasePage.VerdictPage> verdicts(Case now) {
        return found(now).map(CasePages::verdict).toList();
    }

    /** A test that somebody chose: one that proof misses is made to prove, any other to tell suspects apart. */
    public static TestPage test(Case now, String id) {
        Test test = now.unit().pack().catalogue().test(id);
        boolean proves = now.advice().verdict().items().stream().anyMatch(item -> item.tests().contains(id));
        return TestPage.of(now, proves ? Advice.Purpose.PROVE : Advice.Purpose.SPLIT,
                now.planner().weigh(test, now.diagnosis(), now.standing()));
    }

    /** The plan two levels deep: what the proposed test may show, and what comes then. */
    public static List<Way> plan(Case now) {
        Advice advice = now.advice();
        if (advice.done() || advice.proposals().isEmpty()) {
            return List.of();
        }
        Diagnosis diagnosis = now.diagnosis();
        Proposal first = advice.proposals().get(0);
        return Plan.of(diagnosis, now.planner(), first).ways().stream().map(way -> new Way(
                TestPage.expected(now, first.test(), way.outcome().looksLike()), way.outcome().probability(),
                TestPage.labels(diagnosis, way.outcome().suspects(), MOST_SUSPECTS), way.next().map(next ->
                TestPage.line(now.unit().pack(), next)).orElse(null))).toList();
    }

    /**
     * A look, a smell, a sound.
     *
     * @param place where somebody stands for it
     * @param healthy what it is in a healthy unit
     * @param danger whether a yes ends the diagnosis: it is answered by itself
     */
    public record LookLine(String id, Message instruction, Message place, boolean healthy, boolean danger) {
    }

    private static LookLine look(Case now, Proposal proposal, boolean danger) {
        boolean healthy = now.unit().pack().predictions().nominal(proposal.test()) instanceof Prediction.Chance chance && chance.yes() >= HALF;
        return new LookLine(proposal.test().id(), Instruction.what(now.unit().model(), proposal.test()),
                Message.of("place." + place(proposal)), healthy, danger);
    }

    private static Station place(Proposal proposal) {
        return proposal.test() instanceof Test.Check check ? check.station() : Station.UNIT;
    }

    /** What is looked at, smelled and heard before the power is touched: what is at one place together, the place that tells most first, and at each the most telling first. */
    public static List<LookLine> before(Case now) {
        UnitModel model = now.unit().model();
        String found = model.asFound().map(Moment::id).orElse("");
        List<Test.Check> checks = model.checks().stream().filter(c -> c.moment().equals(found)
                && c.sense().onlyPerceives() && !now.diagnosis().answered(c) && now.mayBeMade(c)).toList();
        Stream<LookLine> first = now.planner().weigh(now.stops().isEmpty() ? now.askedFirst() : List.of(), now.diagnosis(), Stand.AS_FOUND).stream()
                .map(proposal -> look(now, proposal, true));
        Map<Station, List<Proposal>> byPlace = now.planner().weigh(checks, now.diagnosis(), Stand.AS_FOUND).stream()
                .sorted(Comparator.comparingDouble(proposal -> -proposal.bitsPerCost())).collect(Collectors.groupingBy(Details::place, LinkedHashMap::new, Collectors.toList()));
        return Stream.concat(first, byPlace.values().stream().flatMap(List::stream).map(proposal -> look(now, proposal, false))).toList();
    }

    /** A temporary change that the circuit allows, by id. */
    public record ChangeLine(String id, Message what) {
    }

    /** The temporary changes that may be made now; none while something stands that ended the diagnosis. */
    public static List<ChangeLine> changes(Case now) {
        return now.stops().isEmpty() ? now.unit().pack().catalogue().safety().allowed().entrySet().stream()
                .map(change -> new ChangeLine(change.getKey(), change.getValue().says())).toList() : List.of();
    }

    /** Every question that is answered with yes or no, the most telling first: for what somebody saw without being asked. */
    public static List<TestLine> questions(Case now) {
        List<Test> questions = now.unit().pack().catalogue().tests().stream().filter(test -> test instanceof Test.Check
                && now.diagnosis().possible(test) && now.mayBeMade(test)).toList();
        return now.planner().weigh(questions, now.diagnosis(), now.standing()).stream()
                .sorted(Comparator.comparingDouble(proposal -> -proposal.bits()))
                .map(proposal -> TestPage.line(now.unit().pack(), proposal)).toList();
    }

    /** Parts that may be at fault in the order of the cheapest repair, and those that were repaired. */
    public static List<Repair> repairs(Case now) {
        Planner planner = now.planner();
        Diagnosis diagnosis = now.diagnosis();
        String nobody = diagnosis.hypothesis(now.unit().pack().space().nothing()).part().id();
        List<Repair> repairs = new ArrayList<>();
        diagnosis.repaired().forEach(part -> repairs.add(repair(now, planner, part, true)));
        planner.repairOrder(diagnosis).stream().filter(part -> !part.equals(nobody)).map(part -> repair(now, planner, part,
                false)).filter(r -> r.probability() >= WORTH_NAMING).forEach(repairs::add);
        return repairs;
    }

    /**
     * A part to take along.
     *
     * @param part by id
     * @param probability that it is what the unit wants, by what is known before anybody was there
     * @param stocked whether a van usually has it
     */
    public record Bring(String part, @Phrase String label, double probability, boolean stocked) {
    }

    /** The parts that are likeliest to be wanted, by what is known now; none where nothing stands out. */
    public static List<Bring> bring(Case now) {
        Diagnosis diagnosis = now.diagnosis();
        return now.unit().model().parts().stream().filter(part -> part.price() > 0 && (part.kind() == Part.Kind.PART || part.kind() == Part.Kind.BOARD))
                .map(part -> new Bring(part.id(), part.label(), probability(diagnosis, part), part.stocked())).filter(part -> part.probability() >= WORTH_TAKING)
                .sorted(Comparator.comparingDouble(Bring::probability).reversed()).limit(MOST_TAKEN).toList();
    }

    private static double probability(Diagnosis diagnosis, Part part) {
        return diagnosis.hypotheses().stream().filter(h -> diagnosis.hypothesis(h).parts().contains(part)).mapToDouble(diagnosis::belief).sum();
    }

    private static Repair repair(Case now, Planner planner, String id, boolean done) {
        Part part = now.unit().model().part(id);
        return new Repair(id, part.label(), probability(now.diagnosis(), part), planner.repairCost(id), part.kind() == Part.Kind.BOARD, done,
                !done && Admission.mayBeRepaired(now, part), Admission.mayBeChanged(now, part), List.copyOf(now.unit().pack().catalogue().safety().licences(part)), part.handling());
    }
}
