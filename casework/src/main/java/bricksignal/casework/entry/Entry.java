package bricksignal.casework.entry;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.When;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Something that a person enters on a visit. A board or a point that is left out is the usual one. */
public sealed interface Entry {

    /** An entry about the lamp of a board. */
    sealed interface OfALamp extends Entry permits Tapped, Film, Filmed, Pattern {

        /** The board whose lamp it is, by id; null for the first. */
        @Nullable String board();
    }

    /** A lamp tapped along with. */
    record Tapped(@Nullable String board, Taps taps) implements OfALamp {
    }

    /** A lamp's recorded brightness, as it comes from a device. Kept as {@link Filmed}. */
    record Film(@Nullable String board, Trace trace) implements OfALamp {
    }

    /**
     * A recorded lamp with its flashes found.
     *
     * @param seconds length of the recording, above 0
     */
    record Filmed(@Nullable String board, Sighting sighting, double seconds) implements OfALamp {
    }

    /** What a lamp shows, told by its pattern, such as {@code 4 flashes}. */
    record Pattern(@Nullable String board, String pattern) implements OfALamp {
    }

    /** Whether the power was cycled before anybody looked. */
    record PowerCycled(boolean yes) implements Entry {
    }

    /** An entry with a number off an instrument, as typed. */
    sealed interface OfAReading extends Entry permits TestReading, FreeReading {

        /** What the display shows, as typed. */
        String reading();

        /** The same place with another number. */
        OfAReading reading(String other);
    }

    /** A reading that a test asked for. */
    record TestReading(String test, String reading) implements OfAReading {
        @Override
        public TestReading reading(String other) {
            return new TestReading(test, other);
        }
    }

    /** A reading between any two points; without a black point against the red point's usual one. */
    record FreeReading(@Nullable String black, String red, MeterMode mode, String moment, String reading)
            implements OfAReading {
        @Override
        public FreeReading reading(String other) {
            return new FreeReading(black, red, mode, moment, other);
        }
    }

    /** What stands on the part that a gauge reading is judged against, as typed; the last one for a test counts. */
    record Stamped(String test, String value) implements Entry {
    }

    /** Another number for the reading that it supersedes. Kept as that reading with the number. */
    record Correction(String reading) implements Entry {
    }

    /** A check answered. */
    record Answer(String test, boolean yes) implements Entry {
    }

    /** A test, by id, that cannot be made at this unit or on this visit, and what is in the way. */
    record Unable(String test, Obstacle why) implements Entry {
    }

    /** Something of the sequence seen or heard to begin or to end, seconds after the call. */
    record Seen(String channel, boolean begins, double seconds) implements Entry {
    }

    /** Something of the sequence waited for in vain, up to so many seconds after the call. */
    record Missed(String channel, double seconds) implements Entry {
    }

    /** The watching of a run is over, so many seconds after the call: what should have come by then and was not seen did not come. */
    record Watched(double seconds) implements Entry {
    }

    /**
     * How another unit of the site does, by id: it fails alike, or it runs well.
     *
     * @param sameKind whether it is of the same family, so that parts may be tried from one to the other
     */
    record Twin(String unit, boolean alike, boolean sameKind) implements Entry {

        /** Of the same family. */
        public Twin(String unit, boolean alike) {
            this(unit, alike, true);
        }
    }

    /**
     * Something that was so at another time than now: a lamp, a reading, an answer.
     *
     * @param what the entry about it, as if it were so now
     */
    record Earlier(Entry what, When when) implements Entry {
    }

    /**
     * It came on, ran, and died while somebody watched.
     *
     * @param minutes of running, above 0
     * @param first the point whose voltage went first, by net
     * @param stays a point whose voltage was still there then, by net
     */
    record Died(double minutes, @Nullable String first, @Nullable String stays) implements Entry {
    }

    /** What was known before anything was seen. */
    sealed interface KnownBefore extends Entry permits Visited, Experience {
    }

    /**
     * An earlier visit to this unit.
     *
     * @param days ago, at least 0
     * @param part what was changed then, by id
     * @param reset whether somebody reset the unit since and it ran again
     * @param same whether it fails as it did before that visit
     */
    record Visited(double days, @Nullable String part, boolean reset, boolean same) implements KnownBefore {

        /** Of which nobody knows whether it fails as before. */
        public Visited(double days, @Nullable String part, boolean reset) {
            this(days, part, reset, false);
        }
    }

    /**
     * What the company's own records say of the parts of this family, against the pack.
     *
     * @param parts by id
     * @param factors how much likelier each is at fault, above 0; as many as parts
     */
    record Experience(List<String> parts, List<Double> factors) implements KnownBefore {
        public Experience {
            parts = List.copyOf(parts);
            factors = List.copyOf(factors);
        }
    }

    /** A part repaired or replaced, by id. */
    record Repaired(String part) implements Entry {
    }

    /**
     * A switch, a jumper or a parameter of a menu: where it stood, and where it was left.
     *
     * @param setting by id
     * @param found one of its positions
     * @param left one of its positions
     * @param why by which calculation, or in a person's words; null where nobody said
     */
    record SetTo(String setting, String found, String left, @Nullable String why) implements Entry {

        /** Without a reason. */
        public SetTo(String setting, String found, String left) {
            this(setting, found, left, null);
        }
    }

