/**
 * What a screen shows, as data with keys and numbers.
 */
@NullMarked
package bricksignal.casework.page;

import org.jspecify.annotations.NullMarked;
