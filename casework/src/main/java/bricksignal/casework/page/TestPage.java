package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Stamps;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.DangerTest;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Why;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Measured;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A test to make.
 *
 * @param title as people say it
 * @param instruction what to do
 * @param reading whether a number is read; otherwise yes or no is answered
 * @param sequence whether a run is watched by the clock
 * @param black net of the black probe, or null
 * @param red net of the red probe, or null
 * @param mode setting of the meter; empty for a check
 * @param unit unit of the reading; empty for a check
 * @param behind what stands behind a typed number in the units of the person; empty where they are those of the mode
 * @param canReadOpen whether OL is an answer
 * @param moment when, as told to a person; empty where it does not matter
 * @param should what a unit in good order shows; empty where nothing is due
 * @param at seconds of its run
 * @param unplugged connectors that are pulled, as people say it
 * @param safety what can hurt somebody at it, what to do about that before and after, and who may
 * @param change what is put into the unit for it and must come out again, or null
 * @param why why it is proposed
 * @param outcomes what it may show, most likely first
 * @param stamp what it is judged against, or null
 * @param handling what to know of the parts that are handled for it
 * @param about the parts whose papers are wanted at it, by id
 * @param rung the rung of the ladder diagram around its probes; empty for a test without
 */
public record TestPage(String id, Message title, Message instruction, boolean reading, boolean sequence, @Nullable String black,
        @Nullable String red, Message mode, Message unit, Message behind, boolean canReadOpen, Message moment, Message should, double at,
        boolean powerOff, @Phrase List<String> unplugged, double minutes, Cautions safety,
        @Nullable Message change, Message why, List<Outcome> outcomes, @Nullable StampPage stamp, @Phrase List<String> handling, List<String> about,
        List<RungStep> rung) {

    private static final double WORTH_NAMING = 0.005;
    private static final int MOST_SUSPECTS = 4;

    /** What a test may show; nominal where a unit in good order shows it; ends where it stops the work; band on the scale of the meter, null for no number. */
    public record Outcome(Message expected, double probability, boolean nominal, List<Message> suspects, Message ends, @Nullable Band band) {
    }

    /**
     * Where a reading lies nineteen times of twenty, in the unit of the reading; both are 0 for an open circuit on ohms.
     *
     * @param open true for OL
     */
    public record Band(Measured from, Measured to, boolean open) {

        /** Of a normal distribution so many deviations hold nineteen of twenty. */
        private static final double WIDE = 2;

        static @Nullable Band of(Case now, Test test, Prediction looksLike) {
            if (!(looksLike instanceof Prediction.Number number) || !(test instanceof Test.Reading reading)) {
                return null;
            }
            return Double.isInfinite(number.mean()) ? new Band(new Measured(reading.mode(), 0), new Measured(reading.mode(), 0), true) : new Band(at(now, reading, number.mean() - WIDE * number.sigma()),
                    at(now, reading, number.mean() + WIDE * number.sigma()), false);
        }

        private static Measured at(Case now, Test.Reading reading, double value) {
            return new Measured(reading.mode(), amount(now, reading, value).value());
        }
    }

    /**
     * What a reading is judged against.
     *
     * @param value in the unit of the reading
     * @param typed whether a person typed it off the part; otherwise it is the family's own
     */
    public record StampPage(@Phrase String says, Measured value, boolean typed) {
    }

    /** The page of a test that is proposed for a purpose. */
    public static TestPage of(Case now, Advice.Purpose purpose, Proposal proposal) {
        return of(now, purpose, proposal, new CircuitNow(now, proposal.test().moment()));
    }

    /** The same with the circuit at the moment of the test. */
    static TestPage of(Case now, Advice.Purpose purpose, Proposal proposal, CircuitNow circuit) {
        UnitModel model = now.unit().model();
        Test test = proposal.test();
        Test.Reading reading = test instanceof Test.Reading r ? r : null;
        MeterMode mode = reading == null ? null : reading.mode();
        Place.Across across = reading != null && reading.place() instanceof Place.Across a ? a : null;
        double at = now.unit().pack().catalogue().seconds(test.moment());
        return new TestPage(test.id(), test.label(), Instruction.what(model, test), reading != null, test instanceof Test.Sequence,
                across == null ? null : across.black(), across == null ? null : across.red(), Instruction.mode(mode),
                mode == null ? Message.NOTHING : new Message.Unit(mode, false), mode == null ? Message.NOTHING : new Message.Unit(mode, true), mode != null && mode.canReadOpen(),
                Instruction.when(now.unit().pack(), test), Instruction.should(now, test), at,
                reading != null && reading.setup().powerOff(), reading == null ? List.of()
                : reading.setup().unplugged().stream().map(c -> model.connector(c).label()).toList(), proposal.minutes(),
                Cautions.of(now, test), test instanceof Test.Check check && check.change().made() ? check.change().says() : null,
                Why.of(now.diagnosis(), purpose, proposal), outcomes(now, proposal), stamp(now, reading),
                Handling.of(model, test), Handling.about(model, test), circuit.around(test));
    }

    /** The same as a line of a list. */
    public static TestLine line(CompiledPack pack, Test test, double minutes) {
        return new TestLine(test.id(), Instruction.what(pack.model(), test), Instruction.mode(test), Instruction.when(pack, test), minutes);
    }

    /** A proposal as a line of a list. */
    static TestLine line(CompiledPack pack, Proposal proposal) {
        return line(pack, proposal.test(), proposal.minutes());
    }

    /** A prediction as it would be read. */
    static Message expected(Case now, Test test, Prediction prediction) {
        if (prediction instanceof Prediction.Chance chance) {
            return Message.of(chance.yes() >= 0.5 ? "yes" : "no");
        }
        return prediction instanceof Prediction.Choice choice ? choice.likeliest().message()
                : amount(now, (Test.Reading) test, ((Prediction.Number) prediction).mean());
    }

    /** A value of the model as the unit at hand shows it. */
    static Message.Amount amount(Case now, Test.Reading test, double value) {
        return new Message.Amount(test.mode(), now.stamps().atTheUnit(test, value));
    }

    private static @Nullable StampPage stamp(Case now, Test.@Nullable Reading reading) {
        return reading == null ? null : Stamps.of(reading).map(stamp -> new StampPage(stamp.says(), new Measured(reading.mode(), now.stamps().value(reading, stamp)),
                now.stamps().typed().containsKey(reading.id()))).orElse(null);
    }

    private static List<Outcome> outcomes(Case now, Proposal proposal) {
        Diagnosis diagnosis = now.diagnosis();
        Prediction nominal = diagnosis.pack().predictions().nominal(proposal.test());
        Message due = expected(now, proposal.test(), nominal);
        return proposal.branches().stream().filter(b -> b.probability() >= WORTH_NAMING).map(branch -> {
            boolean asExpected = near(nominal, branch.looksLike()) || expected(now, proposal.test(), branch.looksLike()).equals(due);
            Prediction shown = asExpected ? nominal : branch.looksLike();
            return new Outcome(expected(now, proposal.test(), shown), branch.probability(), asExpected, labels(diagnosis, branch.suspects(), MOST_SUSPECTS),
                    ends(now, proposal.test(), shown), Band.of(now, proposal.test(), shown));
        }).toList();
    }

    /** What a yes finds that ends the diagnosis; nothing for any other outcome. */
    private static Message ends(Case now, Test test, Prediction shows) {
        return test instanceof Test.Check check && shows instanceof Prediction.Chance chance && chance.yes() >= 0.5 ? DangerTest.finds(now.unit().model(), check)
                .map(stop -> Message.of("outcome.ends", stop.says("what"))).orElse(Message.NOTHING) : Message.NOTHING;
    }

    /** Suspects that matter, by name. */
    static List<Message> labels(Diagnosis diagnosis, List<HypothesisId> suspects, int most) {
        return suspects.stream().filter(h -> diagnosis.belief(h) >= Why.MATTERS).limit(most).map(h -> diagnosis.hypothesis(h).label()).toList();
    }

    private static boolean near(Prediction nominal, Prediction other) {
        return nominal instanceof Prediction.Number a && other instanceof Prediction.Number b
                && Math.abs(a.mean() - b.mean()) <= 2 * (a.sigma() + b.sigma());
    }

    /** What can hurt somebody at a test, and what to do about it before, in order. */
    static List<Message> cautions(CompiledPack pack, Test test) {
        return pack.catalogue().safety().hazards(test).stream().map(Hazard::before).toList();
    }
}
