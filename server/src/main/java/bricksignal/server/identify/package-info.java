/**
 * Finding the family of a unit that stands in no list, and what of it can be typed in.
 */
@NullMarked
package bricksignal.server.identify;

import org.jspecify.annotations.NullMarked;