    /** An entry of setting up a unit that never ran before. */
    sealed interface OfCommissioning extends Entry permits NewUnit, SetUp {
    }

    /** The unit is new: it is set up on this visit. */
    record NewUnit() implements OfCommissioning {
    }

    /**
     * A step of setting up is done, or has nothing to be done here.
     *
     * @param step by id: what is done at a new unit, or a setting that an earlier visit left right
     * @param fitted whether there is such a thing here
     * @param text how, in a person's words; null where nobody said
     */
    record SetUp(String step, boolean fitted, @Nullable String text) implements OfCommissioning {
    }

    /** Whether something that keeps people safe is so after the work. */
    record Safe(Safety what, boolean yes) implements Entry {
    }

    /** What keeps people safe after the work. */
    enum Safety {
        /** Every safety is in and bridged by nothing; doors and guards are back. */
        SAFETIES,
        /** Carbon monoxide was measured, in the flue and in the room, and is within what the maker and the code allow. */
        MONOXIDE
    }

    /** A finding that ends the diagnosis, told by a person who saw, smelt or measured it. */
    record Stopped(Stop finding) implements Entry {
    }

    /**
     * A finding is put right, or a lead lets the work go on: what was done, and by whom.
     *
     * @param done in a person's words: the leak named and tight, the cause put right, the figure measured
     * @param by the name of who says so, and the licence by which; of the account that sends it
     */
    record Lifted(Stop finding, String done, String by) implements Entry {
    }

    /**
     * Carbon monoxide as measured.
     *
     * @param where in the room, or in the flue free of air and steady
     * @param ppm parts in a million, at least 0
     */
    record Monoxide(Where where, double ppm) implements Entry {

        /** Where it was measured. */
        public enum Where { ROOM, FLUE }
    }

    /**
     * The unit is shut off and tagged, and the occupant told.
     *
     * @param told who was told, by name
     * @param signed whether the notice was signed; otherwise it was refused
     * @param risk what is at risk: freezing, frail people; null where nothing is
     * @param next when somebody comes again, in a person's words; null where it is left open
     */
    record Tagged(String told, boolean signed, @Nullable String risk, @Nullable String next) implements Entry {
    }

    /** An entry of the work after the verdict: it tells nothing of what is the matter. */
    sealed interface OfTheWork extends Entry permits Figure, Terminal, Plate, Moved, Agreed, Lent, GivenBack, Spare, Allowed, Ordered, Along {
    }

    /**
     * A figure that a person knows better than the company's policy, and why; the last one of a name counts.
     *
     * @param what {@code counter-hours}, {@code trip-hours}, {@code unit-price}, or {@code price.} and a part
     * @param value at least 0
     */
    record Figure(String what, double value, String reason) implements OfTheWork {
    }

    /**
     * What is on a terminal as found, before anything comes off; the last one of a terminal counts.
     *
     * @param terminal a point of the unit, by net, or a name of its own
     * @param conductor as it is marked: its colour, its number, where it goes
     */
    record Terminal(String terminal, String conductor) implements OfTheWork {
    }

    /** What is typed off the board as found; the last one of a kind counts. */
    record Plate(PlateOf what, String text) implements OfTheWork {
    }

    /** What stands on a board: on the old one as found, on the new one before it goes in, on that of the unit next to it. */
    enum PlateOf { PART_NUMBER, REVISION, FUSE, NEW_PART_NUMBER, NEW_REVISION, TWIN_PART_NUMBER, TWIN_REVISION }

    /** A conductor is on its terminal of the new board. */
    record Moved(String terminal) implements OfTheWork {
    }

    /** A difference of the new board is known and wanted, by the name of what differs. */
    record Agreed(String what) implements OfTheWork {
    }

    /** A part, by id, is lent from another unit of the site, by id, until it is given back. */
    record Lent(String part, String unit) implements OfTheWork {
    }

    /** The part whose lending it supersedes is back. */
    record GivenBack() implements OfTheWork {
    }

    /** A conductor of a cable that nothing is on. */
    record Spare(String cable, String conductor) implements OfTheWork {
    }

    /**
     * A lead lets a board be changed that nothing has proven to be bad, by name.
     *
     * @param part the board, by id
     * @param reason in a person's words
     * @param by the name of the lead; of the account that sends it
     */
    record Allowed(String part, String reason, String by) implements OfTheWork {
    }

    /** A part, by id, is ordered for a second trip. */
    record Ordered(String part) implements OfTheWork {
    }

    /** A part, by id, was taken along to this job. */
    record Along(String part) implements OfTheWork {
    }

    /** A remark. */
    record Note(String text) implements Entry {
    }

    /**
     * A jumper, a held switch, a pulled connector: put in for a test, and to be taken out again.
     *
     * @param test the test it is put in for, by id; null where a person says what it is
     * @param text what it is; null where the test says it
     */
    record ChangeIn(@Nullable String test, @Nullable String text) implements Entry {
    }

    /** The temporary change that it supersedes is out. */
    record ChangeOut() implements Entry {
    }

    /** The entry that it supersedes is taken back. */
    record TakeBack() implements Entry {
    }

    /**
     * An entry that is not understood (any more): it is shown as it is, can be taken back, and counts as nothing.
     *
     * @param kind as written
     * @param text as written
     * @param why why it is not understood
     */
    record Unread(String kind, String text, String why) implements Entry {
    }
}
