package bricksignal.server.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.TypedReading;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.Taps;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import bricksignal.server.pack.Packs;
import bricksignal.server.problem.BadInput;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reads a log for the engine. An entry that makes no sense is refused when it is sent, so a stored one always does. */
@Component
public class LogReader {

    private static final double LONGEST_RUN_SECONDS = 7200;

    private final JsonMapper json;

    LogReader(JsonMapper json) {
        this.json = json;
    }

    /** Belief and advice, recomputed from the log. */
    public Findings findings(Packs.Ready ready, Policy policy, List<Evidence> log) {
        Set<UUID> superseded = superseded(log);
        List<Findings.Logged> entries = new ArrayList<>();
        List<Observation> observations = new ArrayList<>();
        Setup standing = Setup.AS_IT_IS;
        boolean wasReset = wasReset(log, superseded);
        Set<UUID> oldTwins = oldTwins(log, superseded);
        for (Evidence evidence : log) {
            Entry entry = json.readValue(evidence.content(), Entry.class);
            Observation observation = observation(ready.pack(), entry);
            boolean counts = !superseded.contains(evidence.id()) && !oldTwins.contains(evidence.id());
            entries.add(new Findings.Logged(entry, observation, counts));
            if (observation != null && counts) {
                observations.add(wasReset && observation instanceof Observation.Lamp lamp
                        ? new Observation.Lamp(lamp.board(), lamp.weights(), true) : observation);
                standing = observation instanceof Observation.Reading reading ? TestCost.after(reading.test()) : standing;
            }
        }
        Diagnosis diagnosis = Diagnosis.of(ready.pack(), observations);
        Planner planner = Planner.of(ready.pack(), policy);
        return new Findings(entries, diagnosis, Advice.of(diagnosis, planner, standing), planner, ready.chains(), wasReset);
    }

    /**
     * What an entry tells the engine, or null where it tells nothing.
     *
     * @throws BadInput if the entry makes no sense for this unit
     */
    public @Nullable Observation observation(CompiledPack pack, Entry entry) {
        return switch (entry.kind()) {
            case TAPS, TRACE -> new Observation.Lamp(board(pack, entry), LampReading.of(pack, entry).decoding().weights(),
                    false);
            case PATTERN -> pattern(pack, board(pack, entry), required("pattern", entry.pattern()));
            case READING -> reading(pack, entry);
            case ANSWER -> answer(pack, entry);
            case NOTE, CHANGE_IN -> {
                required("text", entry.text());
                yield null;
            }
            case TWIN -> {
                if (entry.unit() == null) {
                    throw new BadInput("unit", "Say which unit.");
                }
                yield new Observation.Twin(answered(entry));
            }
            case EVENT -> {
                String channel = channel(pack, entry);
                if (entry.begins() == null) {
                    throw new BadInput("begins", "Say whether it began or ended.");
                }
                yield new Observation.Event(channel, entry.begins(), seconds(entry));
            }
            case NOT_SEEN -> new Observation.NotSeen(channel(pack, entry), seconds(entry));
            case REPAIRED -> {
                String part = required("part", entry.part());
                field("part", () -> pack.model().part(part));
                yield new Observation.Repaired(part);
            }
            case RESET -> {
                answered(entry);
                yield null;
            }
            case TAKE_BACK, CHANGE_OUT -> null;
        };
    }

    /** The last of a kind that counts says whether the power was cycled before anybody looked. */
    private boolean wasReset(List<Evidence> log, Set<UUID> superseded) {
        return log.stream().filter(e -> e.kind() == Evidence.Kind.RESET && !superseded.contains(e.id()))
                .reduce((first, last) -> last).map(e -> Boolean.TRUE.equals(json.readValue(e.content(), Entry.class).yes()))
                .orElse(false);
    }

    /** What was said of a twin before the last time. */
    private Set<UUID> oldTwins(List<Evidence> log, Set<UUID> superseded) {
        Map<UUID, UUID> lastOfTwin = new LinkedHashMap<>();
        Set<UUID> old = new HashSet<>();
        for (Evidence evidence : log) {
            if (evidence.kind() == Evidence.Kind.TWIN && !superseded.contains(evidence.id())) {
                UUID before = lastOfTwin.put(json.readValue(evidence.content(), Entry.class).unit(), evidence.id());
                if (before != null) {
                    old.add(before);
                }
            }
        }
        return old;
    }

