/**
 * The application: one package per concept, none of the rules of the job.
 */
@NullMarked
package bricksignal.server;

import org.jspecify.annotations.NullMarked;
