package bricksignal.casework;

import bricksignal.core.unit.Place;
import bricksignal.core.unit.Stamp;
import bricksignal.core.unit.Test;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What was typed off the parts of the unit at hand; where nothing was, the pack's own stands.
 *
 * @param typed by the reading that is judged against it
 */
public record Stamps(Map<String, Double> typed) {

    static final Stamps NONE = new Stamps(Map.of());

    public Stamps {
        typed = Map.copyOf(typed);
    }

    /** The same with one more, or with another one. */
    Stamps and(String test, double value) {
        Map<String, Double> more = new LinkedHashMap<>(typed);
        more.put(test, value);
        return new Stamps(more);
    }

    /** What a reading is judged against; empty for one that is not. */
    public static Optional<Stamp> of(Test.Reading test) {
        return test.place() instanceof Place.Gauge gauge ? Optional.ofNullable(gauge.stamp()) : Optional.empty();
    }

    /** What stands on the part of the unit at hand, or on the pack's own. */
    public double value(Test.Reading test, Stamp stamp) {
        return typed.getOrDefault(test.id(), stamp.value());
    }

    /** A reading as the pack's own unit would have it. */
    double inThePack(Test.Reading test, double reading) {
        return of(test).map(stamp -> stamp.inThePack(test.mode(), value(test, stamp), reading)).orElse(reading);
    }

    /** What the unit at hand shows where the pack's own has a value. */
    public double atTheUnit(Test.Reading test, double inThePack) {
        return of(test).map(stamp -> stamp.atTheUnit(test.mode(), value(test, stamp), inThePack)).orElse(inThePack);
    }
}
