/**
 * What a company's own closed visits say of how often each part of a family is at fault.
 */
@NullMarked
package bricksignal.core.learning;

import org.jspecify.annotations.NullMarked;
