/**
 * Walking a series chain with one probe fixed on common: where does the voltage stop.
 */
@NullMarked
package bricksignal.core.diagnosis.chain;

import org.jspecify.annotations.NullMarked;
