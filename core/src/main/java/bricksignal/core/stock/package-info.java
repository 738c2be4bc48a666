/**
 * What a van carries: how often a part is wanted, learnt from a company's own records, and how many of it are worth their room.
 */
@NullMarked
package bricksignal.core.stock;

import org.jspecify.annotations.NullMarked;
