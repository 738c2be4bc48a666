package bricksignal.server.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.Strip;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.chain.ChainWalk;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Ladder;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * All that a visit's page shows of the diagnosis.
 *
 * @param unit what the unit is
 * @param log entries, oldest first
 * @param suspects by falling probability
 * @param purpose why the first test is proposed
 * @param next the test to make next, or null when nothing more is to be asked
 * @param others further tests worth making, best first
 * @param verdict what can be said now
 * @param strip the timing diagram
 * @param ladder the drawing at the moment of the next test
 * @param changes temporary changes that are in the unit now
 * @param chains walks along supply and permission
 * @param wasReset whether the power was cycled before anybody looked
 * @param repeats readings that the leading suspect explains only as a misread
 * @param plan what the next test may show and what comes then
 * @param contradictions readings that cannot stand together
 * @param unexplained probability that nothing in the model explains what was found
 * @param wouldExplain failures that no list of the pack names and that would explain it, likeliest first
 * @param sequence when each line of the strip is expected to begin and end, seconds after the call
 * @param repairs parts in the order of the cheapest repair, those that are worth naming
 */
public record DiagnosisView(UnitView unit, List<LogView> log, List<SuspectView> suspects, Advice.Purpose purpose,
        @Nullable TestView next, List<TestView> others, VerdictView verdict, Strip strip, List<RungView> ladder,
        List<ChangeView> changes, List<ChainView> chains, boolean wasReset, List<String> repeats, List<WayView> plan,
        List<ContradictionView> contradictions, double unexplained, List<String> wouldExplain, List<ExpectedView> sequence,
        List<RepairView> repairs) {

    /** One outcome of the next test and what comes then; the leader where no further test is worth its cost. */
    public record WayView(String expected, double probability, List<String> suspects, @Nullable String next,
            @Nullable String nextMoment, @Nullable Double nextMinutes) {
    }

    /** Two readings that no single suspect explains; the first is the cheaper one to repeat. */
    public record ContradictionView(String repeat, TestView test, String other) {
    }

    /**
     * A line of the strip in a sound unit, seconds after the call.
     *
     * @param lateAfter when it should have been seen for sure
     * @param perceived whether a person sees or hears it without an instrument
     */
    public record ExpectedView(String channel, String label, List<Double> begins, List<Double> lateAfter, List<Double> ends,
            boolean perceived) {
    }

    /** A part that may be repaired, and whether it was. */
    public record RepairView(String part, String label, double probability, double cost, boolean board, boolean done) {
    }

    /** A jumper, a held switch, a pulled connector that must come out again. */
    public record ChangeView(UUID id, String what, Instant since) {
    }

    /** The unit and what can be measured on it. */
    public record UnitView(String pack, String title, String duty, List<BoardLampView> lamps, List<PointView> points,
            List<MomentView> moments, List<ModeView> modes, List<TestView> checksBefore, List<StageView> stages,
            List<CallView> calls, String defer) {
    }

    /** A lamp, by what its flashes differ, and its chart. */
    public record BoardLampView(String board, String label, List<String> marks, List<ChartView> chart) {
    }

    /** A line of the chart on the door. */
    public record ChartView(String pattern, String condition, boolean blinks, String generation) {
    }

    /** How a call is placed on this board, and what must come out again. */
    public record CallView(String label, @Nullable String from, @Nullable String to, CallAdvice.Order order, String why,
            String hold) {
    }

    /**
     * A walk along points in series with one probe fixed on common.
     *
     * @param interrupted probability that it is interrupted
     * @param said where the voltage stops, as far as is known
     * @param culprits what lies there
     */
    public record ChainView(String id, String label, String common, String commonLabel, MeterMode mode, String moment,
            String momentLabel, double interrupted, boolean done, List<ChainPointView> points, String said,
            List<String> culprits, List<String> cautions) {
    }

    /** A point of a chain. */
    public record ChainPointView(String net, String label, String where, String colour, String sound, ChainWalk.Mark mark,
            @Nullable String reading, boolean next) {
    }

    /** A point to probe. */
    public record PointView(String net, String label, String where, String colour, String side, String against) {
    }

    /** A moment of the run, with its time after the call where it has one. */
    public record MomentView(String id, String label, double at, @Nullable Double afterCall) {
    }

    /** A setting of the meter that reads between two points. */
    public record ModeView(MeterMode mode, String label, String unit) {
    }

    /** A stage of the sequence and what is seen. */
    public record StageView(String id, String label, String seen) {
    }

    /** An entry of the log in words. */
    public record LogView(UUID id, String kind, Instant madeAt, String what, String found, String explanation,
            boolean counts, boolean correctable, @Nullable String board, List<WeightView> lamp) {
    }

    /** How likely a lamp pattern is after tapping. */
    public record WeightView(String pattern, String condition, double weight) {
    }

    /** A suspect. */
    public record SuspectView(String id, String label, String part, Fault.Kind kind, boolean board, double probability,
            double before, String remedy) {
    }

    /** A test to make; temporary where it leaves a change in the unit that must come out again. */
    public record TestView(String id, String title, String instruction, boolean reading, boolean sequence, @Nullable String black,
            @Nullable String red, @Nullable String gauge, @Nullable String mode, @Nullable String unit, boolean canReadOpen,
            String moment, double at, @Nullable Double afterCall, boolean powerOff, List<String> unplugged, double minutes,
            List<String> cautions, boolean temporary, String brief, List<String> why, List<OutcomeView> outcomes) {
    }

    /** What a test may show. */
    public record OutcomeView(String expected, @Nullable Double value, double probability, boolean sound,
            List<String> suspects) {
    }

    /** What can be said now. */
    public record VerdictView(Verdict.Status status, String label, String part, boolean board, double probability,
            List<String> group, String remedy, List<ProofView> proof, List<String> untested) {
    }

    /** One thing that proof needs. */
    public record ProofView(String what, boolean proven, @Nullable TestView test) {
    }

    /** A line of the drawing. */
    public record RungView(String side, List<StopView> stops) {
    }

    /** A point of the drawing, with what leads to it. */
    public record StopView(String net, String label, String colour, double volts, Ladder.Symbol symbol, String element,
            boolean closed, @Nullable String lastReading) {
    }

    /** The page of a log. */
    public static DiagnosisView of(Findings findings) {
        return new DiagnosisPage(findings).view();
    }
}
