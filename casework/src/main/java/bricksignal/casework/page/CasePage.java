package bricksignal.casework.page;

import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Fault;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the screen shows first of a case as it stands; details are asked for.
 *
 * @param entries how many entries there are: another number is another state
 * @param unit the unit's key
 * @param log entries, oldest first
 * @param suspects by falling probability, those worth showing
 * @param cleared the others
 * @param purpose why the first test is proposed
 * @param next the test to make next, or null when nothing more is to be asked
 * @param meanwhile what can be done while the next test is waited for; empty where it is no long wait
 * @param others further tests worth making, best first
 * @param rung the rung of the ladder diagram around the likeliest cause that is drawn, as a healthy unit stands at the moment of the next test
 * @param where the rung around the cause that leads; empty where it does not lie in the circuit
 * @param changes temporary changes that are in the unit now
 * @param powerCycled whether the power was cycled before anybody looked
 * @param contradictions readings that cannot stand together
 * @param repeats readings that the leading suspect explains only as a misread
 * @param unexplained probability that nothing in the model explains what was found
 * @param wouldExplain failures that no list of the pack names and that would explain it, likeliest first
 * @param unknownCodes lamps that show what no chart of their board has, and what to ask of it
 * @param expected what a lamp showed that is to be expected of a new unit, and what is not done yet
 * @param sequence the lines of the timing diagram, with what was seen of the run that is being watched
 * @param taps what was seen of the sequence on this visit
 * @param stops what was found that ends the diagnosis, most dangerous first: while there is any, nothing else is shown first
 */
public record CasePage(int entries, String unit, List<LogLine> log, List<Suspect> suspects, List<Message> cleared,
        Advice.Purpose purpose, @Nullable TestPage next, List<TestLine> meanwhile, List<TestLine> others, VerdictPage verdict, TimingDiagram diagram,
        List<RungStep> rung, List<RungStep> where, List<Change> changes, boolean powerCycled,
        List<Contradicting> contradictions, List<Message> repeats, double unexplained, List<Message> wouldExplain, List<Message> unknownCodes, List<Message> expected,
        List<ChannelLine> sequence, List<Tap> taps, List<StopPage> stops) {

    /**
     * An entry of the log.
     *
     * @param madeAt milliseconds since 1970
     * @param judgement what is to be said of it
     * @param due what a unit in good order has or answers
     * @param counts whether it still stands
     * @param correctable whether another number can be given
     * @param behind what stands behind that number in the units of the person; empty where they are those of the mode
     * @param board the board whose lamp it is about, or null
     * @param test the test it answers, by id, or null
     * @param yes how a question was answered, or null
     * @param lamp how a lamp was read, likeliest first
     */
    public record LogLine(String id, String kind, long madeAt, Message what, Message found, Message judgement, Message due,
            boolean counts, boolean correctable, Message behind, @Nullable String board, @Nullable String test, @Nullable Boolean yes, List<Weight> lamp) {
    }

    /** How likely a lamp pattern is. */
    public record Weight(Message pattern, Message condition, double weight) {
    }

    /** A suspect; before is what it was before the last observation. */
    public record Suspect(String id, Message label, Message part, Fault.Kind kind, boolean board, double probability,
            double before) {
    }

    /**
     * What can be said now.
     *
     * @param board whether a board is blamed
     * @param group what no test of the unit tells from it
     * @param skipped what a stricter school of proof would ask for and nobody showed
     * @param untested what never got power, as people say it
     * @param damaged what died of the cause, and would again while it stands
     */
    public record VerdictPage(Verdict.Status status, Message label, Message part, boolean board, double probability,
            List<Message> group, Message remedy, List<Proof> proof, List<Message> skipped, List<String> untested, List<String> damaged) {
    }

    /** One thing that proof needs; the test is the cheapest that could show it. */
    public record Proof(Message what, boolean proven, @Nullable TestLine test) {
    }

    /** A jumper, a held switch, a pulled connector that must come out again, and since when. */
    public record Change(String id, Message what, long since) {
    }

    /** Two readings that no single suspect explains; the first is the cheaper one to repeat, with its test. */
    public record Contradicting(Message repeat, TestLine test, Message other) {
    }

    /**
     * A line of the timing diagram in a unit in good order, seconds after the call.
     *
     * @param lateAfter when it should have been seen for sure
     * @param perceived whether a person sees or hears it without an instrument
     * @param said whether something was said of it in the run that is being watched
     * @param on whether it was last said to have begun
     * @param complete whether it was seen to come and, where it ends by itself, to end
     */
    public record ChannelLine(String channel, @Phrase String label, List<Double> begins, List<Double> lateAfter, List<Double> ends,
            boolean perceived, boolean said, boolean on, boolean complete) {
    }

    /** What was seen to begin or to end, seconds after the call. */
    public record Tap(String id, String channel, @Phrase String label, boolean begins, double seconds) {
    }
}
