package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.entry.Entry;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A board is changed: what is on the old one, where it goes on the new one, what is different, and how far it has come.
 *
 * @param boards the boards of the unit
 * @param board the one that is changed, by the id of its part
 * @param blocked why it is not changed yet; nothing where it may be
 * @param terminals of the old board as found, and terminals of its own that somebody added
 * @param plate what is typed off the board
 * @param problems what cannot be so, such as one conductor on two terminals
 * @param map conductor by conductor, to be ticked off one at a time
 * @param differences of the new board, each to be agreed to
 * @param switches the settings of the old board as they sit there
 * @param spares conductors that nothing is on
 * @param numbers what the numbers of the new board and of the unit next to it say, as far as they were typed
 * @param cautions static, torque, polarity, plugs
 */
public record ChangeOutPage(List<BoardLine> boards, String board, Message blocked, List<TerminalLine> terminals, List<PlateLine> plate, List<Message> problems,
        List<MoveLine> map, List<DifferenceLine> differences, List<SwitchLine> switches, List<SpareLine> spares, List<Message> numbers, List<Message> cautions) {

    /** A board of the unit. */
    public record BoardLine(String part, @Phrase String label) {
    }

    /**
     * A terminal as found.
     *
     * @param usual the colour that is usually there
     * @param conductor what is on it; null where nobody wrote it down
     * @param entry the entry that says so, by id, or null
     */
    public record TerminalLine(String terminal, @Phrase String label, String usual, @Nullable String conductor, @Nullable String entry) {
    }

    /** Something typed off the board; null where nobody did. */
    public record PlateLine(Entry.PlateOf what, Message label, @Nullable String text) {
    }

    /**
     * A conductor's way.
     *
     * @param from what stands beside its old terminal
     * @param to what stands beside its new one; null where the new board has no place for it
     * @param conductor as found, or the usual colour
     * @param done whether it is on its new terminal
     */
    public record MoveLine(String terminal, String from, @Nullable String to, String conductor, boolean done) {
    }

    /**
     * Something that is otherwise on the new board.
     *
     * @param what names it
     * @param position where a setting is put; null where it is none
     */
    public record DifferenceLine(String what, Message says, @Nullable String position, boolean agreed) {
    }

    /** A switch, a jumper, a parameter of the old board; null where nobody wrote it down. */
    public record SwitchLine(String setting, @Phrase String label, List<String> positions, @Nullable String found, boolean byMenu) {
    }

    /** A conductor of a cable that nothing is on. */
    public record SpareLine(String entry, String cable, String conductor) {
    }

    /**
     * The change of a board.
     *
     * @param fresh the unit with its new board; the same unit where that is of the same kind
     * @param part the board, by the id of its part; empty for the one that is blamed, or the first
     */
    public static ChangeOutPage of(Case now, UnitModel fresh, String part) {
        return new ChangeOut(now, fresh, part).page();
    }
}
