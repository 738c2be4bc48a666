/** Calculators that stand alone: what was typed goes in, what core computes comes out, nothing is kept. */
@NullMarked
package bricksignal.server.tools;

import org.jspecify.annotations.NullMarked;
