/**
 * Moist air, and what an economizer makes of it. SI units inside; pressures in pascal, temperatures in degrees Celsius, a kilogram is one of dry air.
 */
@NullMarked
package bricksignal.core.air;

import org.jspecify.annotations.NullMarked;
