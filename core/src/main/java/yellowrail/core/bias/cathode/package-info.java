/**
 * Bias by a resistor in the cathodes: {@link yellowrail.core.bias.cathode.CathodeGroup} finds the idle at which the
 * resistor drops what its tubes need, {@link yellowrail.core.bias.cathode.CathodeDesign} the resistor for a wanted idle
 * and what has to be said of it.
 */
package yellowrail.core.bias.cathode;
