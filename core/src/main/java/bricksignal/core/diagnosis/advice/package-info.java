/**
 * What to do next: the planner and the proof gate together.
 */
@NullMarked
package bricksignal.core.diagnosis.advice;

import org.jspecify.annotations.NullMarked;
