package bricksignal.core.diagnosis;

import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;

/**
 * A unit made ready to reason with: everything that may be the matter, every test, and what each hypothesis shows in each test.
 * Safe for use by several threads.
 */
public final class CompiledPack {

    /** Share of the work that the listed faults take, for the progress; the rest is for what no list names. */
    private static final double LISTED = 0.5;
    private static final long BYTES_OF_A_MODEL = 100_000;
    private static final long BYTES_OF_A_TEST = 600;

    private final UnitModel model;
    private final ErrorModel errors;
    private final VirtualUnit nominal;
    private final SequenceStory story;
    private final HypothesisSpace space;
    private final TestCatalogue catalogue;
    private final Runs runs;
    private final Predictions predictions;
    private final Map<UnitModel.Stage, ChannelRun.Span> stages = new LinkedHashMap<>();
    private final boolean shares;
    private final Columns columns;

    private CompiledPack(UnitModel model, ErrorModel errors, VirtualUnit nominal, SequenceStory story, HypothesisSpace space,
            TestCatalogue catalogue, Runs runs, Predictions predictions, boolean shares) {
        this.model = model;
        this.errors = errors;
        this.nominal = nominal;
        this.story = story;
        this.space = space;
        this.catalogue = catalogue;
        this.runs = runs;
        this.predictions = predictions;
        this.shares = shares;
        this.columns = new Columns(this);
        model.stages().forEach(stage -> nominal.usualRun().firstStretch(stage.when())
                .ifPresent(span -> stages.put(stage, new ChannelRun.Span(span[0], span[1]))));
    }

    /** Compiles a model. */
    public static CompiledPack of(UnitModel model, ErrorModel errors) {
        return of(model, errors, share -> { });
    }

    /**
     * Compiles a model.
     *
     * @param progress told now and then which share of the work is done, 0 to 1
     */
    public static CompiledPack of(UnitModel model, ErrorModel errors, DoubleConsumer progress) {
        return of(model, errors, new SolvedStates(), Runs.Keeps.ALL, progress);
    }

    /**
     * A board of this family with other times or values. Where its circuit is that of the family it shares all solved states;
     * otherwise none are kept, and a reading that no test foresees takes a run anew.
     *
     * @param other the family's model with the board's times and values
     * @param progress told now and then which share of the work is done, 0 to 1
     */
    public CompiledPack board(UnitModel other, DoubleConsumer progress) {
        boolean same = other.machine().circuit().elements().equals(model.machine().circuit().elements());
        return same ? of(other, errors, runs.solvedStates(), Runs.Keeps.WHAT_IT_SHARES, progress)
                : of(other, errors, new SolvedStates(), Runs.Keeps.RECORDS_ALONE, progress);
    }

    /**
     * Makes a model ready with what was recorded of its runs before: nothing but the unit in good order is run.
     *
     * @param records as {@link #records()} wrote them
     * @throws IllegalArgumentException if they were written of another unit
     */
    public static CompiledPack of(UnitModel model, ErrorModel errors, String records) {
        return made(model, errors, new SolvedStates(), Runs.Keeps.ALL, runs -> runs.recall(records));
    }

    /** The faults whose runs were recorded, by id. */
    public static Set<String> recorded(String records) {
        return RecordText.listed(records);
    }

    /** What was recorded of the runs of all listed faults and unlisted failures, as text. */
    public String records() {
        return runs.written();
    }

    private static CompiledPack of(UnitModel model, ErrorModel errors, SolvedStates solved, Runs.Keeps keeps,
            DoubleConsumer progress) {
        return made(model, errors, solved, keeps, runs -> {
            runs.run(share -> progress.accept(LISTED * share));
            runs.unlisted(share -> progress.accept(LISTED + (1 - LISTED) * share));
            runs.letGo();
            progress.accept(1);
        });
    }

