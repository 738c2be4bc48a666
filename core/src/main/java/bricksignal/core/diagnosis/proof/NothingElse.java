package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Effect;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The list of faults of a pack is never complete. Before a part is condemned, no other failure that the physics of the unit
 * allows may explain the log as well as the fault of that part does, where a test can tell the two apart. How probable the other
 * is beforehand does not count here: nobody knows. Before a board is condemned the same is asked of the listed faults.
 */
final class NothingElse {

    private static final double AS_WELL = 0.05;
    /** The same for the strict school. */
    private static final double AS_WELL_STRICT = 0.01;
    /** Less than what one misread lamp or reading costs a hypothesis: no single misread condemns a board. */
    private static final double AS_WELL_AS_A_BOARD = 0.001;
    private static final double TOLD_APART = 0.3;
    private static final int MOST = 3;
    private static final double EXPLAINS = 0.1;
    private static final double NEAR_BEST = 0.2;

    private final Diagnosis diagnosis;
    private final CompiledPack pack;

    private NothingElse(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
    }

    /** One item for each of the heaviest rivals that some test could still tell from the leader. */
    static List<ProofItem> items(Diagnosis diagnosis, HypothesisId leader) {
        return new NothingElse(diagnosis).rivals(leader);
    }

    /** The unlisted failures that explain the log best; none where the best explains no more than the list does. */
    static List<HypothesisId> wouldExplain(Diagnosis diagnosis) {
        double best = diagnosis.unlisted().values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
        return diagnosis.unlisted().entrySet().stream().filter(entry -> best > EXPLAINS && entry.getValue() >= NEAR_BEST * best)
                .limit(MOST).map(Map.Entry::getKey).toList();
    }

    private List<ProofItem> rivals(HypothesisId leader) {
        Hypothesis named = pack.space().get(leader);
        double asWell = (named.blamesBoard() ? AS_WELL_AS_A_BOARD : AS_WELL_STRICT) * diagnosis.belief(leader) / named.prior();
        double usually = AS_WELL * diagnosis.belief(leader) / named.prior();
        Set<String> own = touchedBy(named.parts());
        List<ProofItem> items = new ArrayList<>();
        for (Map.Entry<HypothesisId, Double> other : fits(named.blamesBoard())) {
            Hypothesis rival = pack.space().get(other.getKey());
            boolean elsewhere = rival.fault().effects().stream().noneMatch(effect -> own.contains(place(effect))) || doesTheSame(named, rival);
            if (other.getValue() > asWell && elsewhere && items.size() < MOST) {
                List<String> tests = new Log(diagnosis).cheapest(test -> !diagnosis.answered(test) && !repairsOrWaits(test)
                        && pack.predictions().outcomes(test).common(leader, diagnosis.now(pack.space().cause(other.getKey()))) < TOLD_APART);
                if (!tests.isEmpty()) {
                    ProofItem item = new ProofItem(Message.of("proof.nothing-else", rival.label()), false, tests);
                    items.add(other.getValue() > usually ? item : item.strict());
                }
            }
        }
        return items;
    }

    /**
     * How well others explain the log, whatever their prior, best first: the unlisted failures, and before a board is condemned
     * the listed faults too.
     */
    private List<Map.Entry<HypothesisId, Double>> fits(boolean board) {
        Map<HypothesisId, Double> fits = new LinkedHashMap<>();
        diagnosis.unlisted().forEach((id, odds) -> fits.put(id, odds / pack.space().get(id).prior()));
        if (!board) {
            Hypothesis named = pack.space().get(diagnosis.leader());
            pack.space().faults().stream().filter(h -> doesTheSame(named, h)).map(h -> pack.space().get(diagnosis.now(h.id())))
                    .forEach(h -> fits.put(h.id(), diagnosis.belief(h.id()) / h.prior()));
        } else {
            pack.space().faults().stream().map(h -> pack.space().get(diagnosis.now(h.id()))).forEach(h -> fits.put(h.id(), diagnosis.belief(h.id()) / h.prior()));
        }
        return fits.entrySet().stream().sorted(Map.Entry.<HypothesisId, Double>comparingByValue().reversed()).toList();
    }

    /**
     * True where another part fails in the same way at the same place, or at another pin of the same plug: a terminal and the joint behind it, a cable and what
     * was wired into it, one wire of a harness and the joints behind all of its plug.
     */
    private boolean doesTheSame(Hypothesis named, Hypothesis rival) {
        List<Effect> effects = named.fault().effects();
        return !effects.isEmpty() && rival.parts().stream().noneMatch(named.parts()::contains)
                && (rival.fault().effects().containsAll(effects) || pack.model().connectors().stream().anyMatch(plug -> isAt(plug, named) && isAt(plug, rival)));
    }

    private boolean isAt(UnitModel.Connector plug, Hypothesis some) {
        return !some.nothing() && some.fault().effects().stream().allMatch(effect -> effect instanceof Effect.OnElement on && plug.conductors().contains(on.element()));
    }

    private static boolean repairsOrWaits(Test test) {
        return test instanceof Test.Check check && (check.sense().changesAPart() || check.sense().watches());
    }

    /** Elements, parameters and inputs that belong to the parts: what their faults touch, and the pins beside it. */
    private Set<String> touchedBy(List<Part> parts) {
        Set<String> own = new LinkedHashSet<>();
        for (Part part : parts) {
            for (Fault fault : pack.model().faults()) {
                if (fault.part().equals(part.id())) {
                    fault.effects().forEach(effect -> own.add(place(effect)));
                }
            }
        }
        pack.model().parts().stream().filter(part -> !parts.contains(part)).forEach(part -> own.removeAll(part.elements()));
        parts.forEach(part -> {
            own.addAll(part.elements());
            own.add(part.board());
        });
        for (UnitModel.Connector connector : pack.model().connectors()) {
            if (connector.conductors().stream().anyMatch(own::contains)) {
                own.addAll(connector.conductors());
            }
        }
        return own;
    }

    private String place(Effect effect) {
        if (effect instanceof Effect.OnElement on) {
            return on.element();
        } else if (effect instanceof Effect.OnParameter on) {
            return on.parameter();
        } else if (effect instanceof Effect.OnAction on) {
            return on.action();
        } else if (effect instanceof Effect.BoardDead dead) {
            return dead.board();
        } else if (effect instanceof Effect.BoardFrozen frozen) {
            return frozen.board();
        } else if (effect instanceof Effect.Grounded grounded) {
            return grounded.load();
        }
        String input = ((Effect.InputDeaf) effect).input();
        return pack.model().machine().boards().stream().filter(board -> board.senses(input)).findFirst().orElseThrow().id();
    }
}
