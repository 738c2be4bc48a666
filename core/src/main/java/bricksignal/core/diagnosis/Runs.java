package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.Expr;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The runs of all that may be the matter with a unit. Of each a record is kept; the run itself is not. Pairs and what no list names
 * are run when first asked for. Safe for use by several threads.
 */
public final class Runs {

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
    private final HypothesisSpace space;
    private final TestCatalogue catalogue;
    private final SolvedStates solved;
    private final Keeps keeps;
    private final VirtualUnit nominal;
    private final Recorder recorder;
    private final Map<HypothesisId, RunRecord> records = new ConcurrentHashMap<>();
    private final Recent<HypothesisId, Map<String, Solution>> standing = new Recent<>(MOST_STANDING);
    private final Recent<HypothesisId, RunRecord> pairs;
    private final Recent<HypothesisId, Loss> losses = new Recent<>(MOST_STANDING);
    private final Recent<Asked, Set<String>> asked = new Recent<>(MOST_STANDING);
    private volatile @Nullable List<Hypothesis> unlisted;

    Runs(UnitModel model, HypothesisSpace space, TestCatalogue catalogue, Recorder recorder, VirtualUnit nominal, SolvedStates solved,
            Keeps keeps) {
        this.model = model;
        this.space = space;
        this.catalogue = catalogue;
        this.recorder = recorder;
        this.nominal = nominal;
        this.solved = solved;
        this.keeps = keeps;
        this.pairs = new Recent<>(mostPairs());
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

    /** What was taken down of a run: of a hypothesis that is there all the time. */
    RunRecord record(HypothesisId run) {
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

    /** The solved circuit at a moment of a run; where it is not kept the run is made anew. */
    Solution standing(HypothesisId run, String moment) {
        Solution kept = record(run).standing().get(moment);
        if (kept != null) {
            return kept;
        }
        return keeps == Keeps.ALL && !(run instanceof HypothesisId.Pair)
                ? Known.in(standing.get(run, () -> recorder.standing(unit(run))), moment)
                : recorder.standing(passing(run), model.moment(moment));
    }
}
