package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Expr;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What every hypothesis shows in every test: read off its virtual unit, or told by the pack where no physics can say it. Of each
 * run a record is kept; the run itself is not. Pairs and what no list names are run when first asked for. Safe for use by several
 * threads.
 */
public final class Predictions {

    private static final double RESEATED = 0.7;
    private static final double ANYTHING = 0.5;
    private static final double AS_FAR_AS_IT_IS_RUN = 0.5;
    private static final int MOST_FREE = 200;
    /** So many people work on units of one family at once that their pairs, 64 each, stay known. Ours. */
    private static final int MOST_PAIRS = 1000;
    private static final int MOST_PAIRS_OF_A_BOARD = 96;
    /** The circuits of so many runs are held for readings that no test foresees: all of a family's. */
    private static final int MOST_STANDING = 600;
    private static final long BYTES_OF_A_RUN = 6_000;
    private static final long BYTES_OF_A_PREDICTION = 40;
    private static final long BYTES_OF_A_BRIEF_RUN = 4_000;
    private static final long BYTES_OF_A_BRIEF_PREDICTION = 24;
    private static final long BYTES_OF_A_STATE = 5_000;
    /** Where nothing is run yet: so many states will be solved when all are asked for. Measured on the five families. */
    private static final long STATES_OF_A_RUN = 13;

    private final UnitModel model;
    private final ErrorModel errors;
    private final HypothesisSpace space;
    private final TestCatalogue catalogue;
    private final SequenceStory story;
    private final SolvedStates solved;
    private final Keeps keeps;
    private final VirtualUnit nominal;
    private final Recorder recorder;
    private final Map<HypothesisId, RunRecord> records = new ConcurrentHashMap<>();
    private final Recent<HypothesisId, Map<String, Solution>> standing = new Recent<>(MOST_STANDING);
    private final Map<String, Outcomes> outcomes = new ConcurrentHashMap<>();
    private final Recent<HypothesisId, RunRecord> pairs;
    private final Recent<HypothesisId, Loss> losses = new Recent<>(MOST_STANDING);
    private final Recent<Asked, Set<String>> asked = new Recent<>(MOST_STANDING);
    private final Recent<String, Map<HypothesisId, Prediction.Number>> free = new Recent<>(MOST_FREE);
    private volatile @Nullable List<Hypothesis> unlisted;

    Predictions(UnitModel model, ErrorModel errors, HypothesisSpace space, TestCatalogue catalogue, SequenceStory story,
            VirtualUnit nominal, SolvedStates solved, Keeps keeps) {
        this.model = model;
        this.errors = errors;
        this.space = space;
        this.catalogue = catalogue;
        this.story = story;
        this.nominal = nominal;
        this.solved = solved;
        this.keeps = keeps;
        this.pairs = new Recent<>(mostPairs());
        this.recorder = new Recorder(model, errors, catalogue, nominal);
        records.put(space.nothing(), recorder.nominal());
    }

    /** What stays in memory beside the records of the runs. */
    enum Keeps {
        /** Solved states of its own, and the circuit of each run at each moment: a family. */
        ALL,
        /** The same as far as another has them anyway: a board of the same circuit. */
        WHAT_IT_SHARES,
        /** Nothing: a board of a circuit of its own, of which there may be hundreds. */
        RECORDS_ALONE
    }

    /**
     * Runs every listed fault and takes down what it shows.
     *
     * @param progress told which share is done, 0 to 1, from several threads; what it throws breaks the work off
     */
    void run(DoubleConsumer progress) {
        Abreast.each(space.runs(), this::record, progress);
        solved.letFactorsGo();
    }

    /** What was recorded of every listed fault and unlisted failure, as text. */
    String written() {
        return RecordText.write(Stream.concat(space.runs().stream(), unlisted().stream().map(Hypothesis::id))
                .map(run -> new RecordText.Taken(run, record(run))).toList(), recorder.nominal());
    }

    /** Takes in what {@link #written} wrote; nothing is run. */
    void recall(String text) {
        Map<String, Fault> failures = new LinkedHashMap<>();
        UnlistedFailures.of(model, nominal).forEach(failure -> failures.put(failure.id(), failure));
        List<RecordText.Taken> all = RecordText.read(text, recorder.nominal());
        List<HypothesisId> listed = all.stream().map(RecordText.Taken::run).filter(run -> !(run instanceof HypothesisId.Unlisted)).toList();
        if (!listed.equals(space.runs())) {
            throw new IllegalArgumentException("the records are of another unit: they hold " + listed.size() + " faults where this one has "
                    + space.runs().size() + ", or others; take them anew");
        }
        unlisted = space.admit(all.stream().map(RecordText.Taken::run).filter(HypothesisId.Unlisted.class::isInstance)
                .map(run -> Known.in(failures, run.text())).toList());
        all.forEach(taken -> records.put(taken.run(), taken.record()));
        records.put(space.nothing(), recorder.nominal());
    }

