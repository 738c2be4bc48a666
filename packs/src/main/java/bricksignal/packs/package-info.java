/**
 * Reads, validates and holds unit models. The pack's text, the declared model and the messages about it: this room knows
 * YAML so that {@code core} need not.
 */
@NullMarked
package bricksignal.packs;

import org.jspecify.annotations.NullMarked;
