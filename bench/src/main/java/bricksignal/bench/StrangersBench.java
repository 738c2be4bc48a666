package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.Composition;
import bricksignal.packs.PackReader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * {@code bin/bench strangers --seed N [--pack ID] [--usual] [--least-usual] [--withheld] [--wrong]}: visits to units that do not share our model, by people who do
 * not share our error model. The customer has told two things, or nobody is there to ask. Shares are 0 to 1, each visit weighted by the prior of its fault.
 */
final class StrangersBench {

    private static final int VISITS = 3;
    /** What a customer tells unasked, so many things that are so, as far as he is right. */
    private static final int TOLD = 2;
    private static final double LEAST_GONE = 0.5;

    /** Sums over visits. */
    private static final class Sums {
        private int runs;
        private double weight;
        private double right;
        private double saidSo;
        private double wrongProven;
        private double falseBoard;
        private double tests;
        private double minutes;

        private void add(double prior, boolean isRight, boolean condemned, Verdict.Status status, boolean board, ClosedLoop.Visit visit) {
            boolean unexplained = status == Verdict.Status.UNEXPLAINED;
            runs++;
            weight += prior;
            right += isRight && !unexplained ? prior : 0;
            saidSo += unexplained ? prior : 0;
            wrongProven += condemned ? prior : 0;
            falseBoard += !isRight && board && status != Verdict.Status.NOT_YET && !unexplained ? prior : 0;
            tests += prior * visit.tests();
            minutes += prior * visit.minutes();
        }

        private Map<String, Object> figures() {
            Map<String, Object> figures = new LinkedHashMap<>();
            figures.put("runs", runs);
            figures.put("right", right / weight);
            figures.put("saidSo", saidSo / weight);
            figures.put("rightOrSaidSo", (right + saidSo) / weight);
            figures.put("wrongProven", wrongProven / weight);
            figures.put("falseBoard", falseBoard / weight);
            figures.put("meanTests", tests / weight);
            figures.put("meanMinutes", minutes / weight);
            return figures;
        }
    }

    private StrangersBench() {
    }

    static Map<String, Object> run(long seed, List<Composition> compositions, boolean usual, boolean withheld, boolean showWrong) {
        Policy policy = Policy.defaults().with(usual ? School.USUAL : School.STRICT);
        Sums all = new Sums();
        Map<String, Object> packs = new LinkedHashMap<>();
        for (Composition composition : compositions) {
            Sums sums = new Sums();
            CompiledPack pack = CompiledPack.of(PackReader.read(Chosen.text(composition)), ErrorModel.defaults());
            ClosedLoop loop = new ClosedLoop(pack, policy);
            Strangers strangers = new Strangers(composition);
            int n = 0;
            for (Hypothesis fault : pack.space().faults()) {
                for (int visit = 0; visit < VISITS; visit++) {
                    visit(pack, loop, strangers, fault, seed * 1_000_003 + n++ * 7919L, withheld, List.of(sums, all), showWrong);
                }
            }
            packs.put(Chosen.name(composition), sums.figures());
            System.out.println(Chosen.name(composition) + " " + sums.figures());
        }
        System.out.println("all " + all.figures());
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("seed", seed);
        result.put("packs", packs);
        result.put("all", all.figures());
        return result;
    }

    private static void visit(CompiledPack pack, ClosedLoop loop, Strangers strangers, Hypothesis fault, long seed, boolean withheld, List<Sums> sums,
            boolean showWrong) {
        Random random = new Random(seed);
        UnitModel kind = strangers.kind(random);
        Technician stranger = new Technician(pack, fault.id(), random, kind, Strangers.drawn(kind, random),
                Habits.stranger(0.3 + 1.2 * random.nextDouble(), withheld ? -1 : TOLD), felt(pack, fault, random));
        ClosedLoop.Visit visit = loop.visited(stranger, new Random(~seed));
        Verdict verdict = visit.verdict();
        List<Part> named = pack.space().get(verdict.leader()).parts();
        boolean right = named.contains(fault.part()) || verdict.group().stream().map(h -> pack.space().get(h)).map(Hypothesis::part)
                .anyMatch(fault.part()::equals);
        boolean condemned = !right && verdict.status() == Verdict.Status.PROVEN && !pack.space().get(verdict.leader()).nothing();
        boolean board = named.stream().anyMatch(part -> part.kind() == Part.Kind.BOARD);
        sums.forEach(s -> s.add(fault.prior(), right, condemned, verdict.status(), board, visit));
        if (showWrong && !right && verdict.status() != Verdict.Status.UNEXPLAINED) {
            HypothesisId leader = verdict.leader();
            System.out.printf("  wrong: %s taken for %s, %s at %.3f after %d tests%n", fault.id().text(), leader.text(), verdict.status(),
                    verdict.probability(), visit.tests());
            visit.diagnosis().observations().forEach(seen -> System.out.printf("    %8.2g times as likely as in truth: %s%n",
                    visit.diagnosis().likelihood(seen, leader) / visit.diagnosis().likelihood(seen, fault.id()), told(seen)));
        }
    }

    /** How far the fault has gone: anywhere from half the way on, where somebody would call about half. */
    private static double felt(CompiledPack pack, Hypothesis fault, Random random) {
        double gone = LEAST_GONE + (1 - LEAST_GONE) * random.nextDouble();
        HypothesisId half = new HypothesisId.Milder(fault.fault().id());
        return pack.space().considered().stream().anyMatch(h -> h.id().equals(half)) && !pack.runs().fails(half) ? 1 : gone;
    }

    private static String told(Observation seen) {
        return seen instanceof Observation.Reading reading ? reading.test().id() + " reads " + reading.value()
                : seen instanceof Observation.Answer answer ? answer.test().id() + (answer.yes() ? " yes" : " no") : seen.toString();
    }
}
