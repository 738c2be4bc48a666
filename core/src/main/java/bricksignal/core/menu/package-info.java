/** Menus of boards: screens, and the keys and switches that lead from one to another; the shortest way to a value. */
@NullMarked
package bricksignal.core.menu;

import org.jspecify.annotations.NullMarked;
