/**
 * The grammar of lamps: one grammar drives the lamp and decodes what was tapped.
 */
@NullMarked
package bricksignal.core.lamp;

import org.jspecify.annotations.NullMarked;
