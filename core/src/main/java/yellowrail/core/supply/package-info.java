/**
 * The plate supply as the tubes see it. {@link yellowrail.core.supply.SupplyReadings} takes the settings of the
 * hardware that is in, {@link yellowrail.core.supply.SupplyFit} draws the {@link yellowrail.core.supply.SupplyLine}
 * through them, and {@link yellowrail.core.supply.Mains} carries figures from one mains voltage to another.
 */
package yellowrail.core.supply;
