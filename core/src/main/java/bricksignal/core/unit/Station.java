package bricksignal.core.unit;

/** Where somebody stands to look, smell and listen before the power is touched: what is at one place is asked together. */
public enum Station {
    /** Anywhere at the unit, its doors closed. */
    UNIT,
    THERMOSTAT, LINE, FUEL, BOARD, BURNER, BLOWER, VENT, OUTDOOR, BUILDING
}
