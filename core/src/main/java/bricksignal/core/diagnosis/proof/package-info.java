/**
 * What must stand in the log before a part is condemned.
 */
@NullMarked
package bricksignal.core.diagnosis.proof;

import org.jspecify.annotations.NullMarked;
