package bricksignal.casework.page;

import bricksignal.core.drawing.Symbol;
import bricksignal.core.words.Message;
import org.jspecify.annotations.Nullable;

/**
 * A place on a rung, and what leads to it from the place before.
 *
 * @param net where a probe goes; null where none reaches
 * @param label the place as people say it; nothing where no probe reaches it
 * @param colour of the conductor, or empty
 * @param expected what a healthy unit has here at the moment, against the usual reference; null where no probe reaches
 * @param found what was read here last; null for nothing
 * @param live whether a healthy unit has something here then
 * @param ground true where the rung goes to ground
 * @param by what leads here: how it is drawn; null for the first place
 * @param what what leads here as people say it; nothing for a wire
 * @param state how that stands
 */
public record RungStep(@Nullable String net, Message label, String colour, @Nullable Message expected, @Nullable Message found, boolean live, boolean ground,
        @Nullable Symbol by, Message what, @Nullable ElementState state) {
}
