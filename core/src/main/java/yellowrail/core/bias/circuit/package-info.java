/**
 * A bias supply as a circuit, and its steady state. {@link yellowrail.core.bias.circuit.SteadyStateSolver} solves a
 * {@link yellowrail.core.bias.circuit.Circuit} by the balance of its conduction angle or by stepping through a cycle;
 * {@link yellowrail.core.bias.circuit.BiasNetlist} writes the same circuit for a circuit simulator.
 *
 * <p>Inside this package all volts are magnitudes: the supply is negative, its reservoir's positive end on ground.
 */
package yellowrail.core.bias.circuit;
