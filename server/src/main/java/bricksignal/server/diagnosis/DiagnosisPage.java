package bricksignal.server.diagnosis;

import bricksignal.core.board.run.Snapshot;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.Strip;
import bricksignal.core.diagnosis.Wording;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Contradiction;
import bricksignal.core.diagnosis.advice.Plan;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.proof.ProofItem;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Ladder;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Makes the page of a diagnosis out of the findings. */
final class DiagnosisPage {

    private static final int MOST_OTHERS = 14;
    private static final double WORTH_NAMING = 0.03;
    private static final List<MeterMode> BETWEEN_POINTS = List.of(MeterMode.AC_VOLTS, MeterMode.AC_VOLTS_LOW_Z,
            MeterMode.DC_VOLTS, MeterMode.OHMS);
    private static final List<Test.Sense> BEFORE_POWER = List.of(Test.Sense.LOOK, Test.Sense.SMELL, Test.Sense.HEAR);
    private static final String DEFER = "The maker's instructions, the local code and licensed practice come before anything "
            + "said here. Safeties are never bypassed to run a unit.";

    private final Findings findings;
    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final UnitModel model;
    private final TestPage tests;
    private final Planner planner;

    DiagnosisPage(Findings findings) {
        this.findings = findings;
        this.diagnosis = findings.diagnosis();
        this.pack = diagnosis.pack();
        this.model = findings.model();
        this.tests = new TestPage(diagnosis);
        this.planner = findings.planner();
    }

    DiagnosisView view() {
        Advice advice = findings.advice();
        LogPage log = new LogPage(diagnosis);
        List<DiagnosisView.TestView> proposed = advice.proposals().stream().limit(MOST_OTHERS)
                .map(proposal -> tests.view(advice.purpose(), proposal)).toList();
        boolean ask = !advice.done() && !proposed.isEmpty();
        DiagnosisView.TestView next = ask ? proposed.get(0) : null;
        return new DiagnosisView(unit(), findings.entries().stream().map(log::view).toList(), suspects(), advice.purpose(),
                next, ask ? proposed.subList(1, proposed.size()) : proposed, verdict(advice.verdict()),
                Strip.of(diagnosis), ladder(next), findings.changesLeftIn().stream()
                .map(e -> new DiagnosisView.ChangeView(e.id(), String.valueOf(e.text()), e.madeAt())).toList(),
                findings.chains().stream().map(new ChainPage(diagnosis)::view).toList(), findings.wasReset(),
                diagnosis.contradictions().stream().map(log::what)
                .filter(what -> !what.isEmpty()).toList(), ask ? plan(advice.proposals().get(0)) : List.of(),
                Contradiction.of(diagnosis).stream().map(c -> contradiction(log, c)).toList(), diagnosis.unexplained(), wouldExplain(),
                SequenceModel.usual(pack).stream().map(this::expected).toList(), repairs());
    }

    private List<DiagnosisView.WayView> plan(Proposal first) {
        return Plan.of(diagnosis, planner, first).ways().stream().map(way -> {
            Proposal next = way.next().orElse(null);
            return new DiagnosisView.WayView(Wording.expected(first.test(), way.outcome().looksLike()),
                    way.outcome().probability(), way.outcome().suspects().stream().limit(3)
                    .map(h -> diagnosis.hypothesis(h).label()).toList(), next == null ? null : title(next.test()),
                    next == null ? null : model.moment(next.test().moment()).label(), next == null ? null : next.minutes());
        }).toList();
    }

    private String title(Test test) {
        return test instanceof Test.Reading r && r.place() instanceof Place.Across ? Wording.instruction(model, test) : test.label();
    }

    private DiagnosisView.ContradictionView contradiction(LogPage log, Contradiction c) {
        Test test = c.one() instanceof Observation.Reading r ? r.test() : ((Observation.Answer) c.one()).test();
        return new DiagnosisView.ContradictionView(log.what(c.one()), tests.view(Advice.Purpose.SPLIT,
                planner.weigh(test, diagnosis, Setup.AS_IT_IS)), log.what(c.other()));
    }

    private DiagnosisView.ExpectedView expected(UnitModel.Channel channel) {
        SequenceModel times = SequenceModel.of(pack, channel.id());
        return new DiagnosisView.ExpectedView(channel.id(), channel.label(), times.edges(pack.healthy(), true),
                times.edges(pack.healthy(), true).stream().map(SequenceModel::lateAfter).toList(),
                times.edges(pack.healthy(), false), pack.seenInSequence().contains(channel));
    }

    private List<String> wouldExplain() {
        return findings.advice().verdict().unlisted().stream().map(place -> pack.hypothesis(place).label()).toList();
    }

    /** Parts that may be at fault in the order of the cheapest repair, and those that were repaired. */
    private List<DiagnosisView.RepairView> repairs() {
        List<DiagnosisView.RepairView> repairs = new ArrayList<>();
        diagnosis.repaired().forEach(part -> repairs.add(repair(part, true)));
        planner.repairOrder(diagnosis).stream().map(part -> repair(part, false))
                .filter(r -> r.probability() >= WORTH_NAMING && !r.part().equals(pack.hypothesis(pack.sound()).part().id()))
                .forEach(repairs::add);
        return repairs;
    }

    private DiagnosisView.RepairView repair(String part, boolean done) {
        double probability = diagnosis.ranking().stream().filter(h -> diagnosis.hypothesis(h).parts().stream()
                .anyMatch(p -> p.id().equals(part))).mapToDouble(diagnosis::belief).sum();
        return new DiagnosisView.RepairView(part, model.part(part).label(), probability, planner.repairCost(part),
                model.part(part).kind() == Part.Kind.BOARD, done);
    }

