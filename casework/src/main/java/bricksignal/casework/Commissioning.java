package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Refused;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Setting up a unit that never ran before. What is done before it runs is what the unit can have wrong because nobody did it yet: the faults of its pack that say so.
 */
public final class Commissioning {

    /** What may not be done yet at a new unit is so much likelier the cause than at one that ran (an estimate, no source). */
    private static final double OF_A_NEW_UNIT = 10;
    private static final String SETTING = "setting.";

    private Commissioning() {
    }

    /** What is done before the unit runs for the first time, in the order of the pack. */
    public static List<Fault> steps(UnitModel model) {
        return model.faults().stream().filter(fault -> !fault.commission().isEmpty()).toList();
    }

    /** The step of a setting, by id. */
    public static String step(String setting) {
        return SETTING + setting;
    }

    /** True once somebody said that the unit is new. */
    public static boolean begun(Case now) {
        return standing(now).anyMatch(Entry.NewUnit.class::isInstance);
    }

    /** What was said of a step, the last time. */
    public static Optional<Entry.SetUp> said(Case now, String step) {
        return standing(now).flatMap(entry -> entry instanceof Entry.SetUp set && set.step().equals(step) ? Stream.of(set) : Stream.empty()).reduce((first, last) -> last);
    }

    private static Stream<Entry> standing(Case now) {
        return now.lines().stream().filter(Line::counts).map(line -> line.filed().entry());
    }

    /**
     * How much likelier each part is at fault by an entry.
     *
     * @throws Refused if there is no such step
     */
    static Map<String, Double> factors(UnitModel model, Entry.OfCommissioning entry) {
        if (entry instanceof Entry.SetUp set) {
            if (model.settings().stream().anyMatch(setting -> step(setting.id()).equals(set.step()))) {
                return Map.of();
            }
            Fault step = steps(model).stream().filter(fault -> fault.id().equals(set.step())).findFirst().orElseThrow(() -> new Refused("step",
                    Message.of("entry.no-step", Message.said(set.step()), Message.said(steps(model).stream().map(Fault::id).collect(Collectors.joining(", "))))));
            return Map.of(step.part(), 1 / OF_A_NEW_UNIT);
        }
        return steps(model).stream().map(Fault::part).distinct().collect(Collectors.toMap(part -> part, part -> OF_A_NEW_UNIT));
    }

    /** An entry of setting up is let in where it makes sense: a unit becomes new once, and steps are those of a new unit. */
    static void admit(Case before, Entry.OfCommissioning entry) {
        if (entry instanceof Entry.NewUnit == begun(before)) {
            throw new Refused("kind", Message.of(begun(before) ? "entry.new-already" : "entry.not-new"));
        }
    }
}
