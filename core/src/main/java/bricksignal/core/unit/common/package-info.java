/**
 * What can be the matter with any unit, made from its model.
 */
@NullMarked
package bricksignal.core.unit.common;

import org.jspecify.annotations.NullMarked;
