package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RecentTest {

    private final Recent<String, Integer> recent = new Recent<>(2);
    private final List<String> made = new ArrayList<>();

    private int ask(String key) {
        return recent.get(key, () -> {
            made.add(key);
            return key.length();
        });
    }

    @Test
    void whatWasAskedForLatelyIsNotMadeAgain() {
        assertThat(ask("call")).isEqualTo(4);
        assertThat(ask("call")).isEqualTo(4);
        assertThat(made).containsExactly("call");
    }

    @Test
    void whatWasAskedForLongestAgoIsLetGo() {
        ask("one");
        ask("two");
        ask("one");
        ask("three");
        assertThat(recent.size()).isEqualTo(2);
        ask("one");
        ask("two");
        assertThat(made).containsExactly("one", "two", "three", "two");
    }

    @Test
    void mostMustBeOneOrMore() {
        assertThatThrownBy(() -> new Recent<>(0)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("0");
    }
}
