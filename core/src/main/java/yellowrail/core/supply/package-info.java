/**
 * The plate supply as the tubes see it. {@link yellowrail.core.supply.SupplyReadings} takes the settings of the
 * hardware that is in, {@link yellowrail.core.supply.SupplyFit} draws the {@link yellowrail.core.supply.SupplyLine}
 * through them, {@link yellowrail.core.supply.KnownLine} guesses its resistance while there is one setting only, and
 * {@link yellowrail.core.supply.Mains} carries figures from one mains voltage to another.
 */
package yellowrail.core.supply;
