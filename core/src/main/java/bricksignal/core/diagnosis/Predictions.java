package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * What every hypothesis shows in every test: read off the record of its run, or told by the pack where no physics can say it. Safe
 * for use by several threads.
 */
public final class Predictions {

    private static final double RESEATED = 0.7;
    /** A new fuse was put in, or a button pressed in, and nobody told (from memory). */
    private static final double UNTOLD = 0.05;
    private static final double ANYTHING = 0.5;
    private static final double AS_FAR_AS_IT_IS_RUN = 0.5;
    /** What is dangerous to breathe is not everywhere and not always where it is measured: one zero does not say that there is none (from memory). */
    private static final double DANGER_SHOWS = 0.8;
    /** A map's entry, and a number where it is no other's. */
    private static final long BYTES_OF_A_FREE_NUMBER = 72;

    private final UnitModel model;
    private final ErrorModel errors;
    private final HypothesisSpace space;
    private final TestCatalogue catalogue;
    private final SequenceStory story;
    private final Runs runs;
    private final Map<String, Outcomes> outcomes = new ConcurrentHashMap<>();
    private final Shelf shelf;
    private final Shelf.Row<String, Map<HypothesisId, Prediction.Number>> free;

    Predictions(UnitModel model, ErrorModel errors, HypothesisSpace space, TestCatalogue catalogue, SequenceStory story, Runs runs, Shelf shelf) {
        this.model = model;
        this.errors = errors;
        this.space = space;
        this.catalogue = catalogue;
        this.story = story;
        this.runs = runs;
        this.shelf = shelf;
        this.free = shelf.row(numbers -> BYTES_OF_A_FREE_NUMBER * numbers.size());
    }

    /** What the hypothesis shows in a test. */
    public Prediction of(Test test, HypothesisId id) {
        Hypothesis h = space.get(id);
        if (test instanceof Test.Sequence) {
            return new Prediction.Choice(story.told(runs.record(h.run()), h.duty()));
        }
        return test instanceof Test.Reading reading ? number(h, reading, number(h.run(), reading)) : new Prediction.Chance(yes(h, (Test.Check) test));
    }

    /** What the hypothesis shows in a reading at a unit whose boards stop so; what it shows anyway where none does. */
    Prediction of(Test.Reading test, HypothesisId id, Stopping stopping) {
        Hypothesis h = space.get(id);
        int place = catalogue.place(test);
        Prediction.Number then = place < 0 ? null : runs.record(h.run()).numbers(stopping)[place];
        return then == null ? of(test, id) : number(h, test, then);
    }

    /** What the unit in good order shows. */
    public Prediction nominal(Test test) {
        return of(test, space.nothing());
    }

    /** What the unit in good order shows in a reading, in the unit of its mode; infinite for an open resistance. */
    public double nominalValue(Test.Reading test) {
        return number(space.nothing(), test).mean();
    }

    /** The distinct outcomes of a test and how likely each hypothesis makes them. */
    public Outcomes outcomes(Test test) {
        Outcomes known = outcomes.get(test.id());
        if (known == null) {
            known = Outcomes.of(space, id -> of(test, id), errors, shelf);
            if (catalogue.place(test) >= 0) {
                outcomes.put(test.id(), known);
            }
        }
        return known;
    }

    /** The patterns that a board's lamp shows when it is found, with their shares of the time. */
    public Map<LampPattern, Double> lampShares(HypothesisId id, String board) {
        return lamp(id, board, RunRecord::found);
    }

    /** The same where the complaint is of that call. */
    Map<LampPattern, Double> lampSharesIn(String call, HypothesisId id, String board) {
        return lamp(id, board, run -> Known.in(run.called(), call));
    }

    /** The same before a board has stopped; as found where none does. */
    Map<LampPattern, Double> lampSharesBefore(HypothesisId id, String board) {
        return lamp(id, board, RunRecord::foundBefore);
    }

    /** The same where the power was cycled before anybody looked: the unit may be anywhere in its run. */
    public Map<LampPattern, Double> lampSharesAfterReset(HypothesisId id, String board) {
        return lamp(id, board, RunRecord::afterReset);
    }

    private Map<LampPattern, Double> lamp(HypothesisId id, String board, Function<RunRecord, Map<String, Map<LampPattern, Double>>> when) {
        return mixed(space.get(id), Known.in(when.apply(runs.record(space.get(id).run())), board), Known.in(when.apply(runs.record(space.nothing())), board));
    }

    /** What it shows where a run with it shows this number. */
    private Prediction number(Hypothesis h, Test.Reading reading, Prediction.Number present) {
        if (h.id() instanceof HypothesisId.Spent spent && number(space.get(spent.of()), reading, number(space.get(spent.of()).run(), reading)) instanceof Prediction.Number fresh) {
            return present.equals(fresh) ? present : new Prediction.Sometimes(present, fresh, 1 - UNTOLD);
        }
        Prediction.Number absent = number(space.nothing(), reading);
        if (present.equals(absent)) {
            return present;
        }
        if (h.intermittent()) {
            return new Prediction.Sometimes(present, absent, h.duty());
        }
        if (model.dangers().levels().containsKey(reading.id())) {
            return new Prediction.Sometimes(present, absent, DANGER_SHOWS);
        }
        return h.unlisted() && h.fault().effects().stream().anyMatch(Predictions::hasASize) ? ofUnknownSize(present, absent) : present;
    }

