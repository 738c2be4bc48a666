/**
 * Which family a unit belongs to, by what can be seen of it.
 */
@NullMarked
package bricksignal.core.identify;

import org.jspecify.annotations.NullMarked;