    private static CompiledPack made(UnitModel model, ErrorModel errors, SolvedStates solved, Runs.Keeps keeps,
            Consumer<Runs> recording) {
        VirtualUnit nominal = VirtualUnit.of(model, model.machine(), solved);
        Map<String, Double> seconds = new LinkedHashMap<>();
        model.moments().forEach(moment -> seconds.put(moment.id(), nominal.secondsOf(moment)));
        SequenceStory story = new SequenceStory(model, nominal.usualRun());
        HypothesisSpace space = new HypothesisSpace(model);
        TestCatalogue catalogue = new TestCatalogue(model, seconds, ofTheRun(model, nominal, story));
        Runs runs = new Runs(model, space, catalogue, new Recorder(model, errors, catalogue, nominal), nominal, solved, keeps);
        recording.accept(runs);
        Predictions predictions = new Predictions(model, errors, space, catalogue, story, runs);
        return new CompiledPack(model, errors, nominal, story, space, catalogue, runs, predictions, false);
    }

    /** The tests that come out of the run of the unit in good order. */
    private static List<Test> ofTheRun(UnitModel model, VirtualUnit nominal, SequenceStory story) {
        List<Test> tests = new ArrayList<>(story.test());
        tests.addAll(RestTest.of(model, nominal, story.perceived()));
        tests.addAll(FeedTest.of(model, nominal));
        return tests;
    }

    /**
     * The same unit by other names: labels, colours and charts may differ, what happens in it may not. Runs nothing and shares all
     * that was computed.
     */
    public CompiledPack relabelled(UnitModel other) {
        Map<String, Double> seconds = new LinkedHashMap<>();
        model.moments().forEach(moment -> seconds.put(moment.id(), catalogue.seconds(moment.id())));
        return new CompiledPack(other, errors, nominal, story, space, new TestCatalogue(other, seconds, ofTheRun(other, nominal, story)),
                runs, predictions, true);
    }

    Columns columns() {
        return columns;
    }

    public UnitModel model() {
        return model;
    }

    public ErrorModel errors() {
        return errors;
    }

    /** The unit in good order. */
    public VirtualUnit nominal() {
        return nominal;
    }

    /** Everything that may be the matter. */
    public HypothesisSpace space() {
        return space;
    }

    /** Every test. */
    public TestCatalogue catalogue() {
        return catalogue;
    }

    /** What happened in the run of each hypothesis. */
    public Runs runs() {
        return runs;
    }

    /** What each hypothesis shows in each test. */
    public Predictions predictions() {
        return predictions;
    }

    /**
     * About how many bytes it takes that it shares with no other pack: by the number of its runs, tests and solved states, with
     * factors that were measured (docs/benchmarks.md). For holding packs by weight.
     */
    public long bytes() {
        long labels = BYTES_OF_A_MODEL + (long) catalogue.tests().size() * BYTES_OF_A_TEST;
        return (shares ? labels : labels + runs.bytes()) + columns.bytes();
    }

    /** Solved states of its circuit, to be shared by boards of the same wiring. */
    public SolvedStates solvedStates() {
        return runs.solvedStates();
    }

    /** A unit with a hypothesis in it, run anew: for a bench, or to look closer than the records of its run. */
    public VirtualUnit unit(HypothesisId id) {
        return runs.unit(id);
    }

    /** The stages that the unit in good order comes to in its usual run, and when. */
    Map<UnitModel.Stage, ChannelRun.Span> stages() {
        return stages;
    }

    /** What can be seen or heard to begin when the sequence is watched. */
    public List<UnitModel.Channel> seenInSequence() {
        return story.perceived();
    }

    /**
     * What a hypothesis most likely shows in a test, without noise: all that is seen where the test is to watch.
     */
    public List<Observation> likeliest(Test test, HypothesisId id) {
        Prediction prediction = predictions.of(test, id);
        if (prediction instanceof Prediction.Sometimes sometimes) {
            prediction = there(id) ? sometimes.present() : sometimes.absent();
        }
        if (test instanceof Test.Reading reading) {
            return List.of(new Observation.Reading(reading, ((Prediction.Number) prediction).mean()));
        }
        return test instanceof Test.Check check ? List.of(new Observation.Answer(check, ((Prediction.Chance) prediction).yes() >= 0.5))
                : seenOf(unit(there(id) ? id : space.nothing()));
    }

    /** True where it is there more often than not. */
    private boolean there(HypothesisId id) {
        return space.get(id).duty() >= 0.5;
    }

    /** What somebody sees of a unit who watches its sequence and misses nothing. */
    public List<Observation> seenOf(VirtualUnit unit) {
        return story.seen(unit.usualRun());
    }
}
