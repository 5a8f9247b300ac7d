/**
 * The plate supply as the tubes see it. {@link yellowrail.core.supply.ReadingSets} finds the readings of a log that belong
 * together, {@link yellowrail.core.supply.SupplyFit} draws the {@link yellowrail.core.supply.SupplyLine} through them, and
 * {@link yellowrail.core.supply.Mains} carries figures from one mains voltage to another.
 */
package yellowrail.core.supply;
