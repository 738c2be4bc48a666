package bricksignal.core.words;

import bricksignal.core.circuit.solve.MeterMode;
import java.util.Map;
import java.util.Optional;

/** The units that a person reads and types: those of the trade in North America, which all is kept in, or metric ones. */
public enum Measures {

    US(Map.of()),
    METRIC(Map.of(MeterMode.INCHES_WC, "Pa", MeterMode.FAHRENHEIT, "\u00b0C", MeterMode.PSI, "kPa", MeterMode.GPM, "L/min", MeterMode.POUNDS_PER_HOUR, "kg/h"));

    private final Map<MeterMode, String> others;

    Measures(Map<MeterMode, String> others) {
        this.others = others;
    }

    /** The unit of a mode where it is another than that of the mode itself; it is understood behind a typed number. */
    public Optional<String> unit(MeterMode mode) {
        return Optional.ofNullable(others.get(mode));
    }

    /** A value in the unit of its mode, in the unit of these; open stays open. */
    public double shown(MeterMode mode, double value) {
        return unit(mode).flatMap(unit -> MeterUnits.of(mode, unit)).map(scale -> scale.from(value)).orElse(value);
    }
}
