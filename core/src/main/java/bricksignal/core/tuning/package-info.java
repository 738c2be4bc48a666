/** The arithmetic of setting a unit up: heat by air, water, gas and pellets; water temperatures by the weather. Units of the trade stand in the names. */
@NullMarked
package bricksignal.core.tuning;

import org.jspecify.annotations.NullMarked;
