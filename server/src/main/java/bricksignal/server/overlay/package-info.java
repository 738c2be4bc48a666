/**
 * Real boards over their families: overlays with their versions, shared in the company.
 */
@NullMarked
package bricksignal.server.overlay;

import org.jspecify.annotations.NullMarked;
