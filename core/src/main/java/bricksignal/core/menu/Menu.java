package bricksignal.core.menu;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A declared tree of screens. From where it stands to a value that is kept it gives the shortest sequence of presses, by breadth first: every press,
 * hold and switch counts as one.
 *
 * @param screens the first is where it stands
 */
public record Menu(List<Screen> screens) {

    /** A unit without a menu. */
    public static final Menu NONE = new Menu(List.of());

    /**
     * What the board shows.
     *
     * @param id its name
     * @param shows as a person sees it
     * @param ways out of it
     * @param sets the setting whose value it changes, by id; null for none
     * @param up what is pressed for the next value of the setting; null where it sets nothing
     * @param down what is pressed for the one before; null where there is only one key
     * @param round whether the first value follows the last
     */
    public record Screen(String id, String shows, List<Way> ways, @Nullable String sets, @Nullable String up, @Nullable String down, boolean round) {
        public Screen {
            ways = List.copyOf(ways);
        }
    }

    /**
     * A way from one screen to another.
     *
     * @param press what is pressed, held or switched, as told to a person
     * @param to the screen that then shows, by id
     * @param saves whether it keeps the value that stands
     */
    public record Way(String press, String to, boolean saves) {
    }

    /**
     * One thing to do, so many times in a row.
     *
     * @param shows what the board shows afterwards
     */
    public record Step(String press, int times, String shows) {
    }

    public Menu {
        screens = List.copyOf(screens);
        for (Screen screen : screens) {
            for (Way way : screen.ways()) {
                if (screens.stream().noneMatch(other -> other.id().equals(way.to()))) {
                    throw new IllegalArgumentException("'" + way.press() + "' on the screen '" + screen.id() + "' leads to '" + way.to()
                            + "', which is no screen of this menu");
                }
            }
        }
    }

    /** True if some screen changes that setting. */
    public boolean has(String setting) {
        return screens.stream().anyMatch(screen -> setting.equals(screen.sets()));
    }

    /** Where a press leads: which screen, the value that stands there, and the one that is kept. */
    private record State(int screen, int stands, int kept) {
    }

    private record Move(State from, String press) {
    }

    /**
     * The shortest way from the first screen back to it with a value kept. Empty where no way keeps it.
     *
     * @param setting by id
     * @param values its positions in the order in which they come
     * @param from the position that is kept now
     * @param to the position wanted
     * @throws IllegalArgumentException if there is no such position
     */
    public Optional<List<Step>> steps(String setting, List<String> values, String from, String to) {
        int kept = place(values, from);
        int wanted = place(values, to);
        State start = new State(0, kept, kept);
        State goal = new State(0, wanted, wanted);
        if (screens.isEmpty()) {
            return Optional.empty();
        }
        Map<State, Move> came = new LinkedHashMap<>();
        Deque<State> next = new ArrayDeque<>(List.of(start));
        while (!next.isEmpty()) {
            State state = next.remove();
            if (state.equals(goal)) {
                return Optional.of(told(start, goal, came, values));
            }
            moves(state, setting, values.size()).forEach((press, reached) -> {
                if (!reached.equals(start) && came.putIfAbsent(reached, new Move(state, press)) == null) {
                    next.add(reached);
                }
            });
        }
        return Optional.empty();
    }

    private static int place(List<String> values, String value) {
        int place = values.indexOf(value);
        if (place < 0) {
            throw new IllegalArgumentException("'" + value + "' is no position; there are " + String.join(", ", values));
        }
        return place;
    }

    /** Each press on a screen and where it leads; on any other screen than its own a value that stands and is not kept is lost. */
    private Map<String, State> moves(State state, String setting, int values) {
        Map<String, State> moves = new LinkedHashMap<>();
        Screen screen = screens.get(state.screen());
        String up = screen.up();
        String down = screen.down();
        if (setting.equals(screen.sets())) {
            if (up != null && (screen.round() || state.stands() + 1 < values)) {
                moves.put(up, new State(state.screen(), (state.stands() + 1) % values, state.kept()));
            }
            if (down != null && (screen.round() || state.stands() > 0)) {
                moves.put(down, new State(state.screen(), (state.stands() + values - 1) % values, state.kept()));
            }
        }
        for (Way way : screen.ways()) {
            int kept = way.saves() && setting.equals(screen.sets()) ? state.stands() : state.kept();
            moves.put(way.press(), new State(number(way.to()), kept, kept));
        }
        return moves;
    }

    private int number(String id) {
        for (int i = 0; i < screens.size(); i++) {
            if (screens.get(i).id().equals(id)) {
                return i;
            }
        }
        throw new IllegalStateException("no screen '" + id + "'");
    }

    private List<Step> told(State start, State goal, Map<State, Move> came, List<String> values) {
        Deque<Step> steps = new ArrayDeque<>();
        State at = goal;
        while (!at.equals(start)) {
            Move move = bricksignal.core.Known.in(came, at);
            Step first = steps.peekFirst();
            Screen screen = screens.get(at.screen());
            String shows = screen.sets() != null && screen.up() != null && move.from().screen() == at.screen() ? values.get(at.stands()) : screen.shows();
            if (first != null && first.press().equals(move.press())) {
                steps.removeFirst();
                steps.addFirst(new Step(first.press(), first.times() + 1, first.shows()));
            } else {
                steps.addFirst(new Step(move.press(), 1, shows));
            }
            at = move.from();
        }
        return new ArrayList<>(steps);
    }
}
