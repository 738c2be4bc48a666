package bricksignal.casework;

import bricksignal.core.unit.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;

/** Words of danger in what a customer says: they stop the work when a job is taken, before anybody drives. */
public final class Complaint {

    /** So many words may stand between two of a phrase: "smells a bit of gas". */
    private static final int MOST_BETWEEN = 2;

    private Complaint() {
    }

    /**
     * What a complaint tells that ends the diagnosis before it begins, most dangerous first.
     *
     * @param phrases for each finding the words that tell of it, phrases with {@code |} between them; the words of a phrase stand in their
     *     order, whole, with two others between them at most
     */
    public static List<Stop> dangers(String complaint, Function<Stop, String> phrases) {
        return Stream.of(Stop.values()).filter(stop -> tells(complaint, phrases.apply(stop))).toList();
    }

    /** True if one of the phrases stands in a complaint. */
    static boolean tells(String complaint, String phrases) {
        List<String> said = words(complaint);
        return Stream.of(phrases.split("\\|", -1)).map(Complaint::words).anyMatch(phrase -> !phrase.isEmpty() && tells(said, phrase));
    }

    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        StringBuilder word = new StringBuilder();
        for (char c : (text.toLowerCase(Locale.ROOT) + " ").toCharArray()) {
            if (Character.isLetterOrDigit(c)) {
                word.append(c);
            } else if (!word.isEmpty()) {
                words.add(word.toString());
                word.setLength(0);
            }
        }
        return words;
    }

    private static boolean tells(List<String> said, List<String> phrase) {
        for (int from = 0; from < said.size(); from++) {
            if (said.get(from).equals(phrase.get(0)) && follows(said, from, phrase)) {
                return true;
            }
        }
        return false;
    }

    private static boolean follows(List<String> said, int from, List<String> phrase) {
        int at = from;
        for (String word : phrase.subList(1, phrase.size())) {
            int next = said.subList(at + 1, Math.min(said.size(), at + 2 + MOST_BETWEEN)).indexOf(word);
            if (next < 0) {
                return false;
            }
            at += 1 + next;
        }
        return true;
    }
}
