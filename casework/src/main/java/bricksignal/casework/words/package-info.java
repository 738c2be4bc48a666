/**
 * The one place where words are made of messages.
 */
@NullMarked
package bricksignal.casework.words;

import org.jspecify.annotations.NullMarked;
