package bricksignal.core.unit;

import java.util.Locale;

/** What somebody who lives with a unit notices of it without knowing how it works. */
public enum Noticed {
    /** Air moves at the registers or out of the unit. */
    FAN,
    /** A burner, an element, a fire: heat is made. */
    FIRE,
    /** The outdoor unit runs. */
    OUTDOOR,
    PUMP,
    /** Fuel is fed. */
    FEED,
    WARM_AIR,
    COOL_AIR,
    /** Radiators, baseboard, floor. */
    WARM_PIPES,
    ICE,
    WATER,
    HUM,
    BURNT,
    BREAKER,
    /** The thermostat or the room control. */
    DARK;

    /** As packs write it. */
    public String text() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The kind of that name.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Noticed of(String text) {
        for (Noticed noticed : values()) {
            if (noticed.text().equals(text)) {
                return noticed;
            }
        }
        throw new IllegalArgumentException("nobody notices '" + text + "'");
    }
}