    private static String channel(CompiledPack pack, Entry entry) {
        String channel = required("channel", entry.channel());
        field("channel", () -> SequenceModel.of(pack, channel));
        return channel;
    }

    private static double seconds(Entry entry) {
        Double seconds = entry.seconds();
        if (seconds == null || !(seconds >= 0 && seconds <= LONGEST_RUN_SECONDS)) {
            throw new BadInput("seconds", "'" + seconds + "' is not a time after the call; it is 0 to " + LONGEST_RUN_SECONDS + " s.");
        }
        return seconds;
    }

    private static boolean answered(Entry entry) {
        if (entry.yes() == null) {
            throw new BadInput("yes", "Answer yes or no.");
        }
        return entry.yes();
    }

    /** The board whose lamp an entry is about. */
    static String board(CompiledPack pack, Entry entry) {
        String board = entry.board();
        if (board == null) {
            return pack.model().charts().keySet().iterator().next();
        }
        field("board", () -> pack.model().chart(board));
        return board;
    }

    private static Observation pattern(CompiledPack pack, String board, String text) {
        LampPattern seen = field("pattern", () -> LampPattern.parse(text));
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        pack.model().chart(board).patterns().forEach(p -> weights.put(p, 0.0));
        weights.put(seen, 1.0);
        return new Observation.Lamp(board, weights, false);
    }

    private static Observation reading(CompiledPack pack, Entry entry) {
        Test.Reading test;
        if (entry.test() != null) {
            Test known = field("test", () -> pack.test(entry.test()));
            if (!(known instanceof Test.Reading reading)) {
                throw new BadInput("test", "'" + entry.test() + "' is a yes-or-no check, not a reading.");
            }
            test = reading;
        } else {
            test = free(pack, entry);
        }
        double value = field("reading", () -> TypedReading.parse(test.mode(), required("reading", entry.reading())));
        return new Observation.Reading(test, value);
    }

    private static Test.Reading free(CompiledPack pack, Entry entry) {
        MeterMode mode = entry.mode();
        if (mode == null) {
            throw new BadInput("mode", "Say what the meter is set to.");
        }
        String black = required("black", entry.black());
        String red = required("red", entry.red());
        field("black", () -> pack.model().point(black));
        field("red", () -> pack.model().point(red));
        if (black.equals(red)) {
            throw new BadInput("red", "Both probes are on " + pack.model().point(red).label() + "; move one of them.");
        }
        if (mode == MeterMode.DC_MICROAMPS || mode == MeterMode.CLAMP_AMPS || mode == MeterMode.INCHES_WC
                || mode == MeterMode.FAHRENHEIT) {
            throw new BadInput("mode", "A reading on " + mode.unit() + " is not taken between two points; choose it from the "
                    + "list of tests.");
        }
        String moment = required("moment", entry.moment());
        Setup setup = new Setup(mode.dead(), List.of());
        return field("moment", () -> pack.freeReading(mode, new Place.Across(black, red), moment, setup));
    }

    private static Observation answer(CompiledPack pack, Entry entry) {
        Test test = field("test", () -> pack.test(required("test", entry.test())));
        if (!(test instanceof Test.Check check)) {
            throw new BadInput("test", "'" + entry.test() + "' is a reading; type the number.");
        }
        return new Observation.Answer(check, answered(entry));
    }

    /** What has been taken back or replaced; an entry that was itself taken back supersedes nothing. */
    private static Set<UUID> superseded(List<Evidence> log) {
        Set<UUID> superseded = new HashSet<>();
        for (int i = log.size() - 1; i >= 0; i--) {
            UUID target = log.get(i).supersedes();
            if (target != null && !superseded.contains(log.get(i).id())) {
                superseded.add(target);
            }
        }
        return superseded;
    }

    private static String required(String field, @Nullable String value) {
        if (value == null || value.isBlank()) {
            throw new BadInput(field, "'" + field + "' is missing.");
        }
        return value;
    }

    static <T> T field(String field, java.util.function.Supplier<T> action) {
        try {
            return action.get();
        } catch (IllegalArgumentException refused) {
            String message = String.valueOf(refused.getMessage());
            throw new BadInput(field, Character.toUpperCase(message.charAt(0)) + message.substring(1) + ".");
        }
    }
}
