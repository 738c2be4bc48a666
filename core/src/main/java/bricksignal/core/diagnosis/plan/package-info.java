/**
 * The next test: what it costs and what it is worth.
 */
@NullMarked
package bricksignal.core.diagnosis.plan;

import org.jspecify.annotations.NullMarked;
