/**
 * What the lead looks at: open visits, what was proven, what came back, boards that were changed.
 */
@NullMarked
package bricksignal.server.lead;

import org.jspecify.annotations.NullMarked;
