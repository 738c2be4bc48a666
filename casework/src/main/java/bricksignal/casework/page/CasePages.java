package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Contradiction;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.ProofItem;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Makes the page of a case. */
public final class CasePages {

    private static final int MOST_OTHERS = 14;
    private static final double WORTH_SHOWING = 0.005;
    private static final int FEWEST_SUSPECTS = 6;

    private final Case now;
    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final UnitModel model;
    private final LogLines log;

    private CasePages(Case now) {
        this.now = now;
        this.diagnosis = now.diagnosis();
        this.pack = now.unit().pack();
        this.model = now.unit().model();
        this.log = new LogLines(now);
    }

    /** The page of a case. */
    public static CasePage of(Case now) {
        return new CasePages(now).page();
    }

    /** The moment that a drawing of a case is for, by id: that of the next test, or else the first of the unit. */
    public static String moment(Case now) {
        return now.advice().proposals().stream().findFirst().map(proposal -> proposal.test().moment()).orElse(now.unit().model().moments().get(0).id());
    }

    /** What can be said of a case. */
    static CasePage.VerdictPage verdict(Case now) {
        return new CasePages(now).verdict(now.verdict());
    }

    private CasePage page() {
        Advice advice = now.advice();
        List<Test.Check> first = now.stops().isEmpty() ? now.askedFirst() : List.of();
        boolean safety = !first.isEmpty() && now.diagnosis().repaired().isEmpty();
        boolean ask = safety || !advice.done() && !advice.proposals().isEmpty();
        List<Proposal> proposals = safety ? Stream.concat(now.planner().weigh(first, diagnosis, now.standing()).stream().limit(1),
                advice.proposals().stream()).toList() : advice.proposals();
        Advice.Purpose purpose = safety ? Advice.Purpose.SAFETY : advice.purpose();
        CircuitNow circuit = new CircuitNow(now, ask ? proposals.get(0).test().moment() : model.moments().get(0).id());
        TestPage next = ask ? TestPage.of(now, purpose, proposals.get(0), circuit) : null;
        List<HypothesisId> shown = shown();
        return new CasePage(now.lines().size(), now.unit().key(), Details.log(now),
                shown.stream().map(this::suspect).toList(), diagnosis.ranking().stream().skip(shown.size())
                .map(h -> diagnosis.hypothesis(h).label()).toList(), purpose, next,
                safety ? List.of() : advice.meanwhile().stream().map(p -> TestPage.line(pack, p)).toList(),
                proposals.stream().skip(ask ? 1 : 0).limit(MOST_OTHERS).map(p -> TestPage.line(pack, p)).toList(), verdict(advice.verdict()), TimingDiagram.of(diagnosis), circuit.aroundTheLikeliest(), circuit.aroundTheLeader(),
                now.changesIn().stream().map(filed -> new CasePage.Change(filed.id(),
                now.change((Entry.ChangeIn) filed.entry()), filed.madeAt())).toList(), now.powerCycled(),
                Contradiction.of(diagnosis).stream().map(this::contradiction).toList(),
                diagnosis.contradictions().stream().filter(LogLines::tellsWhat).map(log::what).toList(),
                diagnosis.unexplained(), advice.verdict().unlisted().stream().map(h -> diagnosis.hypothesis(h).label()).toList(),
                log.unknownCodes(), CommissioningPage.expected(now), sequence(), Details.taps(now), StopPage.of(now));
    }

    private List<HypothesisId> shown() {
        List<HypothesisId> ranking = diagnosis.ranking();
        long worth = ranking.stream().filter(h -> diagnosis.belief(h) >= WORTH_SHOWING).count();
        return ranking.subList(0, (int) Math.min(ranking.size(), Math.max(FEWEST_SUSPECTS, worth)));
    }

    private CasePage.Suspect suspect(HypothesisId id) {
        Hypothesis hypothesis = diagnosis.hypothesis(id);
        return new CasePage.Suspect(id.text(), hypothesis.label(), hypothesis.partLabel(), hypothesis.fault().kind(),
                hypothesis.blamesBoard(), diagnosis.belief(id), now.before().belief(id));
    }

    private CasePage.VerdictPage verdict(Verdict verdict) {
        Hypothesis leader = diagnosis.hypothesis(verdict.leader());
        return new CasePage.VerdictPage(verdict.status(), leader.label(), leader.partLabel(), leader.blamesBoard(),
                verdict.probability(), verdict.group().stream().skip(1).map(h -> diagnosis.hypothesis(h).label()).toList(),
                leader.remedy(), verdict.items().stream().map(this::proof).toList(),
                verdict.skipped().stream().map(ProofItem::what).toList(),
                verdict.untested().stream().map(part -> model.part(part).label()).toList(),
                verdict.damaged().stream().map(part -> model.part(part).label()).toList());
    }

    private CasePage.Proof proof(ProofItem item) {
        return new CasePage.Proof(item.what(), item.proven(), item.tests().isEmpty() ? null
                : line(pack.catalogue().test(item.tests().get(0))));
    }

    private TestLine line(Test test) {
        return TestPage.line(pack, test, TestCost.minutes(pack, test, Stand.AS_FOUND));
    }

    private CasePage.Contradicting contradiction(Contradiction c) {
        Test test = c.one() instanceof Observation.Reading r ? r.test() : ((Observation.Answer) c.one()).test();
        return new CasePage.Contradicting(log.what(c.one()), line(test), log.what(c.other()));
    }

    private List<CasePage.ChannelLine> sequence() {
        Map<String, Boolean> said = new LinkedHashMap<>();
        Map<String, Boolean> came = new LinkedHashMap<>();
        for (Entry entry : now.run()) {
            if (entry instanceof Entry.Seen seen) {
                said.put(seen.channel(), seen.begins());
                came.put(seen.channel(), seen.begins());
            } else if (entry instanceof Entry.Missed missed) {
                said.put(missed.channel(), false);
            }
        }
        HypothesisId nothing = pack.space().nothing();
        return SequenceModel.usual(pack).stream().map(channel -> {
            SequenceModel times = SequenceModel.of(pack, channel.id());
            List<Double> begins = times.edges(nothing, true);
            List<Double> ends = times.edges(nothing, false);
            return new CasePage.ChannelLine(channel.id(), channel.label(), begins,
                    begins.stream().map(SequenceModel::lateAfter).toList(), ends,
                    pack.seenInSequence().contains(channel), said.containsKey(channel.id()),
                    said.getOrDefault(channel.id(), false), Boolean.valueOf(begins.size() > ends.size()).equals(came.get(channel.id())));
        }).toList();
    }
}
