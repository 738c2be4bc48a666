/**
 * The way of a reading: entries in, what they tell the engine, and what the engine says out as data. Plain Java: no framework, no
 * clock, no input or output.
 */
@NullMarked
package bricksignal.casework;

import org.jspecify.annotations.NullMarked;
