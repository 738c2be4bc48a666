/**
 * Hypotheses, observations, predictions and belief.
 */
@NullMarked
package bricksignal.core.diagnosis;

import org.jspecify.annotations.NullMarked;