    private Prediction.Number number(HypothesisId run, Test.Reading reading) {
        int place = catalogue.place(reading);
        Prediction.Number foreseen = place < 0 ? null : runs.record(run).numbers()[place];
        if (foreseen != null) {
            return foreseen;
        }
        Prediction.Number known = free.get(reading.id(), () -> everywhere(reading)).get(run);
        return known == null ? errors.spread(reading, VirtualUnit.shown(model, runs.standing(run, reading.moment()), reading)) : known;
    }

    /** What a reading that no test foresees shows in each run of which there is a record; circuits that stand alike are solved once. */
    private Map<HypothesisId, Prediction.Number> everywhere(Test.Reading reading) {
        Map<List<Element>, Prediction.Number> alike = new HashMap<>();
        Map<HypothesisId, Prediction.Number> numbers = new HashMap<>();
        for (HypothesisId run : runs.recorded()) {
            Circuit standing = runs.standing(run, reading.moment());
            numbers.put(run, alike.computeIfAbsent(standing.elements(), elements -> errors.spread(reading, VirtualUnit.shown(model, standing, reading))));
        }
        return numbers;
    }

    private double yes(Hypothesis h, Test.Check check) {
        if (h.id() instanceof HypothesisId.Spent spent) {
            double untold = yes(space.get(spent.of()), check);
            return check.renews().isPresent() ? untold : UNTOLD * untold + (1 - UNTOLD) * asItStands(h, check);
        }
        return asItStands(h, check);
    }

    private double asItStands(Hypothesis h, Test.Check check) {
        if (check.sense().tellsOfTime()) {
            return WatchTest.yes(check.sense(), !runs.record(h.run()).fails().isEmpty(), h.duty(), h.fault().onset());
        }
        if (CustomerTest.asks(check)) {
            Hypothesis run = space.get(h.run());
            return CustomerTest.yes(model, check, h, new CustomerTest.Records(runs.record(h.run()), runs.record(space.nothing())),
                    (finds, good) -> asItStands(good ? space.get(space.nothing()) : run, finds));
        }
        if (check.sense() == Test.Sense.COMPLAINT) {
            return ComplaintTest.yes(runs.record(h.run()).fails(), model.moment(check.moment()).scenario());
        }
        if (check.renews().filter(element -> h.faults().size() == 1 && space.cures(element, h.fault())).isPresent()) {
            return 1 - check.otherwise();
        }
        if (check.renews().isPresent() && h.id() instanceof HypothesisId.Pair pair) {
            HypothesisId without = space.standing(pair, new Standing(Set.of(), false, Set.of(check.renews().get())));
            if (!without.equals(pair)) {
                return asItStands(space.get(space.cause(without)), check);
            }
        }
        double told = -1;
        for (Fault fault : h.id() instanceof HypothesisId.Renewed ? List.<Fault>of() : h.faults()) {
            told = Math.max(told, check.tells().getOrDefault(fault.id(), -1.0));
        }
        if (told >= 0) {
            return told;
        }
        if (check.when() == null) {
            return h.unlisted() ? untold(h.fault(), check) : check.otherwise();
        }
        double present = share(h.run(), check);
        return h.intermittent() ? h.duty() * present + (1 - h.duty()) * share(space.nothing(), check) : present;
    }

    private double share(HypothesisId run, Test.Check check) {
        return check.otherwise() + runs.record(run).shares()[catalogue.place(check)] * (1 - 2 * check.otherwise());
    }

    private static boolean hasASize(Effect effect) {
        return effect instanceof Effect.OnParameter || effect instanceof Effect.OnElement on
                && (on.mode() == Effect.Mode.SCALED || on.mode() == Effect.Mode.SHORTED);
    }

    /** Nobody knows how far an unlisted failure has gone: as far as it is run, or half the way it takes the reading is its spread. */
    private static Prediction ofUnknownSize(Prediction.Number present, Prediction.Number nominal) {
        boolean open = Double.isInfinite(present.mean()) || Double.isInfinite(nominal.mean());
        return open || present.equals(nominal) ? present : new Prediction.Sometimes(present, new Prediction.Number(present.mean(),
                Math.hypot(present.sigma(), (present.mean() - nominal.mean()) / 2)), AS_FAR_AS_IT_IS_RUN);
    }


    /** What a check shows that the pack explains for its own faults only: reseating its pin tells, a look may show anything. */
    private double untold(Fault failure, Test.Check check) {
        return switch (check.sense()) {
            case SWAP, SUBSTITUTE -> isOneOf(SwapTest.part(model, check).elements(), failure) ? SwapTest.TELLS : check.otherwise();
            case RESEAT -> isOneOf(model.connector(check.connector()).conductors(), failure) ? RESEATED : check.otherwise();
            default -> ANYTHING;
        };
    }

    private static boolean isOneOf(List<String> elements, Fault failure) {
        return failure.effects().stream().anyMatch(effect -> effect instanceof Effect.OnElement on
                && elements.contains(on.element()));
    }

    private static Map<LampPattern, Double> mixed(Hypothesis h, Map<LampPattern, Double> present,
            Map<LampPattern, Double> absent) {
        if (!h.intermittent()) {
            return present;
        }
        Map<LampPattern, Double> shares = new LinkedHashMap<>();
        present.forEach((pattern, share) -> shares.merge(pattern, h.duty() * share, Double::sum));
        absent.forEach((pattern, share) -> shares.merge(pattern, (1 - h.duty()) * share, Double::sum));
        return shares;
    }
}
