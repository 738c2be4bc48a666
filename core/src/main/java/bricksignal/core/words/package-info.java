/**
 * What is to be told to a person, as keys and values; a message catalogue outside makes sentences of it.
 */
@NullMarked
package bricksignal.core.words;

import org.jspecify.annotations.NullMarked;
