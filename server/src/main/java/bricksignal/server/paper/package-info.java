/** Papers that are kept with a unit or with a kind of board: a manual, a diagram, a page of one; shown at the tests that they are for. */
@NullMarked
package bricksignal.server.paper;

import org.jspecify.annotations.NullMarked;
