/**
 * What the company's own closed visits say of each family, and whether visits to come are told.
 */
@NullMarked
package bricksignal.server.learning;

import org.jspecify.annotations.NullMarked;
