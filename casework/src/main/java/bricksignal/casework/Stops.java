package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.core.diagnosis.DangerTest;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What was found on a visit that ends the diagnosis and is not put right yet: told, answered, measured, or shown by a lamp. */
final class Stops {

    /** Parts in a million in a room, above outdoors: from here on the unit is off and the source is sought (EPA, from memory). */
    static final double ROOM_PPM = 9;
    /** In a flue, free of air and steady, of a unit that burns gas: off (ANSI Z21, from memory). */
    static final double FLUE_PPM = 400;

    private static final double READ = 0.5;
    private static final String FLAME_WITHOUT_CALL = "flame without call";

    private final UnitModel model;
    private final Map<Stop, Filed> standing = new EnumMap<>(Stop.class);
    private final Set<Stop> before = EnumSet.noneOf(Stop.class);

    private Stops(UnitModel model) {
        this.model = model;
    }

    /** Those that stand, most dangerous first, each with the entry that found it last. */
    static Map<Stop, Filed> of(UnitModel model, List<Line> lines) {
        Stops stops = new Stops(model);
        lines.stream().filter(Line::counts).forEach(stops::line);
        return Collections.unmodifiableMap(stops.standing);
    }

    /** What an entry finds by itself. */
    static Optional<Stop> found(UnitModel model, Line line) {
        Entry entry = line.filed().entry();
        if (entry instanceof Entry.Stopped stopped) {
            return Optional.of(stopped.finding());
        } else if (entry instanceof Entry.Monoxide measured) {
            return measured.where() == Entry.Monoxide.Where.ROOM && measured.ppm() >= ROOM_PPM ? Optional.of(Stop.CO_ROOM)
                    : measured.where() == Entry.Monoxide.Where.FLUE && measured.ppm() > FLUE_PPM ? Optional.of(Stop.CO_FLUE) : Optional.empty();
        }
        return line.observations().stream().flatMap(observation -> found(model, observation).stream()).findFirst();
    }

    private static Optional<Stop> found(UnitModel model, Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return Optional.ofNullable(model.dangers().levels().get(reading.test().id())).filter(level -> reading.value() >= level.from()).map(Dangers.Level::stop);
        }
        if (observation instanceof Observation.Answer answer && answer.yes()) {
            return DangerTest.finds(model, answer.test());
        } else if (observation instanceof Observation.Lamp lamp) {
            return lamp.weights().entrySet().stream().anyMatch(weight -> weight.getValue() >= READ && saysFlame(model, lamp.board(), weight.getKey()))
                    ? Optional.of(Stop.FLAME_WITHOUT_CALL) : Optional.empty();
        }
        return Optional.empty();
    }

    private static boolean saysFlame(UnitModel model, String board, LampPattern pattern) {
        return model.chart(board).meanings(pattern).stream().anyMatch(code -> code.condition().equals(FLAME_WITHOUT_CALL));
    }

    private void line(Line line) {
        if (line.filed().entry() instanceof Entry.Lifted lifted) {
            standing.remove(lifted.finding());
            return;
        }
        found(model, line).ifPresent(stop -> {
            Stop grown = stop == Stop.GAS_WHIFF && before.contains(stop) ? Stop.GAS_SMELL : stop;
            before.add(stop);
            standing.putIfAbsent(grown, line.filed());
        });
    }

    /** True for a test that may be made although these stand. */
    static boolean leave(CaseUnit unit, Set<Stop> stops, Test test) {
        return stops.stream().allMatch(stop -> unit.pack().catalogue().safety().leaves(stop, test));
    }
}
