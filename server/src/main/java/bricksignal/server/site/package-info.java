/**
 * Sites and the units on them.
 */
@NullMarked
package bricksignal.server.site;

import org.jspecify.annotations.NullMarked;
