/**
 * What people enter: one type for each kind of entry, and how entries are read and written.
 */
@NullMarked
package bricksignal.casework.entry;

import org.jspecify.annotations.NullMarked;
