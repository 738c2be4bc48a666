/**
 * Compiled packs, kept in memory because they can be made anew at any time.
 */
@NullMarked
package bricksignal.server.pack;

import org.jspecify.annotations.NullMarked;
