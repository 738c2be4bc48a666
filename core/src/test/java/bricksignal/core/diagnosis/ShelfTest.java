package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ShelfTest {

    private static final long HUNDRED_AND_A_KEY = 260;

    private final Shelf shelf = new Shelf(2 * HUNDRED_AND_A_KEY);
    private final Shelf.Row<String, Integer> calls = shelf.row(length -> 100);
    private final List<String> made = new ArrayList<>();

    private int ask(Shelf.Row<String, Integer> row, String key) {
        return row.get(key, () -> {
            made.add(key);
            return key.length();
        });
    }

    @Test
    void whatWasAskedForLatelyIsNotMadeAgain() {
        assertThat(ask(calls, "call")).isEqualTo(4);
        assertThat(ask(calls, "call")).isEqualTo(4);
        assertThat(made).containsExactly("call");
    }

    @Test
    void whatWasAskedForLongestAgoIsLetGo() {
        ask(calls, "one");
        ask(calls, "two");
        ask(calls, "one");
        ask(calls, "three");
        ask(calls, "one");
        ask(calls, "two");
        assertThat(made).containsExactly("one", "two", "three", "two");
    }

    @Test
    void rowsShareTheRoomAndNotTheKeys() {
        Shelf.Row<String, Integer> others = shelf.row(length -> 100);
        assertThat(ask(calls, "one")).isEqualTo(3);
        others.get("one", () -> 7);
        assertThat(ask(calls, "one")).isEqualTo(3);
        assertThat(others.get("one", () -> 8)).isEqualTo(7);
        others.get("two", () -> 9);
        ask(calls, "one");
        assertThat(made).as("pushed out by what the other row put there").containsExactly("one", "one");
    }

    /** However much comes, and however large a single thing is: what is held is what its weigher says, and never more than there is room. */
    @Test
    void neverHoldsMoreThanItHasRoomFor() {
        Shelf.Row<Integer, byte[]> bytes = shelf.row(held -> held.length);
        for (int i = 0; i < 500; i++) {
            int size = i * 37 % 700;
            assertThat(bytes.get(i, () -> new byte[size])).hasSize(size);
            assertThat(shelf.bytes()).isBetween(0L, shelf.most());
        }
    }

    @Test
    void roomMustBeAboveNothing() {
        assertThatThrownBy(() -> new Shelf(0)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("0");
    }
}
