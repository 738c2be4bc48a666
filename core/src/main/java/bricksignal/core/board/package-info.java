/**
 * What a pack says of the board and the process: inputs, regions, states, guards, first-order physics.
 */
@NullMarked
package bricksignal.core.board;

import org.jspecify.annotations.NullMarked;
