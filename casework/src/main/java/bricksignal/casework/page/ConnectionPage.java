package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.drawing.BoardBlock;
import bricksignal.core.drawing.Ladder;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.util.List;

/**
 * A board as it sits, with its terminals and plugs at its edges and where each conductor goes.
 *
 * @param board as people say it
 * @param terminals those that are on no plug
 */
public record ConnectionPage(String board, List<Place> terminals, List<PlugOfBoard> plugs) {

    /** A plug and its pins. */
    public record PlugOfBoard(String id, @Phrase String label, List<Place> pins) {
    }

    /**
     * A place where conductors leave.
     *
     * @param net where a probe goes
     */
    public record Place(String net, @Phrase String label, String colour, List<LeadLine> leads) {
    }

    /** A conductor: what it is, nothing for a plain wire, and where it goes. */
    public record LeadLine(Message by, Message to) {
    }

    /** The boards of a case's unit. */
    public static List<ConnectionPage> of(Case now) {
        Ladder ladder = now.unit().ladder();
        UnitModel model = now.unit().model();
        return BoardBlock.of(ladder).stream().map(block -> new ConnectionPage(block.board().label(), block.terminals().stream().map(terminal -> place(ladder, terminal)).toList(),
                block.plugs().entrySet().stream().map(plug -> new PlugOfBoard(plug.getKey(), model.connector(plug.getKey()).label(), plug.getValue().stream()
                        .map(pin -> place(ladder, pin)).toList())).toList())).toList();
    }

    private static Place place(Ladder ladder, BoardBlock.Terminal terminal) {
        Point point = ladder.model().point(terminal.net());
        return new Place(point.net(), point.label(), point.colour(), terminal.leads().stream().map(lead -> new LeadLine(ladder.label(lead.by()), to(ladder, lead))).toList());
    }

    /** The other end by its point; where no probe reaches it, what lies there. */
    private static Message to(Ladder ladder, BoardBlock.Lead lead) {
        return ladder.model().isProbed(lead.to()) ? Message.said(ladder.model().pointLabel(lead.to())) : ladder.beyond(lead.by(), lead.to());
    }
}