    private DiagnosisView.UnitView unit() {
        return new DiagnosisView.UnitView(model.id(), model.title(), model.duty(),
                model.charts().keySet().stream().map(this::lamp).toList(),
                model.points().stream().map(p -> new DiagnosisView.PointView(p.net(), p.label(), p.where(), p.colour(),
                        p.side(), p.against())).toList(),
                model.moments().stream().map(m -> new DiagnosisView.MomentView(m.id(), m.label(),
                        pack.momentSeconds(m.id()), tests.afterCall(pack.momentSeconds(m.id())))).toList(),
                BETWEEN_POINTS.stream().map(m -> new DiagnosisView.ModeView(m, Wording.mode(m), m.unit())).toList(),
                checksBefore(), model.stages().stream().map(s -> new DiagnosisView.StageView(s.id(), s.label(), s.seen()))
                .toList(), model.calls().stream().map(this::call).toList(), DEFER);
    }

    private DiagnosisView.BoardLampView lamp(String board) {
        Chart chart = model.chart(board);
        List<String> marks = chart.patterns().stream().flatMap(p -> p.marks().stream()).filter(m -> !m.isEmpty()).distinct()
                .toList();
        return new DiagnosisView.BoardLampView(board, model.boardLabel(board), marks, chart.generations().stream()
                .flatMap(g -> g.codes().stream().map(c -> new DiagnosisView.ChartView(c.pattern().text(), c.meaning(),
                        c.pattern().blinks(), g.name()))).toList());
    }

    private DiagnosisView.CallView call(CallAdvice call) {
        return new DiagnosisView.CallView(call.label(), point(call.from()), point(call.to()), call.order(), call.why(),
                call.hold());
    }

    private @Nullable String point(String net) {
        return net.isEmpty() ? null : model.point(net).label();
    }

    /** What is looked at, smelled and heard before the power is touched, most telling first. */
    private List<DiagnosisView.TestView> checksBefore() {
        return model.checks().stream().filter(c -> c.moment().equals("found") && BEFORE_POWER.contains(c.sense())
                        && !diagnosis.answered(c))
                .map(c -> planner.weigh(c, diagnosis, Setup.AS_IT_IS))
                .sorted(java.util.Comparator.comparingDouble((Proposal p) -> -p.bitsPerCost()))
                .map(p -> tests.view(Advice.Purpose.SPLIT, p)).toList();
    }

    private List<DiagnosisView.SuspectView> suspects() {
        List<Observation> seen = diagnosis.observations();
        Diagnosis before = seen.isEmpty() ? diagnosis : Diagnosis.of(pack, seen.subList(0, seen.size() - 1));
        return diagnosis.ranking().stream().map(h -> {
            Hypothesis hypothesis = diagnosis.hypothesis(h);
            return new DiagnosisView.SuspectView(hypothesis.id(), hypothesis.label(), hypothesis.partLabel(),
                    hypothesis.fault().kind(), hypothesis.blamesBoard(), diagnosis.belief(h), before.belief(h),
                    hypothesis.remedy());
        }).toList();
    }

    private DiagnosisView.VerdictView verdict(Verdict verdict) {
        Hypothesis leader = diagnosis.hypothesis(verdict.leader());
        return new DiagnosisView.VerdictView(verdict.status(), leader.label(), leader.partLabel(),
                leader.blamesBoard(), verdict.probability(),
                verdict.group().stream().skip(1).map(h -> diagnosis.hypothesis(h).label()).toList(),
                leader.remedy(), verdict.items().stream().map(this::proof).toList(),
                verdict.untested().stream().map(part -> model.part(part).label()).toList());
    }

    private DiagnosisView.ProofView proof(ProofItem item) {
        DiagnosisView.TestView test = item.tests().isEmpty() ? null : tests.view(Advice.Purpose.PROVE,
                planner.weigh(pack.test(item.tests().get(0)), diagnosis, Setup.AS_IT_IS));
        return new DiagnosisView.ProofView(item.what(), item.proven(), test);
    }

    /** The drawing of the sound unit at the moment of the next test, with the last reading at each point. */
    private List<DiagnosisView.RungView> ladder(DiagnosisView.@Nullable TestView next) {
        double at = next == null ? pack.momentSeconds(model.moments().get(0).id()) : next.at();
        String scenario = next == null ? model.moments().get(0).scenario()
                : model.moment(pack.test(next.id()).moment()).scenario();
        Snapshot unit = pack.healthy().run(scenario).at(at).unit();
        Map<String, String> last = lastReadings();
        return Ladder.of(model, unit).rungs().stream().map(rung -> new DiagnosisView.RungView(rung.side(),
                rung.stops().stream().map(s -> new DiagnosisView.StopView(s.point().net(), s.point().label(),
                        s.point().colour(), s.volts(), s.symbol(), s.element(), s.closed(), last.get(s.point().net())))
                        .toList())).toList();
    }

    private Map<String, String> lastReadings() {
        Map<String, String> last = new LinkedHashMap<>();
        for (Observation observation : diagnosis.observations()) {
            if (observation instanceof Observation.Reading reading && reading.test().place() instanceof Place.Across across) {
                last.put(across.red(), Wording.value(reading.test().mode(), reading.value()));
            }
        }
        return last;
    }
}
