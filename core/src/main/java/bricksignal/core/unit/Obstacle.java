package bricksignal.core.unit;

/** What is in the way of a test. */
public enum Obstacle {
    /** Nobody gets at the place. */
    REACH,
    /** There is no such thing on this unit: no tap, no sight glass, no test pin. */
    FITTED,
    /** The instrument, the part or the person that it takes is not there. */
    TOOL
}
