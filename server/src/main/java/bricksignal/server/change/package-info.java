/**
 * Changing a board: what is on the old one, what becomes of it on the new one, and photographs of how it was found.
 */
@NullMarked
package bricksignal.server.change;

import org.jspecify.annotations.NullMarked;
