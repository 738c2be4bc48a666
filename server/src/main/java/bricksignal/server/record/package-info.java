/**
 * The record of a visit: its report as PDF, and everything of it in open formats, out and in again.
 */
@NullMarked
package bricksignal.server.record;

import org.jspecify.annotations.NullMarked;
