/**
 * What each way out of a verdict costs, in expectation and with its spread, and how long it takes until the unit runs; when to keep a
 * unit and when to replace it. Money is in the company's currency, before tax.
 */
@NullMarked
package bricksignal.core.costing;

import org.jspecify.annotations.NullMarked;