    /** What the hypothesis shows in a test. */
    public Prediction of(Test test, HypothesisId id) {
        Hypothesis h = space.get(id);
        if (test instanceof Test.Sequence) {
            return new Prediction.Choice(story.told(record(h.run()), h.duty()));
        }
        return test instanceof Test.Reading reading ? number(h, reading, number(h.run(), reading)) : new Prediction.Chance(yes(h, (Test.Check) test));
    }

    /** What the hypothesis shows in a reading as long as no board has stopped; what it shows anyway where none does. */
    Prediction before(Test.Reading test, HypothesisId id) {
        Hypothesis h = space.get(id);
        int place = catalogue.place(test);
        Prediction.Number then = place < 0 ? null : record(h.run()).numbersBefore()[place];
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
            known = Outcomes.of(space, id -> of(test, id), errors);
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
        return mixed(space.get(id), Known.in(when.apply(record(space.get(id).run())), board), Known.in(when.apply(recorder.nominal()), board));
    }

    /** True if a run with this hypothesis in the unit is not as it should be. */
    public boolean fails(HypothesisId id) {
        return !record(space.get(id).run()).fails().isEmpty();
    }

    /** The most amperes that a load carries in the usual run. */
    public double peakAmps(HypothesisId id, String load) {
        return record(space.get(id).run()).peaks().getOrDefault(load, 0.0);
    }

    /** What goes in which order when it sets in while the unit runs. */
    Loss loss(HypothesisId run) {
        return losses.get(run, () -> Loss.of(model, nominal.usualRun(), space.get(run).in(model.machine()), solved.passing()));
    }

    /** The elements that a hypothesis takes with it while it stands, and that a new part would lose again: fuses, and what opens for good. */
    public Set<String> damage(HypothesisId id) {
        return record(space.get(id).run()).damage();
    }

    /** The moments at which a unit with a hypothesis in it means a contact of a board to be closed, and nothing has stopped it yet. */
    public Set<String> asked(HypothesisId id, Expr closed) {
        Asked key = new Asked(space.get(id).run(), closed);
        return asked.get(key, () -> {
            Set<String> moments = key.in(passing(id), nominal, catalogue, model.moments());
            solved.letFactorsGo();
            return moments;
        });
    }

    /** Seconds of running after which a unit with it dies in its usual run; NaN if it never comes on, or never dies. */
    double diesAfter(HypothesisId id) {
        Map<String, ChannelRun> good = recorder.nominal().channels();
        return record(space.get(id).run()).channels().entrySet().stream().flatMapToDouble(channel -> channel.getValue()
                .endsEarly(Known.in(good, channel.getKey()))).min().orElse(Double.NaN);
    }

    /** The failures that somebody would call about although no list names them: a run is not as it should be, and it settles. */
    public List<Hypothesis> unlisted() {
        return unlisted(share -> { });
    }

    /** The same; tells which share of the work is done, 0 to 1. */
    List<Hypothesis> unlisted(DoubleConsumer progress) {
        List<Hypothesis> known = unlisted;
        if (known == null) {
            synchronized (this) {
                known = unlisted == null ? found(progress) : unlisted;
                unlisted = known;
            }
        }
        return known;
    }

    /** When a channel is on in the usual run of a unit with this hypothesis in it. */
    ChannelRun channel(HypothesisId id, String channel) {
        return Known.in(record(space.get(id).run()).channels(), channel);
    }

    /** A unit with the hypothesis in it, run anew. */
    VirtualUnit unit(HypothesisId id) {
        return id.equals(space.nothing()) ? nominal : VirtualUnit.of(model, space.get(id).in(model.machine()), solved);
    }

    SolvedStates solvedStates() {
        return solved;
    }

    /** About how many bytes the records of the runs take, those of pairs that may yet come, and the solved states that they keep. */
    long bytes() {
        long tests = catalogue.tests().size();
        long brief = BYTES_OF_A_BRIEF_RUN + BYTES_OF_A_BRIEF_PREDICTION * tests;
        long run = keeps == Keeps.RECORDS_ALONE ? brief : BYTES_OF_A_RUN + BYTES_OF_A_PREDICTION * tests;
        long states = keeps == Keeps.ALL ? Math.max(solved.size(), STATES_OF_A_RUN * records.size()) : 0;
        return records.size() * run + mostPairs() * brief + states * BYTES_OF_A_STATE;
    }

