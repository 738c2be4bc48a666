/**
 * Errors as problem details (RFC 9457).
 */
@NullMarked
package bricksignal.server.problem;

import org.jspecify.annotations.NullMarked;
