package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Positions;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.Circuit;
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

    /** Measured over all compositions (docs/benchmarks.md): a run with its lamps, channels and contacts, and each number of it that is its own. */
    private static final long BYTES_OF_A_RUN = 9_000;
    private static final long BYTES_OF_A_PREDICTION = 60;
    private static final long BYTES_OF_A_STATE = 5_000;
    /** A map's entry with its name and number. */
    private static final long BYTES_OF_A_LOST_POINT = 80;

    private final UnitModel model;
    private final HypothesisSpace space;
    private final TestCatalogue catalogue;
    private final SolvedStates solved;
    private final VirtualUnit nominal;
    private final Recorder recorder;
    private final Map<HypothesisId, RunRecord> records = new ConcurrentHashMap<>();
    private final Shelf.Row<HypothesisId, RunRecord> pairs;
    private final Shelf.Row<HypothesisId, Loss> losses;
    private final Shelf.Row<Asked, Set<String>> asked;
    private volatile @Nullable List<Hypothesis> unlisted;

    Runs(UnitModel model, HypothesisSpace space, TestCatalogue catalogue, Recorder recorder, VirtualUnit nominal, SolvedStates solved,
            Shelf shelf) {
        this.model = model;
        this.space = space;
        this.catalogue = catalogue;
        this.recorder = recorder;
        this.nominal = nominal;
        this.solved = solved;
        this.pairs = shelf.row(pair -> bytesOfARun());
        this.losses = shelf.row(loss -> BYTES_OF_A_LOST_POINT * (1 + loss.after().size()));
        this.asked = shelf.row(moments -> BYTES_OF_A_LOST_POINT * (1 + moments.size()));
        records.put(space.nothing(), recorder.nominal());
    }

    /**
     * Runs every listed fault and takes down what it shows.
     *
     * @param progress told which share is done, 0 to 1, from several threads; what it throws breaks the work off
     */
    void run(DoubleConsumer progress) {
        List<HypothesisId> runs = space.runs();
        Abreast.each(runs, this::record, progress);
        runs.forEach(this::takes);
    }

    /** A cause that takes something with it is also found with it gone, and that is run too. */
    private void takes(HypothesisId run) {
        Set<String> gone = record(run).damage();
        if (!gone.isEmpty()) {
            space.takes(run, gone);
            record(new HypothesisId.Spent(run));
        }
    }

    /** What was recorded of every listed fault and unlisted failure, as text. */
    String written() {
        List<HypothesisId> runs = Stream.concat(space.runs().stream(), unlisted().stream().map(Hypothesis::id)).toList();
        return RecordText.write(Stream.concat(runs.stream(), runs.stream().filter(run -> !record(run).damage().isEmpty()).map(HypothesisId.Spent::new))
                .map(run -> new RecordText.Taken(run, record(run))).toList(), recorder.nominal());
    }

    /** Takes in what {@link #written} wrote; nothing is run. */
    void recall(String text) {
        Map<String, Fault> failures = new LinkedHashMap<>();
        UnlistedFailures.of(model, nominal).forEach(failure -> failures.put(failure.id(), failure));
        List<RecordText.Taken> all = RecordText.read(text, recorder.nominal());
        List<HypothesisId> listed = all.stream().map(RecordText.Taken::run).filter(run -> !(run instanceof HypothesisId.Unlisted)
                && !(run instanceof HypothesisId.Spent)).toList();
        if (!listed.equals(space.runs())) {
            throw new IllegalArgumentException("the records are of another unit: they hold " + listed.size() + " faults where this one has "
                    + space.runs().size() + ", or others; take them anew");
        }
        unlisted = space.admit(all.stream().map(RecordText.Taken::run).filter(HypothesisId.Unlisted.class::isInstance)
                .map(run -> Known.in(failures, run.text())).toList());
        all.forEach(taken -> records.put(taken.run(), taken.record()));
        records.put(space.nothing(), recorder.nominal());
        all.stream().filter(taken -> !taken.record().damage().isEmpty()).forEach(taken -> space.takes(taken.run(), taken.record().damage()));
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
        return record(space.get(space.get(id).cause()).run()).damage();
    }

    /** The moments at which a unit with a hypothesis in it means a contact of a board to be closed, and nothing has stopped it yet. */
    public Set<String> asked(HypothesisId id, Expr closed) {
        Asked key = new Asked(space.get(id).run(), closed);
        return asked.get(key, () -> key.in(unit(id), nominal, catalogue, model.moments()));
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
        return id.equals(space.nothing()) ? nominal : VirtualUnit.of(model, space.get(id).in(model.machine()), solved.passing());
    }

    SolvedStates solvedStates() {
        return solved;
    }

    /** About how many bytes the records of the runs take, and the solved states of the unit in good order. */
    long bytes() {
        return records.size() * bytesOfARun() + solved.size() * BYTES_OF_A_STATE;
    }

    private long bytesOfARun() {
        return BYTES_OF_A_RUN + BYTES_OF_A_PREDICTION * catalogue.tests().size();
    }

    /** The runs of which a record is kept: of all that is listed, and of what no list names once it was asked for. */
    List<HypothesisId> recorded() {
        return List.copyOf(records.keySet());
    }

    /** What was taken down of a run: of a hypothesis that is there all the time. */
    RunRecord record(HypothesisId run) {
        RunRecord known = records.get(run);
        if (known == null && run instanceof HypothesisId.Pair) {
            return pairs.get(run, () -> recorder.of(unit(run)));
        }
        if (known == null) {
            RunRecord made = recorder.of(unit(run));
            RunRecord first = records.putIfAbsent(run, made);
            known = first == null ? made : first;
        }
        return known;
    }

    private List<Hypothesis> found(DoubleConsumer progress) {
        List<Fault> all = UnlistedFailures.of(model, nominal);
        List<Optional<RunRecord>> kept = Abreast.each(all, this::ofAFailure, progress);
        List<Integer> felt = IntStream.range(0, all.size()).filter(i -> kept.get(i).isPresent()).boxed().toList();
        List<Hypothesis> admitted = space.admit(felt.stream().map(all::get).toList());
        for (int i = 0; i < felt.size(); i++) {
            records.put(admitted.get(i).id(), kept.get(felt.get(i)).orElseThrow());
            takes(admitted.get(i).id());
        }
        return admitted;
    }

    /** The record of a failure with which the unit settles and a run is not as it should be; empty for any other. */
    private Optional<RunRecord> ofAFailure(Fault failure) {
        VirtualUnit unit = VirtualUnit.of(model, failure.in(model.machine()), solved.passing());
        boolean settles = model.watchedScenarios().stream().allMatch(s -> unit.settles(s.id()));
        return settles && Recorder.failing(model, unit, nominal).findAny().isPresent() ? Optional.of(recorder.of(unit)) : Optional.empty();
    }

    /** How the circuit stands at a moment of a run. */
    Circuit standing(HypothesisId run, String moment) {
        return Positions.apply(space.get(run).in(model.machine()).circuit(), Known.in(record(run).standing(), moment));
    }
}
