package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import java.util.List;

/**
 * A finding that ends the diagnosis, as one page.
 *
 * @param what what was found
 * @param now what to do now, in order
 * @param call whom to call
 * @param never what may not be done
 * @param until when the work goes on
 * @param licence the licence of whoever says that it is put right; nothing where none is needed
 * @param leadMay whether a lead may let the work go on by name
 * @param left true where some tests may still be made
 * @param at when it was found, milliseconds since 1970
 */
public record StopPage(Stop finding, Message what, List<Message> now, Message call, Message never, Message until, Message licence, boolean leadMay,
        boolean left, long at) {

    static List<StopPage> of(Case now) {
        return now.stops().entrySet().stream().map(found -> of(found.getKey(), found.getKey().licence(now.unit().model().dangers()),
                found.getValue().madeAt())).toList();
    }

    private static StopPage of(Stop stop, Stop.Licence licence, long at) {
        return new StopPage(stop, stop.says("what"), stop.now(), stop.says("call"), stop.says("never"), stop.says("until"),
                licence == Stop.Licence.NONE ? Message.NOTHING : Message.of("licence." + licence), stop.leadMay(), stop.left() != Stop.Left.NOTHING, at);
    }
}
