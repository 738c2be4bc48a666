/**
 * Packs that somebody of the company wrote: kept in versions, used, withdrawn.
 */
@NullMarked
package bricksignal.server.ownpack;

import org.jspecify.annotations.NullMarked;
