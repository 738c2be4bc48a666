/**
 * Measures the engine and prints what it measured. Nothing here is a test, nothing here decides.
 */
@NullMarked
package bricksignal.bench;

import org.jspecify.annotations.NullMarked;
