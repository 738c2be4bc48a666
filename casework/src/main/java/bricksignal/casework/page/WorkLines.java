package bricksignal.casework.page;

import bricksignal.casework.Figures;
import bricksignal.casework.entry.Entry;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.Arrays;
import java.util.OptionalDouble;

/** The entries of the work after the verdict in messages. */
final class WorkLines {

    private WorkLines() {
    }

    static Message what(UnitModel model, Entry.OfTheWork entry) {
        if (entry instanceof Entry.Figure figure) {
            return figure.what().startsWith(Figures.PRICE) ? Message.of("log.price", Message.said(model.part(figure.what().substring(Figures.PRICE.length())).label()))
                    : Message.of("figure." + figure.what());
        } else if (entry instanceof Entry.Terminal terminal) {
            return Message.of("log.terminal", Message.said(model.pointLabel(terminal.terminal())));
        } else if (entry instanceof Entry.Plate plate) {
            return Message.of("plate." + plate.what());
        } else if (entry instanceof Entry.Moved) {
            return Message.of("log.moved");
        } else if (entry instanceof Entry.Agreed) {
            return Message.of("log.agreed");
        } else if (entry instanceof Entry.Lent) {
            return Message.of("log.lent");
        } else if (entry instanceof Entry.Spare spare) {
            return Message.of("log.spare", Message.said(spare.cable()));
        }
        if (entry instanceof Entry.Allowed allowed) {
            return Message.of("log.allowed", Message.said(model.part(allowed.part()).label()), Message.said(allowed.by()));
        }
        if (entry instanceof Entry.Along) {
            return Message.of("log.along");
        }
        return Message.of(entry instanceof Entry.Ordered ? "log.ordered" : "log.given-back");
    }

    /** A conductor that nothing is on, with its cable. */
    static Message spare(Entry.Spare spare) {
        return Message.of("way.spare", Message.said(spare.conductor()), Message.said(spare.cable()));
    }

    /** What is to be said of what stands on the board: a fuse that is bigger than any that belongs to the unit; the breaker of the line is none. */
    static Message judgement(UnitModel model, Entry.Plate plate) {
        if (plate.what() != Entry.PlateOf.FUSE) {
            return Message.NOTHING;
        }
        OptionalDouble belongs = model.machine().circuit().elements().stream().filter(element -> element instanceof Element.Conductor c && Double.isFinite(c.fuseAmps())
                        && !model.dangers().guards().containsKey(c.id()))
                .mapToDouble(element -> ((Element.Conductor) element).fuseAmps()).max();
        boolean tooBig = belongs.isPresent() && Arrays.stream(plate.text().split("[^0-9.]+")).filter(word -> word.matches("\\d+(\\.\\d+)?"))
                .mapToDouble(Double::parseDouble).limit(1).anyMatch(amps -> amps > belongs.getAsDouble());
        return tooBig ? Message.of("judgement.fuse-too-big", new Message.Number(belongs.getAsDouble())) : Message.NOTHING;
    }

    static Message found(UnitModel model, Entry.OfTheWork entry) {
        if (entry instanceof Entry.Figure figure) {
            return Message.of("log.figure", new Message.Number(figure.value()), Message.said(figure.reason()));
        } else if (entry instanceof Entry.Terminal terminal) {
            return Message.said(terminal.conductor());
        } else if (entry instanceof Entry.Plate plate) {
            return Message.said(plate.text());
        } else if (entry instanceof Entry.Moved moved) {
            return Message.said(model.pointLabel(moved.terminal()));
        } else if (entry instanceof Entry.Agreed agreed) {
            return Message.said(agreed.what());
        } else if (entry instanceof Entry.Lent lent) {
            return Message.said(model.part(lent.part()).label());
        } else if (entry instanceof Entry.Spare spare) {
            return Message.said(spare.conductor());
        }
        if (entry instanceof Entry.Allowed allowed) {
            return Message.said(allowed.reason());
        }
        if (entry instanceof Entry.Along along) {
            return Message.said(model.part(along.part()).label());
        }
        return entry instanceof Entry.Ordered ordered ? Message.said(model.part(ordered.part()).label()) : Message.NOTHING;
    }
}
