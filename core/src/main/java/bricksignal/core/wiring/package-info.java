/** What is wired to what between two controls: isolation of two supplies, terminals that answer each other, and a new board for an old one. */
@NullMarked
package bricksignal.core.wiring;

import org.jspecify.annotations.NullMarked;
