/**
 * Turns a log into the engine's observations, and the engine's answer into views.
 */
@NullMarked
package bricksignal.server.diagnosis;

import org.jspecify.annotations.NullMarked;
