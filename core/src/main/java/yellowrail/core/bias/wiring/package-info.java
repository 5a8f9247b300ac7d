/**
 * A bias supply as a builder has soldered it: {@link yellowrail.core.bias.wiring.BiasSupply}, which writes itself out
 * as a circuit for any stand of its pots.
 */
package yellowrail.core.bias.wiring;
