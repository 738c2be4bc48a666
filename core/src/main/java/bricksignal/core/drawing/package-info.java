/**
 * The ladder diagram of a unit, laid out by rule from its circuit alone: rails, rungs, what stands in them, where each label goes. Nothing in it knows a family.
 * A {@link bricksignal.core.drawing.Wiring} says what of a circuit is drawn, {@link bricksignal.core.drawing.Rungs} puts it on rungs between two rails, a
 * {@link bricksignal.core.drawing.Sheet} gives each its place on paper, and a {@link bricksignal.core.drawing.Way} is the one rung around two probes.
 */
@NullMarked
package bricksignal.core.drawing;

import org.jspecify.annotations.NullMarked;
