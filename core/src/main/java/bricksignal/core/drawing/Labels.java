package bricksignal.core.drawing;

import bricksignal.core.board.Board;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Optional;

/** What stands beside the things of a drawing. */
final class Labels {

    private final UnitModel model;

    Labels(UnitModel model) {
        this.model = model;
    }

    /** A net by the label of its point; empty for one that no probe reaches. */
    Message net(String net) {
        return model.pointAt(net).map(Point::label).map(Message::said).orElse(Message.NOTHING);
    }

    /** What stands beside something drawn: the part, the pin of its plug, the relay of the board; a wire that is no part says nothing. */
    Message edge(Edge edge) {
        return switch (edge.symbol()) {
            case WIRE -> model.partWith(edge.element()).filter(part -> part.kind() == Part.Kind.PART && !part.field()).map(Part::label).map(Message::said)
                    .orElse(Message.NOTHING);
            case PIN -> pin(edge.element());
            case CONTACT -> relay(edge.element()).orElseGet(() -> part(edge));
            case ELECTRONICS -> electronics(edge);
            case SOURCE -> source(edge);
            default -> part(edge);
        };
    }

    private Message pin(String element) {
        return model.connectors().stream().filter(plug -> plug.conductors().contains(element)).findFirst().map(plug -> Message.of("drawing.pin", Message.said(
                plug.id()), new Message.Number(number(plug.conductors(), element)))).orElse(Message.NOTHING);
    }

    /** The number that a pin's name ends with, or else its place in the plug. */
    private static int number(List<String> pins, String pin) {
        int dash = pin.lastIndexOf('-');
        String end = pin.substring(dash + 1);
        return dash > 0 && !end.isEmpty() && end.chars().allMatch(Character::isDigit) && end.length() < 4 ? Integer.parseInt(end) : pins.indexOf(pin) + 1;
    }

    /** A contact of a board, by the output that moves it. */
    private Optional<Message> relay(String element) {
        return model.machine().rules().get(element) instanceof Rule.Follows follows ? follows.closed().names().stream().map(Expr.Name::of)
                .filter(name -> name.kind() == Expr.Kind.OUT).findFirst().map(name -> Message.of("drawing.relay", Message.said(name.of().replace('-', ' '))))
                : Optional.empty();
    }

    /** The part, or what a switch guards, or else what it is. */
    private Message part(Edge edge) {
        return model.partWith(edge.element()).filter(part -> part.kind() != Part.Kind.BOARD).map(Part::label).map(Message::said)
                .or(() -> Optional.ofNullable(model.dangers().guards().get(edge.element())).map(guard -> Message.of("drawing.guard." + guard)))
                .orElseGet(() -> Message.of("drawing.symbol." + edge.symbol()));
    }

    /** What a board is fed by, or the input by which it hears something. */
    private Message electronics(Edge edge) {
        for (Board board : model.machine().boards()) {
            if (edge.touches(board.supplyPlus()) && edge.touches(board.supplyMinus())) {
                return Message.said(model.boardLabel(board.id()));
            }
            Optional<Input> heard = board.inputs().stream().filter(input -> input instanceof Input.Voltage v && edge.touches(v.plus()) && edge.touches(v.minus())).findFirst();
            if (heard.isPresent()) {
                return Message.of("drawing.input", Message.said(heard.get().id().replace('-', ' ')));
            }
        }
        return part(edge);
    }

    private Message source(Edge edge) {
        return model.machine().circuit().element(edge.element()) instanceof Element.DirectSource direct ? new Message.Amount(MeterMode.DC_VOLTS, Math.abs(direct.volts()))
                : new Message.Amount(MeterMode.AC_VOLTS, ((Element.Source) model.machine().circuit().element(edge.element())).volts());
    }

    /** True for what sits on a board. */
    boolean onABoard(Edge edge) {
        return edge.symbol() == Symbol.ELECTRONICS && model.partWith(edge.element()).isEmpty() || model.partWith(edge.element()).filter(part -> part.kind() == Part.Kind.BOARD).isPresent()
                || edge.symbol() == Symbol.CONTACT && relay(edge.element()).isPresent();
    }
}
