package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Line;
import bricksignal.core.danger.Hazard;
import bricksignal.core.danger.Safety;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What can hurt somebody at a step, told in full where it begins and by name while it goes on.
 *
 * @param ended what the step before leaves to be done, where that does not go on here
 * @param cautions what to do before, in order
 * @param afterwards how it ends
 * @param needs the licences of whoever makes it
 */
public record Cautions(List<Message> ended, List<Caution> cautions, List<Message> afterwards, List<Stop.Licence> needs) {

    /** One of them: its name, what to do before, and whether the step before told it already. */
    public record Caution(Hazard hazard, Message name, Message before, boolean told) {
    }

    /** What is said to whoever lacks a licence: whom to call, by name, of those who have it. */
    public static Message call(Stop.Licence licence, List<String> who) {
        Message label = Message.of("licence." + licence);
        return who.isEmpty() ? Message.of("needs.nobody", label) : Message.of("needs.call", label, Message.items(Message.Joint.OR, who.stream().map(Message::said).toList()));
    }

    static Cautions of(Case now, Test test) {
        Safety safety = now.unit().pack().catalogue().safety();
        Set<Hazard> here = safety.hazards(test);
        Set<Hazard> before = lastMade(now).map(safety::hazards).orElse(Set.of());
        return new Cautions(after(before.stream().filter(hazard -> hazard.endsWithTheStep() && !here.contains(hazard))), here.stream().map(hazard -> new Caution(hazard, hazard.label(),
                hazard.before(), before.contains(hazard))).toList(), after(here.stream()), List.copyOf(safety.licences(test)));
    }

    private static List<Message> after(Stream<Hazard> hazards) {
        return hazards.map(Hazard::after).filter(after -> !after.equals(Message.NOTHING)).toList();
    }

    /** The test that was made last on this visit; empty where none was. */
    private static Optional<Test> lastMade(Case now) {
        return now.lines().stream().filter(Line::counts).flatMap(line -> line.observations().stream()).flatMap(seen -> seen.about().stream()).reduce((first, last) -> last);
    }
}
