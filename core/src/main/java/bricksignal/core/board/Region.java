package bricksignal.core.board;

import bricksignal.core.lamp.LampPattern;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One of the things a board does at the same time as others: its burner sequence, its blower. The first state is where it
 * starts when power comes.
 *
 * @param id name of the region
 * @param states at least one
 */
public record Region(String id, List<State> states) {

    public Region {
        states = List.copyOf(states);
        if (states.isEmpty()) {
            throw new IllegalArgumentException("region '" + id + "' has no state; declare at least one");
        }
    }

    public State initial() {
        return states.get(0);
    }

    /** The state of that name. */
    public State state(String stateId) {
        for (State state : states) {
            if (state.id().equals(stateId)) {
                return state;
            }
        }
        throw new IllegalArgumentException("region '" + id + "' has no state '" + stateId + "'");
    }

    /**
     * A state.
     *
     * @param outputs the outputs it energises
     * @param lamp what the lamp shows, or null where another region decides
     * @param transitions the first whose guard holds is taken
     */
    public record State(String id, Set<String> outputs, @Nullable LampPattern lamp, List<Transition> transitions) {
        public State {
            outputs = Set.copyOf(outputs);
            transitions = List.copyOf(transitions);
        }

        /** The same that energizes nothing. */
        State releasing() {
            return new State(id, Set.of(), lamp, transitions);
        }
    }

    /**
     * A way from one state to another.
     *
     * @param when the guard; {@code elapsed} in it is the time in this state, seconds
     * @param to the state it leads to
     * @param sets counters it changes, in the order in which they are written: one may read what one before it set
     */
    public record Transition(Expr when, String to, Map<String, Expr> sets) {
        public Transition {
            sets = Collections.unmodifiableMap(new LinkedHashMap<>(sets));
        }
    }
}
