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
    private static final long BYTES_OF_A_MODEL = 300_000;
    private static final long BYTES_OF_A_TEST = 600;
    /** What a test shows under a hypothesis, as a reference to chances that are mostly shared. */
    private static final long BYTES_OF_AN_OUTCOME = 6;

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
    private final Shelf shelf;
    private final Columns columns;

    private CompiledPack(UnitModel model, ErrorModel errors, VirtualUnit nominal, SequenceStory story, HypothesisSpace space,
            TestCatalogue catalogue, Runs runs, Predictions predictions, boolean shares, Shelf shelf) {
        this.model = model;
        this.errors = errors;
        this.nominal = nominal;
        this.story = story;
        this.space = space;
        this.catalogue = catalogue;
        this.runs = runs;
        this.predictions = predictions;
        this.shares = shares;
        this.shelf = shelf;
        this.columns = new Columns(this, shelf);
        model.stages().forEach(stage -> nominal.usualRun().firstStretch(stage.when())
                .ifPresent(span -> stages.put(stage, new ChannelRun.Span(span[0], span[1]))));
    }

    /** Compiles a model, with a shelf of its own. */
    public static CompiledPack of(UnitModel model, ErrorModel errors) {
        return of(model, errors, Shelf.usual(), share -> { });
    }

    /**
     * Compiles a model.
     *
     * @param shelf where what can be worked out again is held, beside that of other units
     * @param progress told now and then which share of the work is done, 0 to 1
     */
    public static CompiledPack of(UnitModel model, ErrorModel errors, Shelf shelf, DoubleConsumer progress) {
        return made(model, errors, new SolvedStates(), shelf, running(progress));
    }

    /**
     * A board of this family with other times or values; it uses the solved states of the family where its circuit is the same.
     *
     * @param other the family's model with the board's times and values
     * @param progress told now and then which share of the work is done, 0 to 1
     */
    public CompiledPack board(UnitModel other, DoubleConsumer progress) {
        return made(other, errors, runs.solvedStates().passing(), shelf, running(progress));
    }

    /**
     * Makes a model ready with what was recorded of its runs before: nothing but the unit in good order is run.
     *
     * @param shelf where what can be worked out again is held, beside that of other units
     * @param records as {@link #records()} wrote them
     * @throws IllegalArgumentException if they were written of another unit
     */
    public static CompiledPack of(UnitModel model, ErrorModel errors, Shelf shelf, String records) {
        return made(model, errors, new SolvedStates(), shelf, runs -> runs.recall(records));
    }

    /** The faults whose runs were recorded, by id. */
    public static Set<String> recorded(String records) {
        return RecordText.listed(records);
    }

    /** What was recorded of the runs of all listed faults and unlisted failures, as text. */
    public String records() {
        return runs.written();
    }

    private static Consumer<Runs> running(DoubleConsumer progress) {
        return runs -> {
            runs.run(share -> progress.accept(LISTED * share));
            runs.unlisted(share -> progress.accept(LISTED + (1 - LISTED) * share));
            progress.accept(1);
        };
    }

    private static CompiledPack made(UnitModel model, ErrorModel errors, SolvedStates solved, Shelf shelf, Consumer<Runs> recording) {
        VirtualUnit nominal = VirtualUnit.of(model, model.machine(), solved);
        Map<String, Double> seconds = new LinkedHashMap<>();
        model.moments().forEach(moment -> seconds.put(moment.id(), nominal.secondsOf(moment)));
        SequenceStory story = new SequenceStory(model, nominal.usualRun());
        HypothesisSpace space = new HypothesisSpace(model);
        TestCatalogue catalogue = new TestCatalogue(model, seconds, nominal, ofTheRun(model, nominal, story));
        Runs runs = new Runs(model, space, catalogue, new Recorder(model, errors, catalogue, nominal), nominal, solved, shelf);
        recording.accept(runs);
        solved.rest();
        Predictions predictions = new Predictions(model, errors, space, catalogue, story, runs, shelf);
        return new CompiledPack(model, errors, nominal, story, space, catalogue, runs, predictions, false, shelf);
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
        return new CompiledPack(other, errors, nominal, story, space, new TestCatalogue(other, seconds, nominal, ofTheRun(other, nominal, story)),
                runs, predictions, true, shelf);
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
     * About how many bytes it takes that it shares with no other pack, what will be worked out for its tests among it: by the number of
     * its runs, tests and solved states, with factors that were measured (docs/benchmarks.md). For holding packs by weight; what it
     * puts on the shelf is counted there.
     */
    public long bytes() {
        long labels = BYTES_OF_A_MODEL + (long) catalogue.tests().size() * BYTES_OF_A_TEST;
        return shares ? labels : labels + BYTES_OF_A_MODEL + runs.bytes() + BYTES_OF_AN_OUTCOME * catalogue.tests().size() * space.byPlace().size();
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
