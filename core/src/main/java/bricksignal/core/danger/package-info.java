/** What may be done to a unit, and what to mind while it is done: computed from what its parts are and from its circuit. */
@NullMarked
package bricksignal.core.danger;

import org.jspecify.annotations.NullMarked;