    private int mostPairs() {
        return keeps == Keeps.ALL ? MOST_PAIRS : MOST_PAIRS_OF_A_BOARD;
    }

    /** Lets go of what it does not keep. */
    void letGo() {
        if (keeps == Keeps.RECORDS_ALONE) {
            solved.forget();
        }
    }

    private RunRecord record(HypothesisId run) {
        RunRecord known = records.get(run);
        if (known == null && run instanceof HypothesisId.Pair) {
            return pairs.get(run, () -> {
                RunRecord made = recorder.brief(passing(run));
                solved.letFactorsGo();
                return made;
            });
        }
        if (known == null) {
            RunRecord made = keptOf(unit(run));
            RunRecord first = records.putIfAbsent(run, made);
            known = first == null ? made : first;
        }
        return known;
    }

    private RunRecord keptOf(VirtualUnit unit) {
        return keeps == Keeps.RECORDS_ALONE ? recorder.brief(unit) : recorder.of(unit);
    }

    /** A unit that is run once more and let go. */
    private VirtualUnit passing(HypothesisId id) {
        return VirtualUnit.of(model, space.get(id).in(model.machine()), solved.passing());
    }

    private List<Hypothesis> found(DoubleConsumer progress) {
        List<Fault> all = UnlistedFailures.of(model, nominal);
        List<Optional<RunRecord>> kept = Abreast.each(all, this::ofAFailure, progress);
        List<Integer> felt = IntStream.range(0, all.size()).filter(i -> kept.get(i).isPresent()).boxed().toList();
        List<Hypothesis> admitted = space.admit(felt.stream().map(all::get).toList());
        for (int i = 0; i < felt.size(); i++) {
            records.put(admitted.get(i).id(), kept.get(felt.get(i)).orElseThrow());
        }
        solved.letFactorsGo();
        return admitted;
    }

    /** The record of a failure with which the unit settles and a run is not as it should be; empty for any other. */
    private Optional<RunRecord> ofAFailure(Fault failure) {
        VirtualUnit unit = VirtualUnit.of(model, failure.in(model.machine()), solved);
        boolean settles = model.watchedScenarios().stream().allMatch(s -> unit.settles(s.id()));
        return settles && Recorder.failing(model, unit, nominal).findAny().isPresent() ? Optional.of(keptOf(unit)) : Optional.empty();
    }

    /** What it shows where a run with it shows this number. */
    private Prediction number(Hypothesis h, Test.Reading reading, Prediction.Number present) {
        boolean unknownSize = h.unlisted() && h.fault().effects().stream().anyMatch(Predictions::hasASize);
        if (!h.intermittent() && !unknownSize) {
            return present;
        }
        Prediction.Number absent = number(space.nothing(), reading);
        if (unknownSize) {
            return ofUnknownSize(present, absent);
        }
        return present.equals(absent) ? present : new Prediction.Sometimes(present, absent, h.duty());
    }

    private Prediction.Number number(HypothesisId run, Test.Reading reading) {
        int place = catalogue.place(reading);
        Prediction.Number foreseen = place < 0 ? null : record(run).numbers()[place];
        if (foreseen != null) {
            return foreseen;
        }
        return free.get(reading.id(), ConcurrentHashMap::new).computeIfAbsent(run, id -> errors.spread(reading,
                VirtualUnit.shown(standing(id, reading.moment()), reading)));
    }

    /** The solved circuit at a moment of a run; where it is not kept the run is made anew. */
    private Solution standing(HypothesisId run, String moment) {
        Solution kept = record(run).standing().get(moment);
        if (kept != null) {
            return kept;
        }
        return keeps == Keeps.ALL && !(run instanceof HypothesisId.Pair)
                ? Known.in(standing.get(run, () -> recorder.standing(unit(run))), moment)
                : recorder.standing(passing(run), model.moment(moment));
    }

    private double yes(Hypothesis h, Test.Check check) {
        if (check.sense().tellsOfTime()) {
            return WatchTest.yes(check.sense(), !record(h.run()).fails().isEmpty(), h.duty(), h.fault().onset());
        }
        if (check.sense() == Test.Sense.COMPLAINT) {
            return ComplaintTest.yes(record(h.run()).fails(), model.moment(check.moment()).scenario());
        }
        double told = -1;
        for (Fault fault : h.faults()) {
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
        return check.otherwise() + record(run).shares()[catalogue.place(check)] * (1 - 2 * check.otherwise());
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
