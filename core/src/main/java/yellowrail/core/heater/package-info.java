/**
 * Heaters by winding: {@link yellowrail.core.heater.HeaterText} reads what hangs on each,
 * {@link yellowrail.core.heater.HeaterBudget} sums it up against the winding.
 */
package yellowrail.core.heater;
