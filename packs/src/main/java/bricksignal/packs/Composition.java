package bricksignal.packs;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * One way in which the choices of a shipped family go together.
 *
 * @param family the pack
 * @param choices option by choice, every choice of the family
 * @param usual whether every option is the usual one
 * @param title as people say it
 * @param traits for each question by which units are told apart, the answers that fit
 */
public record Composition(String family, Map<String, String> choices, boolean usual, String title, Map<String, List<String>> traits) {

    public Composition {
        choices = Collections.unmodifiableMap(new LinkedHashMap<>(choices));
        traits = Collections.unmodifiableMap(new LinkedHashMap<>(traits));
    }

    /** The family and then its choices: {@code f1-furnace ignition=spark}. */
    public String name() {
        return (family + " " + choices.entrySet().stream().map(e -> e.getKey() + "=" + e.getValue()).collect(Collectors.joining(" ")))
                .strip();
    }

    /**
     * Something in which units of one family differ.
     *
     * @param id its name
     * @param label as it is asked
     * @param usual the option that is taken where nobody chose
     * @param options what each is called, by name
     */
    public record Choice(String id, String label, String usual, Map<String, String> options) {
        public Choice {
            options = Collections.unmodifiableMap(new LinkedHashMap<>(options));
        }
    }
}
