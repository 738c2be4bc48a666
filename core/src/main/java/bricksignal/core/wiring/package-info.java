/** What is wired to what between two controls: isolation of two supplies, and terminals that answer each other. */
@NullMarked
package bricksignal.core.wiring;

import org.jspecify.annotations.NullMarked;
