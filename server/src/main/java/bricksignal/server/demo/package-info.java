/**
 * The demo scenario, Skerrow Sound: all of it is invented.
 */
@NullMarked
package bricksignal.server.demo;

import org.jspecify.annotations.NullMarked;
