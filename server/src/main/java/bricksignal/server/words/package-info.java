/**
 * Messages in the language of whoever asks: a catalogue file for each.
 */
@NullMarked
package bricksignal.server.words;

import org.jspecify.annotations.NullMarked;
