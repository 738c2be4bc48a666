/**
 * What a supplier has on its shelf: one way to ask, and a small stand-in that answers where no supplier is set up.
 */
@NullMarked
package bricksignal.server.supply;

import org.jspecify.annotations.NullMarked;
