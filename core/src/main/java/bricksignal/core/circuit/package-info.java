/**
 * What a pack says of the wiring: nets and elements. Nothing here is solved.
 */
@NullMarked
package bricksignal.core.circuit;

import org.jspecify.annotations.NullMarked;
