/**
 * What a verdict's ways out cost, and what is offered to the customer.
 */
@NullMarked
package bricksignal.server.quote;

import org.jspecify.annotations.NullMarked;
