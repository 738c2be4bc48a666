package bricksignal.casework;

import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** What a customer can say of a unit, and what of it stands in a complaint as it was typed. */
public final class Heard {

    /** Questions of which a no is told as well as a yes; of any other nobody calls to say that it is not so. */
    private static final Set<String> BOTH = Set.of("warm-air", "cool-air", "warm-pipes");
    private static final String RUNS = ".runs";
    private static final String TOLD = "told.";

    private Heard() {
    }

    /**
     * Something that a customer can say.
     *
     * @param test the question that it answers, by id
     * @param yes the answer that it is
     * @param says as people say it
     */
    public record Statement(String test, boolean yes, Message says) {
    }

    /** Everything that can be said of what was noticed of a unit, in its order. */
    public static List<Statement> of(UnitModel model) {
        List<Statement> statements = new ArrayList<>();
        for (Test.Check question : CustomerTest.of(model)) {
            String what = question.id().substring(TOLD.length());
            statements.add(new Statement(question.id(), true, Message.of("said." + what + ".yes")));
            if (what.endsWith(RUNS) || BOTH.contains(what)) {
                statements.add(new Statement(question.id(), false, Message.of("said." + what + ".no")));
            }
        }
        return List.copyOf(statements);
    }

    /**
     * What of it a complaint says. Where it says both a thing and its contrary, neither is taken.
     *
     * @param phrases for a statement the words that tell it, phrases with {@code |} between them, as {@link Complaint#dangers} has them
     */
    public static List<Statement> understood(String complaint, UnitModel model, Function<Message, String> phrases) {
        List<Statement> heard = of(model).stream().filter(statement -> Complaint.tells(complaint, phrases.apply(Message.of(
                "heard." + statement.test().substring(TOLD.length()) + (statement.yes() ? ".yes" : ".no"))))).toList();
        return heard.stream().filter(one -> heard.stream().noneMatch(other -> other.test().equals(one.test()) && other.yes() != one.yes())).toList();
    }
}
